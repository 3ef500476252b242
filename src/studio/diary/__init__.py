"""The diary: appointments, what is due, free time, and calendars in and out."""
