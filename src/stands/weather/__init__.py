"""A simulated forecast: the same air for the same place and day, whoever asks."""
