"""Pictures of pieces: taken in, made harmless, and what colours they show."""
