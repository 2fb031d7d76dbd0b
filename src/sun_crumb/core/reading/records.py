"""What the reader hands on."""

from __future__ import annotations

from dataclasses import dataclass, field
from typing import Literal

Role = Literal["title", "chatter", "portions", "time", "heading", "food", "continuation", "step", "note", "junk"]
LineStatus = Literal["ok", "ask", "conflict", "heading", "note", "unreadable"]


@dataclass(frozen=True, slots=True)
class Amount:
    """One amount as written: "2-3 large", "1½ cups packed", "400 g"."""

    low: float
    high: float
    unit: str | None
    text: str
    size: str = ""
    form: str = ""
    factor: float = 1.0

    @property
    def middle(self) -> float:
        """The mean of the range."""
        return (self.low + self.high) / 2


@dataclass(frozen=True, slots=True)
class ParsedLine:
    """An ingredient line taken apart. ``sums`` are added up, ``also`` are other statements of the same amount.

    ``gross`` names what its weights still include: unpeeled, unstoned, uncored, unshelled, any, or empty for nothing.
    """

    text: str
    sums: tuple[Amount, ...]
    also: tuple[Amount, ...]
    name: str
    preparation: str
    is_optional: bool
    alternatives: tuple[str, ...]
    form: str
    gross: str = ""


@dataclass(frozen=True, slots=True)
class Candidate:
    """A pantry entry that the name may stand for, and how sure that is (0 to 1); with what the line would weigh and hold of sugar [g]."""

    ingredient: str
    name: str
    confidence: float
    grams: float | None = None
    total_sugars_g: float | None = None


@dataclass(frozen=True, slots=True)
class Statement:
    """One stated amount of a line in grams."""

    text: str
    grams: float


@dataclass(frozen=True, slots=True)
class Conflict:
    """Two statements that nothing reconciles, and how the heavier-trusted one reads in household measure."""

    statements: tuple[Statement, ...]
    fits: str


@dataclass(frozen=True, slots=True)
class ReadLine:
    """One line of the text as read. Keys and meaning are the contract of the command line's ``read``."""

    text: str
    component: str
    status: LineStatus
    quantity_low: float | None = None
    quantity_high: float | None = None
    unit: str | None = None
    size: str = ""
    name: str = ""
    preparation: str = ""
    is_optional: bool = False
    alternatives: tuple[str, ...] = ()
    ingredient: str | None = None
    confidence: float = 0.0
    grams: float | None = None
    grams_low: float | None = None
    grams_high: float | None = None
    stated_grams: float | None = None
    candidates: tuple[Candidate, ...] = ()
    conflict: Conflict | None = None
    problem: str = ""
    changed: str = ""
    food: str = ""
    role: Role = "food"
    line: int = 0


@dataclass(frozen=True, slots=True)
class TextLine:
    """One line of the text as it stands, and its role; an empty line has none. All of them, joined by line ends, are the text."""

    text: str
    role: Role | None


@dataclass(frozen=True, slots=True)
class LeftOut:
    """A line that is in no total, and why."""

    text: str
    why: str
    position: int


@dataclass(frozen=True, slots=True)
class Yield:
    """How many of what a recipe makes."""

    count: int
    unit: str


@dataclass(frozen=True, slots=True)
class Portions:
    """What a recipe says of portions: how many (from ``low`` to ``high``; the cautious one is ``count``), what one is called, what they
    are cut from ("1 loaf"), whether the number is a guess, and the words it was read from. Without a count only the whole is told.
    """

    count: int | None
    low: int | None
    high: int | None
    unit: str
    whole: str
    is_assumed: bool
    text: str


@dataclass(frozen=True, slots=True)
class ComponentYield:
    """How many portions a component is said to be enough for ("frosting for 8")."""

    component: str
    count: int


@dataclass(frozen=True, slots=True)
class Oven:
    """The oven as the recipe sets it [°C]; the fan setting is told apart, not converted."""

    temperature_c: float
    is_fan: bool


@dataclass(frozen=True, slots=True)
class Tin:
    """The tin a recipe names: round, square, oblong, loaf or muffin; its sides or diameter [cm] where they are said."""

    shape: str
    sizes_cm: tuple[float, ...]
    text: str


@dataclass(frozen=True, slots=True)
class StepTime:
    """A time in the method [min] and what is done in it: bake, rest, chill, cool, soak, simmer, beat, freeze or wait."""

    doing: str
    low: int
    high: int


@dataclass(frozen=True, slots=True)
class Step:
    """One step of the method in the recipe's own words, the times that it names, and the part that its heading names ("For the sauce")."""

    text: str
    times: tuple[StepTime, ...] = ()
    part: str = ""


@dataclass(frozen=True, slots=True)
class Link:
    """Where the baker says that a line goes in: its place in the original's list, and the step by its own words."""

    position: int
    step: str


@dataclass(frozen=True, slots=True)
class Method:
    """What is done: steps, the oven [°C], the baking time [min, from and to] and the tin, None for what is not said; and what goes in where
    by the baker's own word."""

    steps: tuple[Step, ...] = ()
    oven: Oven | None = None
    bake_minutes: tuple[int, int] | None = None
    tin: Tin | None = None
    links: tuple[Link, ...] = ()


@dataclass(frozen=True, slots=True)
class Reading:
    """A whole recipe as read."""

    title: str
    yields: Yield | None
    cup: str
    cup_ml: float
    cup_reason: str
    oven: Oven | None
    bake_minutes: tuple[int, int] | None
    lines: tuple[ReadLine, ...]
    steps: tuple[str, ...] = field(default=())
    tin: Tin | None = None
    times: tuple[StepTime, ...] = ()
    component_yields: tuple[ComponentYield, ...] = ()
    portions: Portions | None = None
    text_lines: tuple[TextLine, ...] = ()
    # Why the heat that the text sets its oven to is taken for none.
    oven_problem: str = ""
