"""Bodies: measuring sessions and their readings, only ever added to."""
