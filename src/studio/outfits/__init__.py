"""Outfits: every look that a client's wardrobe can make, searched in the background."""
