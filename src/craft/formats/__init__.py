"""Open formats in and out: the table of measures and the client file."""
