"""The craft: what Basilwood knows about bodies, cloth and how they look together.

Pure Python. Immutable values in, values out; every length is in cm and every
height is above the floor. Nothing here knows of Django, HTTP or a screen.

The rooms, in the order data flows through them::

    body   measures -> a Body: landmarks, girths, breadths, shape
    cloth  words -> a Piece: kind, cut, cloth, colour, figures
    wear   a Piece on a Body, worn: where its edges land, its ease
    look   worn pieces together: edges, parts, leg line, volumes
    judge  findings for and against, and a verdict
    advise the same computations backwards: mends and targets
    draw   the figure and the garments as points
"""
