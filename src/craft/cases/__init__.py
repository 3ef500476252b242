"""Judged cases: the acceptance data of the engine, read and held against what it says."""
