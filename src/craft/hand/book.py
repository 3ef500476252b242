"""What a book says beside its cards: which cards hold each piece, and what each occasion of the week has."""

from __future__ import annotations

from collections.abc import Mapping, Sequence


def by_piece(cards: Sequence[tuple[str, Sequence[str]]]) -> dict[str, list[tuple[str, list[str]]]]:
    """An index: for each piece the cards that it stands in, and what goes with it there. `cards` are a card's number or name and
    the titles of its pieces.

    >>> by_piece([("1", ["Olive trousers", "Cream knit"]), ("2", ["Olive trousers", "White shirt"])])["Olive trousers"]
    [('1', ['Cream knit']), ('2', ['White shirt'])]
    """
    found: dict[str, list[tuple[str, list[str]]]] = {}
    for name, titles in cards:
        for title in dict.fromkeys(titles):
            found.setdefault(title, []).append((name, [other for other in dict.fromkeys(titles) if other != title]))
    return dict(sorted(found.items(), key=lambda one: (-len(one[1]), one[0].casefold())))


def by_occasion(cards: Mapping[str, Sequence[str]], week: Sequence[str]) -> list[tuple[str, list[str]]]:
    """The cards in the order of the week: each once, under the occasion that it names first; what is for none of the week stands
    last under “any day”.

    >>> by_occasion({"1": ["dinner", "office"], "2": ["office", "dinner"], "3": []}, ["office", "dinner"])
    [('office', ['2']), ('dinner', ['1']), ('any day', ['3'])]
    """
    first = {card: serves[0] for card, serves in cards.items() if serves}
    every = dict.fromkeys([*week, *first.values()])
    found = [(occasion, [card for card, its in first.items() if its == occasion]) for occasion in every]
    found.append(("any day", [card for card in cards if card not in first]))
    return [(occasion, listed) for occasion, listed in found if listed]
