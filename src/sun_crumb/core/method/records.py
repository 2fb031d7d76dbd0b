"""What a method is taken into: steps, what they use, what they wait for."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from sun_crumb.core.pantry import Ingredient

WaitKind = Literal["bake", "rest", "chill", "freeze", "cool", "soak", "rise", "simmer", "set"]


@dataclass(frozen=True, slots=True)
class MethodLine:
    """An ingredient line as a method may speak of it: its own words, its food and weight [g], its component and the stage it is listed under."""

    text: str
    name: str
    component: str = ""
    ingredient: Ingredient | None = None
    grams: float | None = None
    stage: str = ""


@dataclass(frozen=True, slots=True)
class Use:
    """A line that a step uses, by its position in the list, and how much of it: a share, and that in grams where its weight is known.

    ``is_sure`` is False where the words leave it open.
    """

    position: int
    share: float
    grams: float | None = None
    is_sure: bool = True


@dataclass(frozen=True, slots=True)
class Wait:
    """A time in which nobody's hands are needed [min]."""

    kind: WaitKind
    low_min: int
    high_min: int


@dataclass(frozen=True, slots=True)
class Reached:
    """A temperature that the thing itself reaches, and no oven's [°C]: a syrup's, a custard's, frying oil's, a crumb's."""

    of: str
    temperature_c: float


@dataclass(frozen=True, slots=True)
class Mention:
    """Where a step's words speak of lines: from and to, by character; what of them it takes there. Without uses it speaks of what is in already.

    ``lead`` is where the words that tell how much begin ("half the"); ``of`` the lines meant; an ``is_group`` speaks of several at once, what ``greases`` a tin of what it is greased with;
    what ``is_moved`` goes in elsewhere by the baker's own word.
    """

    start: int
    end: int
    uses: tuple[Use, ...] = ()
    lead: int = -1
    of: tuple[int, ...] = ()
    is_group: bool = False
    is_part: bool = False
    greases: bool = False
    is_moved: bool = False


@dataclass(frozen=True, slots=True)
class MethodStep:
    """One step: what it says and uses, waits for, needs, and which steps come before it.

    ``temperature_c`` is the conventional oven's while the step lasts; ``hands_on_minutes`` how long it keeps the cook; ``after`` the numbers
    of the steps that must be done before; ``origin`` the steps of the recipe's own text, from 1; ``makes`` the part that is ready with it.
    """

    n: int
    text: str
    component: str
    uses: tuple[Use, ...]
    wait: Wait | None
    temperature_c: float | None
    hands_on_minutes: tuple[int, int]
    equipment: tuple[str, ...]
    until: str
    after: tuple[int, ...]
    origin: tuple[int, ...]
    makes: str = ""
    reaches: Reached | None = None
    mentions: tuple[Mention, ...] = ()
    is_sure: bool = True


@dataclass(frozen=True, slots=True)
class MethodRead:
    """A method as steps; ``unplaced`` holds the positions of lines that no step names."""

    steps: tuple[MethodStep, ...]
    unplaced: tuple[int, ...] = ()
