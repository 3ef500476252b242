"""Shopping: the client's body as the numbers to shop with, and what a described piece would do on it."""
