"""Register: whether a look is as smart as it is wanted, keeps its dress code and suits the weather."""

from __future__ import annotations

from collections.abc import Iterator

from craft.cloth.register import formality
from craft.cloth.words import said
from craft.judge.aims import Aims
from craft.judge.borders import Border
from craft.judge.finding import Figure, Finding
from craft.look import Outfit
from craft.look.register import AT_REST, WALKING, at_ease_in, formality_of, insulation_of
from craft.units import Sentence

#: From here a look reads smart, and below the second casual (0 to 4; W).
SMART, CASUAL = 2.3, 1.9
#: How formal each dress code wants a look: from, and to (0 to 4; W).
CODES = {"relaxed": (0.3, 2.7), "neat": (1.6, 3.4), "smart": (2.1, 4.0), "formal": (2.7, 4.0)}
#: Codes that come before style: nothing is judged, it is said (brief, section 16).
BEFORE_STYLE = ("uniform", "protective", "religious")
#: OKLCH lightness above which a colour is not black to an audience (W).
BLACK = 0.32
#: How far from ease the air may be, °C (W: what a collar, a cuff and a walk make up for).
BEARABLE = Border("bearable", ("register.weather",), "The air may be so far from ease", 4.0, 1.0, 8.0, "°C")


def smart(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A client who wants to look smart: cloth, shoe and layer read smart, or one of them dresses the look down."""
    reads = formality_of(outfit.look.pieces)
    if reads is None or not aims.wanted("look_smart"):
        return
    least = min((p for p in outfit.look.pieces if p.slot != "extra"), key=formality, default=None)
    at = outfit.body.height("bust") + outfit.lift
    figure = Figure("how smart it reads", reads, SMART, "scale")
    if reads >= SMART:
        text = Sentence.of("Cloth, cut and shoe read smart together.")
        weight = 0.25 + 0.2 * (reads - SMART)
        yield Finding("register.smart", "smart", "for", weight, "whole", at, figure, "Reads smart", text)
    elif reads < CASUAL and least is not None:
        text = Sentence.of(f"The {said(least.kind)} dresses the look down; wanted is smart.")
        weight = 0.25 + 0.2 * (CASUAL - reads)
        yield Finding("register.smart", "smart", "against", weight, "whole", at, figure, "Reads casual", text)


#: Cloth up to this full presses, and from the second it leaves room (0 to 4); a heel from so many cm tires (W).
PRESSES, ROOMY, TIRES = 0.6, 1.5, 6.0


def comfort(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A client who wants comfort: room to move on a low heel, nothing that presses."""
    bottom = outfit.bottom
    if not aims.wanted("comfort") or bottom is None:
        return
    least = min(bottom.volume, outfit.top.volume if outfit.top else bottom.volume)
    rise = outfit.shoes.rise_of_foot
    at = outfit.body.height("waist") + outfit.lift
    figure = Figure("the closest of it", least, PRESSES, "scale")
    if rise >= TIRES:
        told = Figure("heel over the ball", rise, TIRES)
        text = Sentence.of("A heel of {rise} over the ball tires; wanted is comfort.", rise=rise)
        yield Finding(
            "register.comfort", "heel_lift", "against", 0.3, "foot", outfit.shoes.heel / 2, told, "Heel tires", text
        )
    elif least <= PRESSES:
        text = Sentence.of("Skin-tight cloth presses through a long day; wanted is comfort.")
        yield Finding("register.comfort", "clings", "against", 0.25, "waist", at, figure, "Presses", text)
    elif least >= ROOMY:
        text = Sentence.of("There is room to move, on a heel that can be walked in.")
        yield Finding("register.comfort", "skims", "for", 0.2, "waist", at, figure, "Room to move", text)


def code(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """The dress code of where it is worn: kept, too casual or too formal; one for work or faith comes before style."""
    asks, reads = aims.setting.asks, formality_of(outfit.look.pieces)
    at = outfit.body.height("bust") + outfit.lift
    if asks in BEFORE_STYLE:
        figure = Figure("height", at, at)
        text = Sentence.of(f"{said(asks).capitalize()} clothing comes before style here: its code is kept first.")
        yield Finding(
            "register.before", "dress_code", "caution", 0.0, "whole", at, figure, "The code comes first", text
        )
    if asks == "black":
        yield from _black(outfit, at)
    if asks not in CODES or reads is None:
        return
    low, high = CODES[asks]
    worn = [piece for piece in outfit.look.pieces if piece.slot != "extra"]
    if reads < low:
        figure = Figure("how formal it reads", reads, low, "scale")
        least = min(worn, key=formality)
        text = Sentence.of(f"Less than {asks} asks: the {said(least.kind)} dresses it down most.")
        weight = min(0.6, 0.3 + 0.3 * (low - reads))
        yield Finding(
            "register.code", "dress_code", "against", weight, "whole", at, figure, f"Too casual for {asks}", text
        )
    elif reads > high:
        figure = Figure("how formal it reads", reads, high, "scale")
        most = max(worn, key=formality)
        text = Sentence.of(f"More than {asks} asks: the {said(most.kind)} dresses it up most.")
        weight = min(0.4, 0.2 + 0.2 * (reads - high))
        yield Finding(
            "register.code", "dress_code", "against", weight, "whole", at, figure, f"Too formal for {asks}", text
        )
    else:
        figure = Figure("how formal it reads", reads, low, "scale")
        text = Sentence.of(f"It keeps what {asks} asks.")
        yield Finding("register.code", "dress_code", "for", 0.2, "whole", at, figure, "Keeps the dress code", text)


def _black(outfit: Outfit, at: float) -> Iterator[Finding]:
    """A code that asks for black: the lightest large area decides."""
    lightest = max(outfit.areas, key=lambda area: area.lightness, default=None)
    if lightest is None:
        return
    figure = Figure("lightness", lightest.lightness, BLACK, "share")
    if lightest.lightness > BLACK:
        text = Sentence.of(f"Black is asked for, and the {said(lightest.piece.kind)} is not.")
        height = (lightest.high + lightest.low) / 2
        yield Finding(
            "register.black", "dress_code", "against", 0.55, "whole", height, figure, "Not all in black", text
        )
    else:
        text = Sentence.of("All in black, as asked.")
        yield Finding("register.black", "dress_code", "for", 0.2, "whole", at, figure, "All in black", text)


def weather(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Warm enough with everything on, cool enough with the layers off; and what rain does to hem and shoe."""
    setting = aims.setting
    pieces = outfit.look.pieces
    if not any(piece.slot in ("top", "bottom", "one_piece") for piece in pieces):
        return
    if setting.rain:
        yield from _rain(outfit)
    if setting.celsius is None:
        return
    met = WALKING if setting.outdoors else AT_REST
    coolest = at_ease_in(insulation_of(pieces), met)
    warmest = at_ease_in(insulation_of(piece for piece in pieces if piece.slot != "layer"), met)
    at = outfit.body.height("under_bust") + outfit.lift
    how = "walking" if setting.outdoors else "at rest"
    air = f"{setting.celsius:.0f} °C"
    if setting.celsius < coolest - BEARABLE.of(outfit):
        figure = Figure("at ease from", coolest, setting.celsius, "°C")
        text = Sentence.of(
            f"{how.capitalize()} this is enough down to about {coolest:.0f} °C, and it is {air}: add a layer."
        )
        weight = min(0.6, 0.25 + 0.04 * (coolest - BEARABLE.of(outfit) - setting.celsius))
        yield Finding("register.weather", "too_cold", "against", weight, "whole", at, figure, "Not warm enough", text)
    elif setting.celsius > warmest + BEARABLE.of(outfit):
        figure = Figure("at ease up to", warmest, setting.celsius, "°C")
        text = Sentence.of(
            f"{how.capitalize()}, even without a layer, this is right at about {warmest:.0f} °C, and it is {air}."
        )
        weight = min(0.6, 0.25 + 0.04 * (setting.celsius - warmest - BEARABLE.of(outfit)))
        yield Finding("register.weather", "too_warm", "against", weight, "whole", at, figure, "Too warm", text)
    else:
        figure = Figure("at ease from", coolest, setting.celsius, "°C")
        right = f"from {coolest:.0f} °C to {warmest:.0f} °C without the layer"
        if round(coolest) == round(warmest):
            right = f"at about {warmest:.0f} °C"
        text = Sentence.of(f"{how.capitalize()} this is right {right}.")
        yield Finding(
            "register.weather", "warmth_fits", "for", 0.12, "whole", at, figure, "Right for the weather", text
        )


def _rain(outfit: Outfit) -> Iterator[Finding]:
    shoes, bottom = outfit.shoes, outfit.bottom
    if shoes.piece is not None and shoes.piece.kind in ("sandals", "mules", "slingbacks", "flats"):
        figure = Figure("cover of the foot", shoes.cover.cm, 6.0)
        text = Sentence.of(f"Rain goes into {said(shoes.piece.kind)}: a closed shoe or a boot.")
        yield Finding(
            "register.rain", "rain", "against", 0.3, "foot", shoes.cover.cm / 2, figure, "Open to the rain", text
        )
    if bottom is not None and bottom.is_wide_hemmed and not bottom.inside and bottom.falls_to < 5.0:
        figure = Figure("hem above the ground", bottom.falls_to, 5.0)
        text = Sentence.of("A hem {clear} above wet ground draws the water up.", clear=max(0.0, bottom.falls_to))
        yield Finding(
            "register.wet_hem",
            "rain",
            "against",
            0.25,
            "foot",
            max(0.0, bottom.falls_to),
            figure,
            "Hem in the wet",
            text,
        )
