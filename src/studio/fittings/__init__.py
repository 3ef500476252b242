"""Fittings: what was tried on, what was expected and seen, what was decided, and what is due from it."""
