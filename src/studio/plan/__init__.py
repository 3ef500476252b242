"""Plans: a client's week and trips, and what was worn."""
