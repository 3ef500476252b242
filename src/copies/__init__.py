"""Copies of a studio's database: taken while people work, sealed, and proved to come back row for row."""
