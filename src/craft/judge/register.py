"""Register: whether a look is as smart as it is wanted, keeps its dress code and suits the weather."""

from __future__ import annotations

from collections.abc import Iterator

from craft.cloth.register import formality
from craft.cloth.stretch import stretch
from craft.cloth.words import said
from craft.facts import least, most
from craft.judge.aims import Aims
from craft.judge.borders import Border
from craft.judge.cloth import FIRM, shows_above
from craft.judge.feet import HEAVY
from craft.judge.finding import Figure, Remark, con, pro, warn
from craft.judge.rule import Subject
from craft.look import Outfit
from craft.look.readings import BASE, CLOTHES
from craft.look.register import AT_REST, WALKING, at_ease_in
from craft.units import Sentence
from craft.wear.openings import sleeve_of

rule = Subject("register", "Week, season, occasion (14)", sees_colour=False)
SAYS_SO = (*CLOTHES, "swim")

#: From here a look reads smart, and below the second casual (0 to 4; W).
SMART, CASUAL = 2.3, 1.9
#: How formal each dress code wants a look: from, and to (0 to 4; W).
CODES = {"relaxed": (0.3, 2.7), "neat": (1.6, 3.4), "smart": (2.1, 4.0), "formal": (2.7, 4.0)}
#: Codes of work, under which nothing is seen through a top; what it weighs (W).
AT_WORK, SHOWS = ("neat", "formal"), 0.25
#: Codes that come before style: nothing is judged, it is said (brief, section 16).
BEFORE_STYLE = ("uniform", "protective", "religious")
#: OKLCH lightness above which a colour is not black to an audience (W).
BLACK = 0.32
#: How far from ease the air may be, °C (W: what a collar, a cuff and a walk make up for).
BEARABLE = Border("bearable", "The air may be so far from ease", 4.0, 1.0, 8.0, "°C")
#: What each °C beyond what is bearable weighs: as far again decides whatever else is good (W).
FURTHER = 0.0625
#: Cloth up to this full presses, and from the second it leaves room (0 to 4); a heel from so many cm tires (W).
PRESSES, ROOMY, TIRES = 0.6, 1.5, 6.0
#: What it weighs that cloth presses, and that it does not even give (W).
PRESSING, UNGIVING = 0.25, 0.4
#: Air up to which a room is cold, °C (W).
COLD_ROOM = 19.0
#: A foot covered to this is closed to the rain; a hem nearer to wet ground draws it up, cm (W).
CLOSED, WET = 6.0, 5.0


#: A piece so far under what a code asks is out of place there (0 to 4; W).
OUT_OF_PLACE = 0.5
#: And one so far under it is, though the others keep the code (0 to 4; W).
FAR_OUT = 1.2


def _dressed_most(outfit: Outfit, *, up: bool) -> str:
    """The kind of the piece that dresses a look up most, or down."""
    worn = (piece for piece in outfit.pieces if piece.slot != "extra")
    return said((max if up else min)(worn, key=formality).kind)


@rule(
    "register.smart",
    looks_at=SAYS_SO,
    reads=("formality",),
    speaks_to=lambda of: of.aims.wanted("look_smart"),
    sees_colour=True,
)
def smart(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A client who wants to look smart: cloth, shoe and layer read smart, or one of them dresses the look down."""
    reads = outfit.formality
    if reads is None:
        return
    held, where = Figure("how smart it reads", reads, SMART, "scale"), ("whole", outfit.at("bust"))
    if reads >= SMART:
        weight = 0.25 + 0.2 * (reads - SMART)
        yield pro(weight, "smart", where, "Reads smart", "Cloth, cut and shoe read smart together.", held)
    elif reads < CASUAL:
        text = f"The look is dressed down by the {_dressed_most(outfit, up=False)}; wanted is smart."
        yield con(0.25 + 0.2 * (CASUAL - reads), "smart", where, "Reads casual", text, held)


@rule("register.shoe", looks_at=("shoes",), borders=(HEAVY,), speaks_to=lambda of: of.aims.wanted("look_smart"))
def smart_shoe(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A heavy shoe dresses a smart look down; a dainty one keeps it."""
    shoes, heavy = outfit.shoes, HEAVY.of(outfit)
    if shoes.piece is not None and shoes.weight >= heavy:
        text = f"So heavy a sole dresses the look down: {said(shoes.piece.kind)} with a finer one are smarter."
        held, where = Figure("weight at the foot", shoes.weight, heavy, "scale"), ("foot", shoes.cover.cm / 2)
        yield con(0.32, "smart", where, "Heavy shoe dresses down", text, held)


@rule("register.comfort", looks_at=(*BASE, "shoes"), speaks_to=lambda of: of.aims.wanted("comfort"))
def comfort(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A client who wants comfort: room to move on a low heel, nothing that presses."""
    bottom = outfit.bottom
    if bottom is None:
        return
    closest = least(bottom.volume, outfit.top.volume if outfit.top else bottom.volume)
    rise = outfit.shoes.rise_of_foot
    held, where = Figure("the closest of it", closest, PRESSES, "scale"), ("waist", outfit.at("waist"))
    if rise >= TIRES:
        text = Sentence.of("A heel of {rise} over the ball tires; wanted is comfort.", rise=rise)
        held, where = Figure("heel over the ball", rise, TIRES), ("foot", outfit.shoes.heel / 2)
        yield con(0.3, "heel_lift", where, "Heel tires", text, held)
    elif closest <= PRESSES:
        gives = stretch(bottom.piece) >= FIRM
        presses = "Skin-tight cloth presses through a long day; wanted is comfort."
        yield con(PRESSING if gives else UNGIVING, "clings", where, "Presses", presses, held)
    elif closest >= ROOMY:
        yield pro(0.2, "skims", where, "Room to move", "There is room to move, on a heel that can be walked in.", held)


@rule(
    "register.before", reads=("heel",), by_setting=("asks",), speaks_to=lambda of: of.aims.setting.asks in BEFORE_STYLE
)
def before_style(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A code for work or faith comes before style."""
    text = f"{said(aims.setting.asks or '').capitalize()} clothing comes before style here: its code is kept first."
    yield warn("dress_code", ("whole", outfit.at("bust")), "The code comes first", text)


@rule(
    "register.code",
    looks_at=SAYS_SO,
    reads=("formality",),
    by_setting=("asks",),
    speaks_to=lambda of: of.aims.setting.asks in CODES,
    sees_colour=True,
)
def code(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """The dress code of where it is worn: kept, too casual or too formal."""
    asks = aims.setting.asks
    reads = outfit.formality
    if asks is None or reads is None:
        return
    (low, high), where = CODES[asks], ("whole", outfit.at("bust"))
    held = Figure("how formal it reads", reads, high if reads > high else low, "scale")
    lowest = least(*(formality(one) for one in outfit.pieces if one.slot != "extra"))
    if reads < low:
        text = f"Less than {asks} asks; it is dressed down most by the {_dressed_most(outfit, up=False)}."
        # A shade under the code is near it; one piece far under is out of place, whatever the others make up for.
        out = most(0.0, low - OUT_OF_PLACE - lowest)
        weight = least(0.95, 0.2 + 0.3 * (low - reads) + 0.4 * out)
        yield con(weight, "dress_code", where, f"Too casual for {asks}", text, held)
    elif reads > high:
        text = f"More than {asks} asks; it is dressed up most by the {_dressed_most(outfit, up=True)}."
        weight = least(0.4, 0.2 + 0.2 * (reads - high))
        yield con(weight, "dress_code", where, f"Too formal for {asks}", text, held)
    elif lowest < low - FAR_OUT:
        text = f"Where {asks} is asked one piece is out of place, whatever the rest makes up for: the {_dressed_most(outfit, up=False)}."
        held = Figure("how formal it reads", lowest, low - FAR_OUT, "scale")
        weight = 0.15 + 0.3 * (low - FAR_OUT - lowest)
        yield con(weight, "dress_code", where, "One piece out of place", text, held)
    else:
        yield pro(0.2, "dress_code", where, "Keeps the dress code", f"It keeps what {asks} asks.", held)


@rule(
    "register.shows",
    looks_at=(*BASE, "layer"),
    reads=("heel",),
    by_setting=("asks",),
    speaks_to=lambda of: of.aims.setting.asks in AT_WORK,
    sees_colour=True,
)
def shows(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """At work nothing is seen through a top: something goes beneath it."""
    top = shows_above(outfit)
    if top is not None:
        text = f"At work nothing is seen through a {said(top.piece.kind)}: wear something beneath it."
        where = ("bust", outfit.at("bust"))
        yield con(SHOWS, "sheer", where, "Seen through at work", text, also=("dress_code",))


@rule(
    "register.black",
    reads=("areas",),
    by_setting=("asks",),
    speaks_to=lambda of: of.aims.setting.asks == "black",
    sees_colour=True,
)
def black(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A code that asks for black: the lightest large area decides."""
    lightest = max(outfit.areas, key=lambda area: area.lightness, default=None)
    if lightest is None:
        return
    held = Figure("lightness", lightest.lightness, BLACK, "share")
    if lightest.lightness > BLACK:
        text = f"Black is asked for, and the {said(lightest.piece.kind)} is not."
        yield con(0.55, "dress_code", ("whole", lightest.middle), "Not all in black", text, held)
    else:
        yield pro(0.2, "dress_code", ("whole", outfit.at("bust")), "All in black", "All in black, as asked.", held)


@rule(
    "register.weather",
    looks_at=BASE,
    reads=("insulation", "insulation_without_layers", "heel"),
    borders=(BEARABLE,),
    by_setting=("celsius", "outdoors"),
    speaks_to=lambda of: of.aims.setting.celsius is not None,
)
def weather(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Warm enough with everything on, cool enough with the layers off."""
    celsius, outdoors = aims.setting.celsius, aims.setting.outdoors
    if celsius is None:
        return
    met, bearable = WALKING if outdoors else AT_REST, BEARABLE.of(outfit)
    # Who is cold walks, and in the heat one strolls and sits down.
    coolest, warmest = at_ease_in(outfit.insulation, met), at_ease_in(outfit.insulation_without_layers, AT_REST)
    where, how = ("whole", outfit.at("under_bust")), "Walking" if outdoors else "At rest"
    held, air = Figure("at ease from", coolest, celsius, "°C"), f"{celsius:.0f} °C"
    if celsius < coolest - bearable:
        text = f"{how} this is enough down to about {coolest:.0f} °C, and it is {air}: add a layer."
        weight = least(0.6, 0.25 + FURTHER * (coolest - bearable - celsius))
        yield con(weight, "too_cold", where, "Not warm enough", text, held)
    elif celsius > warmest + bearable:
        text = f"At rest, even without a layer, this is right at about {warmest:.0f} °C, and it is {air}."
        weight = least(0.6, 0.25 + FURTHER * (celsius - warmest - bearable))
        yield con(weight, "too_warm", where, "Too warm", text, Figure("at ease up to", warmest, celsius, "°C"))
    else:
        right = f"{how} this is right from {coolest:.0f} °C, and at rest to {warmest:.0f} °C without the layer."
        if round(coolest) == round(warmest):
            right = f"{how} this is right at about {warmest:.0f} °C."
        yield pro(0.12, "warmth_fits", where, "Right for the weather", right, held)


@rule(
    "register.cold_room",
    looks_at=("top", "layer"),
    reads=("heel",),
    by_setting=("celsius", "outdoors"),
    speaks_to=lambda of: of.aims.setting.celsius is not None and not of.aims.setting.outdoors,
)
def cold_room(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """In a cold room a long sleeve that is pushed up can come down again."""
    celsius = aims.setting.celsius
    worn = [layer.piece for layer in outfit.layers] + ([outfit.top.piece] if outfit.top else [])
    up = next((p for p in worn if sleeve_of(p) == "long" and (p.flag("pushed") or p.flag("rolled"))), None)
    if celsius is not None and celsius <= COLD_ROOM and up is not None:
        held, where = Figure("air", celsius, COLD_ROOM, "°C"), ("arm", outfit.at("under_bust"))
        text = "The long sleeve is pushed up and comes down when the room is cold."
        yield pro(0.06, "warmth_fits", where, "Sleeve for a cold room", text, held)


@rule("register.rain", looks_at=("shoes",), by_setting=("rain",), speaks_to=lambda of: of.aims.setting.rain)
def rain(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Rain goes into an open shoe."""
    shoes = outfit.shoes
    row = shoes.piece.row if shoes.piece else None
    if row is not None and row.shoe is not None and row.shoe.open:
        text = f"Rain goes into {said(row.name)}: a closed shoe or a boot."
        held, where = Figure("cover of the foot", shoes.cover.cm, CLOSED), ("foot", shoes.cover.cm / 2)
        yield con(0.3, "rain", where, "Open to the rain", text, held)


@rule(
    "register.wet_hem",
    looks_at=("bottom", "one_piece"),
    reads=("heel",),
    by_setting=("rain",),
    speaks_to=lambda of: of.aims.setting.rain,
)
def wet_hem(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A hem near wet ground draws the water up."""
    bottom = outfit.bottom
    if bottom is not None and bottom.is_wide_hemmed and not bottom.inside and bottom.falls_to < WET:
        clear = most(0.0, bottom.falls_to)
        text = Sentence.of("A hem {clear} above wet ground draws the water up.", clear=clear)
        held = Figure("hem above the ground", bottom.falls_to, WET)
        yield con(0.25, "rain", ("foot", clear), "Hem in the wet", text, held)
