"""The house rules: what the engine says, which of it this studio follows, and what that changes."""
