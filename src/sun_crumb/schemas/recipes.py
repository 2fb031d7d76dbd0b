"""Recipes, their lines and portions, and wishes for them."""

from __future__ import annotations

from typing import Annotated

from pydantic import Field

from sun_crumb.schemas.fields import (
    UNSET,
    ClientKey,
    Component,
    Grams,
    Id,
    In,
    Key,
    Label,
    LineText,
    Servings,
    SourceText,
    Title,
    Unit,
)


class LineIn(In):
    """One weighed line."""

    ingredient: Key
    grams: Grams
    component: Component = ""
    text: LineText = ""
    is_crushed: bool | None = None


class PortionKindIn(In):
    """So many equal portions, and the components they get."""

    name: Annotated[str, Field(max_length=40)] = ""
    count: Servings
    components: Annotated[list[Component], Field(max_length=20)]


Lines = Annotated[list[LineIn], Field(min_length=1, max_length=400)]
Portions = Annotated[list[PortionKindIn], Field(max_length=12)]
StepWords = Annotated[str, Field(max_length=2000)]
OwnWords = Annotated[dict[Annotated[str, Field(min_length=1, max_length=2000)], StepWords], Field(max_length=200)]
OwnYields = Annotated[dict[Component, Servings], Field(max_length=20)]


class OvenIn(In):
    """The oven as the recipe sets it [°C]."""

    temperature_c: Annotated[float, Field(ge=40, le=350)]
    is_fan: bool = False


class TinIn(In):
    """The tin: its shape, and its sides or diameter [cm] where they are known."""

    shape: Annotated[str, Field(max_length=20)]
    sizes_cm: Annotated[list[Annotated[float, Field(gt=0, le=200)]], Field(max_length=3)] = []
    text: LineText = ""


Minutes = Annotated[int, Field(ge=0, le=100_000)]


class StepTimeIn(In):
    """A time of a step [min], from and to, and what is done in it."""

    doing: Annotated[str, Field(max_length=20)]
    low: Minutes
    high: Minutes


class StepIn(In):
    """One step; the times that it names are read from its words where they are not given."""

    text: Annotated[str, Field(min_length=1, max_length=4000)]
    times: Annotated[list[StepTimeIn], Field(max_length=40)] | None = None
    part: Component = ""


class LinkIn(In):
    """Where a line of the original goes in: its place in the list, and the words of the step."""

    position: Annotated[int, Field(ge=0, le=399)]
    step: Annotated[str, Field(min_length=1, max_length=2000)]


class MethodIn(In):
    """What is done: steps, oven, baking time [min, from and to], tin, null for what is not known; and what goes in where by the baker's own word."""

    steps: Annotated[list[StepIn], Field(max_length=200)] = []
    oven: OvenIn | None = None
    bake_minutes: Annotated[list[Minutes], Field(min_length=2, max_length=2)] | None = None
    tin: TinIn | None = None
    links: Annotated[list[LinkIn], Field(max_length=400)] = []


class AnalyseIn(In):
    """Weighed lines to total. ``own_yields`` says for how many portions a component is enough, by its name."""

    lines: Lines
    servings: Servings
    unit: Unit = "serving"
    own_yields: OwnYields = {}


class KindsIn(In):
    """What the baker says that a recipe's components are, by name."""

    families: Annotated[dict[Component, Key], Field(max_length=20)] = {}
    cup: Key | None = None


class CheckIn(AnalyseIn):
    """Weighed lines to judge by themselves: the title, the method and the oven help to tell what they make, ``families`` say it."""

    title: Annotated[str, Field(max_length=200)] = ""
    method: Annotated[str, Field(max_length=20_000)] = ""
    oven: OvenIn | None = None
    families: Annotated[dict[Component, Key], Field(max_length=20)] = {}
    cup: Key | None = None


class RecipeIn(In):
    """A recipe to keep; its method is read from the text where it is not given."""

    title: Title
    source_text: SourceText = ""
    cup: Key = "us"
    servings: Servings
    unit: Unit = "serving"
    lines: Lines
    portions: Portions = []
    own_yields: OwnYields = {}
    method: MethodIn | None = None
    client_key: ClientKey = None


class RecipeChangeIn(In):
    """Changes to a recipe, made against *revision*; what is left out stays, and null is nothing to change to."""

    revision: Id
    title: Title = UNSET
    servings: Servings = UNSET
    unit: Unit = UNSET
    lines: Lines = UNSET
    portions: Portions = UNSET
    own_yields: OwnYields = UNSET
    method: MethodIn = UNSET


class AmountIn(In):
    """An amount that the baker has set of what comes in [g]; 0 keeps it out of that component."""

    component: Component = ""
    ingredient: Key
    grams: Grams


class GoalsIn(In):
    """What a rework is to reach; what is left out comes from the path's presets."""

    path: Key = "blend"
    cut: float | None = None
    keep_sweet: float | None = None
    definition: Key | None = None
    diets: Annotated[list[Key], Field(max_length=20)] = []
    cupboard: Annotated[list[Key], Field(max_length=100)] | None = None
    avoid: Annotated[list[Key], Field(max_length=20)] = []
    eaters: Annotated[list[Key], Field(max_length=20)] = []
    without: Annotated[list[Key], Field(max_length=60)] = []
    including: Annotated[list[Key], Field(max_length=10)] = []
    most_energy_kcal: float | None = None
    most_free_sugar_g: float | None = None
    most_cost: float | None = None
    families: Annotated[dict[Component, Key], Field(max_length=20)] = {}
    locks: Annotated[dict[Annotated[int, Field(ge=0, le=400)], Grams], Field(max_length=400)] = {}
    amounts: Annotated[list[AmountIn], Field(max_length=40)] = []
    most_new: Annotated[int, Field(ge=0, le=6)] | None = None
    caps: Annotated[dict[Key, float], Field(max_length=10)] = {}
    flavours: Annotated[list[Key], Field(max_length=20)] | None = None
    base: Key | None = None
    recasts: Annotated[dict[Component, Key], Field(max_length=20)] = {}
    confidence: float | None = None


class WishIn(GoalsIn):
    """Goals for a recipe on the shelf, with the cup that amounts are told in."""

    cup: Key | None = None


class KeepIn(WishIn):
    """A rework to keep as a version."""

    label: Label = ""
    client_key: ClientKey = None


class SupportIn(In):
    """One ingredient that the last plan brought in [g]."""

    component: Component = ""
    ingredient: Key
    grams: Grams


class PreviewIn(WishIn):
    """Goals, and what the last plan brought in or moved by pieces."""

    support: Annotated[list[SupportIn], Field(max_length=40)] = []


class PatternIn(In):
    """Whether a version is kept as a pattern for other desserts."""

    is_pattern: bool
