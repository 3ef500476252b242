"""The edit of a wardrobe: what is decided of each piece, where what leaves goes, the kit, what to buy."""
