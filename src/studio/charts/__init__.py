"""Size charts: what makers say their labels stand for, and which of them fits a client."""
