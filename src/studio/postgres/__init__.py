"""Django's PostgreSQL, asked with less patience: a database that is away is told at once."""
