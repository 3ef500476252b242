"""A simulated mail server: it takes every letter, sends none, and lays each down as a file."""
