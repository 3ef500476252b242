"""Handing over: outfit cards, the book, the tailor's sheet, the client's page, mail."""
