"""The house command: sets everything up, starts it, stops it. Only the standard library, since
it runs before anything is installed."""
