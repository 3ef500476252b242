"""The edit of a wardrobe: what stays, what it lacks, what to buy. Everything here counts looks of `craft.search`."""
