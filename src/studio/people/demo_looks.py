"""What is known of the demo clients' looks beside their pieces: where they are worn, how they stand, what was said."""

from __future__ import annotations

from typing import Any

#: By look: its facts (craft.formats.look_form.LookFacts), `of` for the look that it is a variant of, and
#: `rack` for the places where a piece of the client's rack is worn.
LOOK_FACTS: dict[str, dict[str, Any]] = {
    "Rehearsal": {
        "setting": {"occasion": "seated_work", "code": "relaxed", "celsius": 20},
        "tags": ["work", "sits well"],
        "standing": "chosen",
        "client_said": "I forget that I am wearing it.",
    },
    "Rehearsal, dressed up": {
        "of": "Rehearsal",
        "variant": "up",
        "setting": {"occasion": "dinner", "celsius": 14},
        "note": "Straight on to dinner: blouse and pumps go in the cello case.",
    },
    "On stage": {
        "setting": {"occasion": "on_stage", "code": "black", "celsius": 22},
        "standing": "chosen",
        "tags": ["work"],
    },
    "The jeans that never work": {
        "rack": {"bottom": 1},
        "standing": "rejected",
        "why_not": "They trail in flats, and the band slides down when she sits.",
        "liked": [{"rule": "feet.weight", "who": "client", "why": "Her boots from the coast path; they stay."}],
    },
    "Reception": {"setting": {"occasion": "ceremony", "celsius": 11}},
    "Day in town": {"setting": {"occasion": "weekend", "celsius": 9, "rain": True}, "tags": ["autumn"]},
    "Hearing": {"setting": {"occasion": "formal_office", "code": "formal", "celsius": 21}, "standing": "chosen"},
    "Yard": {"setting": {"occasion": "workshop", "celsius": 8, "rain": True}},
}
