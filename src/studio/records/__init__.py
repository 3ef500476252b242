"""Records: clients in and out of the house as open files, and erased with proof."""
