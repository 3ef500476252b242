"""A wireless measuring tape, simulated: it reads an invented body with noise, slips and drops out."""
