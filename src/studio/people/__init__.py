"""People: studios, the stylists who work in them, and their clients."""
