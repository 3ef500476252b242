"""Planning what is worn: a week, a trip, what was worn, and the diary's arithmetic."""
