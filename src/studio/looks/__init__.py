"""Looks: outfits composed for a client, kept and judged."""
