"""What goes in and out over HTTP. The TypeScript types are generated from these."""

from __future__ import annotations

from datetime import date
from typing import Annotated, Any, Literal

from pydantic import BaseModel, ConfigDict, Field, create_model

from sun_crumb.core.formula.totals import TOTAL_FIELDS
from sun_crumb.core.pantry.ingredient import COMPOSITION_FIELDS
from sun_crumb.core.reading.reader import MOST_CHARACTERS
from sun_crumb.core.sugars.savings import SAVED
from sun_crumb.services.ledger import SUMS

Grams = Annotated[float, Field(ge=0, le=100_000, allow_inf_nan=False)]
Share = Annotated[float, Field(allow_inf_nan=False)]
Key = Annotated[str, Field(min_length=1, max_length=64)]
ClientKey = Annotated[str | None, Field(max_length=64)]


class In(BaseModel):
    """A request; unknown fields are refused, so that a slip is not silently lost."""

    model_config = ConfigDict(extra="forbid", str_max_length=MOST_CHARACTERS)


class Out(BaseModel):
    """A response; every field is always there."""


def _numbers(name: str, names: tuple[str, ...]) -> type[Out]:
    fields: dict[str, Any] = dict.fromkeys(names, (float, ...))
    return create_model(name, __base__=Out, **fields)


TotalsOut = _numbers("TotalsOut", TOTAL_FIELDS)
SavingsOut = _numbers("SavingsOut", ("portion_g", *SAVED))


class ErrorBody(Out):
    """What went wrong: a code to act on, a sentence to show, the field at fault, and data."""

    code: str
    message: str
    field: str | None
    details: dict[str, Any]


class ErrorOut(Out):
    """The one error format."""

    error: ErrorBody


class DoneOut(Out):
    """Done; nothing to tell."""

    done: Literal[True]


class LineIn(In):
    """One weighed line."""

    ingredient: Key
    grams: Grams
    component: Annotated[str, Field(max_length=80)] = ""
    text: Annotated[str, Field(max_length=600)] = ""
    is_crushed: bool | None = None


Lines = Annotated[list[LineIn], Field(max_length=400)]
Servings = Annotated[int, Field(ge=1, le=1000)]
Unit = Annotated[str, Field(min_length=1, max_length=40)]
Title = Annotated[str, Field(max_length=200)]


class ReadIn(In):
    """A pasted recipe."""

    text: str
    cup: Key | None = None


OwnYields = Annotated[dict[Annotated[str, Field(max_length=80)], Servings], Field(max_length=20)]


class AnalyseIn(In):
    """Weighed lines to total. ``own_yields`` says for how many portions a component is enough, by its name."""

    lines: Annotated[list[LineIn], Field(min_length=1, max_length=400)]
    servings: Servings
    unit: Unit = "serving"
    own_yields: OwnYields = {}


class CandidateOut(Out):
    ingredient: str
    name: str
    confidence: float
    grams: float | None
    total_sugars_g: float | None


class StatementOut(Out):
    text: str
    grams: float


class ConflictOut(Out):
    statements: list[StatementOut]
    fits: str


class ReadLineOut(Out):
    text: str
    component: str
    status: Literal["ok", "ask", "conflict", "heading", "note", "unreadable"]
    quantity_low: float | None
    quantity_high: float | None
    unit: str | None
    size: str
    name: str
    preparation: str
    is_optional: bool
    alternatives: list[str]
    ingredient: str | None
    confidence: float
    grams: float | None
    grams_low: float | None
    grams_high: float | None
    stated_grams: float | None
    candidates: list[CandidateOut]
    conflict: ConflictOut | None
    problem: str


class YieldOut(Out):
    count: int
    unit: str


class OvenOut(Out):
    temperature_c: float
    is_fan: bool


class TinOut(Out):
    shape: str
    sizes_cm: list[float]
    text: str


class StepTimeOut(Out):
    doing: str
    low: int
    high: int


class ComponentYieldOut(Out):
    component: str
    count: int


class AmountsOut(Out):
    batch: TotalsOut  # type: ignore[valid-type]
    per_serving: TotalsOut  # type: ignore[valid-type]
    per_100g: TotalsOut  # type: ignore[valid-type]


class ComponentAmountsOut(AmountsOut):
    component: str
    enough_for: int


class PortionKindNamesOut(Out):
    name: str
    count: int
    components: list[str]


class AnalysisOut(AmountsOut):
    servings: int
    unit: str
    is_servings_assumed: bool
    components: list[ComponentAmountsOut]
    suggested_portions: list[PortionKindNamesOut]


class _ReadingOut(Out):
    title: str
    cup: str
    cup_ml: float
    cup_reason: str
    oven: OvenOut | None
    bake_minutes: list[int] | None
    lines: list[ReadLineOut]
    steps: list[str]
    tin: TinOut | None
    times: list[StepTimeOut]
    component_yields: list[ComponentYieldOut]
    analysis: AnalysisOut | None
    left_out: list[int]


# "yield" is a word of Python, so the field can't be declared in a class body.
_yield_field: dict[str, Any] = {"yield": (YieldOut | None, ...)}
ReadingOut = create_model("ReadingOut", __base__=_ReadingOut, **_yield_field)


class PortionKindIn(In):
    """So many equal portions, and the components they get."""

    name: Annotated[str, Field(max_length=40)] = ""
    count: Servings
    components: Annotated[list[str], Field(max_length=20)]


class RecipeIn(In):
    """A recipe to keep."""

    title: Title
    source_text: str = ""
    cup: Key = "us"
    servings: Servings
    unit: Unit = "serving"
    lines: Annotated[list[LineIn], Field(min_length=1, max_length=400)]
    portions: Annotated[list[PortionKindIn], Field(max_length=12)] = []
    own_yields: OwnYields = {}
    client_key: ClientKey = None


class RecipeChangeIn(In):
    """Changes to a recipe, made against *revision*."""

    revision: int
    title: Title | None = None
    servings: Servings | None = None
    unit: Unit | None = None
    lines: Annotated[list[LineIn], Field(min_length=1, max_length=400)] | None = None
    portions: Annotated[list[PortionKindIn], Field(max_length=12)] | None = None
    own_yields: OwnYields | None = None


class GoalsOut(Out):
    path: str
    cut: float
    keep_sweet: float
    definition: str
    diets: list[str]
    cupboard: list[str] | None
    families: dict[str, str]
    locks: dict[str, float]


class VersionLineOut(Out):
    component: str
    ingredient: str
    name: str
    grams: float
    amount: str
    household: str
    text: str
    is_crushed: bool
    reason: str


class PortionKindOut(Out):
    name: str
    count: int
    components: list[str]
    holds: TotalsOut  # type: ignore[valid-type]


class VersionSummaryOut(Out):
    id: int
    number: int
    label: str
    status: str
    servings: int
    unit: str
    goals: GoalsOut | None
    created_at: str
    per_serving: TotalsOut  # type: ignore[valid-type]
    batch: TotalsOut  # type: ignore[valid-type]
    saved_per_serving: SavingsOut  # type: ignore[valid-type]
    portions: list[PortionKindOut]
    own_yields: dict[str, int]


class VersionOut(VersionSummaryOut):
    lines: list[VersionLineOut]


class RecipeSummaryOut(Out):
    id: int
    title: str
    revision: int
    cup: str
    versions: list[VersionSummaryOut]


class RecipeOut(Out):
    id: int
    title: str
    revision: int
    cup: str
    source_text: str
    versions: list[VersionOut]


class RecipesOut(Out):
    recipes: list[RecipeSummaryOut]


class GoalsIn(In):
    """What a rework is to reach; what is left out comes from the path's presets."""

    path: Key = "blend"
    cut: Share | None = None
    keep_sweet: Share | None = None
    definition: Key | None = None
    diets: Annotated[list[Key], Field(max_length=20)] = []
    cupboard: Annotated[list[Key], Field(max_length=100)] | None = None
    families: Annotated[dict[str, str], Field(max_length=20)] = {}
    locks: Annotated[dict[int, Grams], Field(max_length=400)] = {}
    cup: Key | None = None


class KeepIn(GoalsIn):
    """A rework to keep as a version."""

    label: Annotated[str, Field(max_length=80)] = ""
    client_key: ClientKey = None


class PlanLineOut(Out):
    position: int | None
    component: str
    ingredient: str
    name: str
    before_g: float
    after_g: float
    household_before: str
    household: str
    reason: str
    is_locked: bool


class MetricOut(Out):
    key: str
    name: str
    before: float
    after: float
    deviation: float
    band: list[float]
    level: Literal["balanced", "strained", "off"]
    words: str


class BalanceOut(Out):
    component: str
    family: str
    family_name: str
    metrics: list[MetricOut]


class ByTheBookOut(Out):
    ingredient: str
    rule: str
    rule_g: float
    plan_g: float
    why: str


class UnmetOut(Out):
    goal: str
    asked: float
    reached: float
    words: str


class PlanOut(Out):
    status: Literal["balanced", "strained", "unmet"]
    words: str
    lines: list[PlanLineOut]
    balance: list[BalanceOut]
    before: AnalysisOut
    after: AnalysisOut
    savings_per_serving: SavingsOut  # type: ignore[valid-type]
    savings_per_batch: SavingsOut  # type: ignore[valid-type]
    by_the_book: list[ByTheBookOut]
    cautions: list[str]
    advice: list[str]
    unmet: list[UnmetOut]
    is_proven: bool
    solve_ms: float


class BakeIn(In):
    """A version that was baked."""

    version_id: int
    baked_on: date
    client_key: ClientKey = None


class ServingIn(In):
    """Portions eaten."""

    bake_id: int
    eaten_on: date
    count: Annotated[float, Field(allow_inf_nan=False)]
    who: Annotated[str, Field(max_length=60)] = ""
    client_key: ClientKey = None


_SumsOut = _numbers("SumsOut", SUMS)


class BakeOut(_SumsOut):  # type: ignore[valid-type, misc]
    id: int
    recipe_id: int
    version_id: int
    title: str
    label: str
    unit: str
    baked_on: date
    servings: int
    eaten: float
    portion_g: float


class ServingOut(_SumsOut):  # type: ignore[valid-type, misc]
    id: int
    bake_id: int
    title: str
    label: str
    unit: str
    eaten_on: date
    count: float
    who: str


class BakesOut(Out):
    bakes: list[BakeOut]


class LedgerTotalOut(_SumsOut):  # type: ignore[valid-type, misc]
    servings: float


class DayOut(LedgerTotalOut):
    day: date


class LedgerOut(Out):
    since: date
    until: date
    days: list[DayOut]
    total: LedgerTotalOut
    servings: list[ServingOut]
    bakes: list[BakeOut]


class IngredientOut(Out):
    key: str
    name: str
    group: str
    energy_kcal: float
    total_sugars_g: float
    free_sugars_who_g: float
    water_g: float
    source: str
    locator: str


_CompositionOut = _numbers("CompositionOut", COMPOSITION_FIELDS)


class MeasureOut(Out):
    unit: str
    form: str
    grams: float
    source: str


class AllergenOut(Out):
    name: str
    is_us: bool
    is_eu: bool


class IngredientDetailOut(IngredientOut):
    names: list[str]
    roles: list[str]
    sugar_kind: str
    composition: _CompositionOut  # type: ignore[valid-type]
    sweetness: float | None
    measures: list[MeasureOut]
    allergens: list[AllergenOut]
    fits_diets: list[str]
    not_for_diets: list[str]
    source_words: str
    by_hand: list[str]


LabelGrams = Annotated[float | None, Field(ge=0, le=1000, allow_inf_nan=False)]


class LabelIn(In):
    """What a pack says, per *basis_g*; what it does not say is taken from the ingredient *like*."""

    name: Annotated[str, Field(min_length=1, max_length=80)]
    like: Key
    law: Literal["eu", "us"] = "eu"
    basis_g: Annotated[float, Field(gt=0, le=1000, allow_inf_nan=False)] = 100.0
    energy_kcal: Annotated[float | None, Field(ge=0, allow_inf_nan=False)] = None
    energy_kj: Annotated[float | None, Field(ge=0, allow_inf_nan=False)] = None
    fat_g: LabelGrams = None
    carbohydrate_g: LabelGrams = None
    sugars_g: LabelGrams = None
    added_sugars_g: LabelGrams = None
    polyols_g: LabelGrams = None
    fibre_g: LabelGrams = None
    protein_g: LabelGrams = None
    salt_g: LabelGrams = None
    cup_g: LabelGrams = None
    is_cup_like_sugar: bool = False


class ProductOut(Out):
    ingredient: IngredientDetailOut
    estimated: list[str]
    contradictions: list[str]


class SweetenerOut(Out):
    key: str
    name: str
    is_refined: bool
    grams: float | None
    household: str
    energy_kcal: float | None
    free_sugars_who_g: float | None
    free_sugars_uk_g: float | None
    water_g: float | None
    price: float | None
    price_per_kg: float | None


class SweetenersOut(Out):
    sweeteners: list[SweetenerOut]


class FileIn(In):
    """A file's name and text."""

    name: Annotated[str, Field(min_length=1, max_length=200)]
    content: Annotated[str, Field(max_length=900_000)]

    model_config = ConfigDict(extra="forbid", str_max_length=900_000)


class ImportOut(Out):
    """Text for the reader, or the number of the recipe that is on the shelf now."""

    text: str
    recipe_id: int | None


class FileOut(Out):
    name: str
    media_type: str
    content: str


class IngredientsOut(Out):
    ingredients: list[IngredientOut]


class NamedOut(Out):
    key: str
    name: str


class PathOut(NamedOut):
    words: str
    cut: float
    keep_sweet: float
    definition: str
    usual: list[str]
    sweeteners: list[str]


class CupOut(NamedOut):
    cup_ml: float
    tablespoon_ml: float
    teaspoon_ml: float
    source: str


class LimitOut(Out):
    grams: float
    name: str


class ChoicesOut(Out):
    paths: list[PathOut]
    definitions: list[NamedOut]
    families: list[NamedOut]
    diets: list[NamedOut]
    cups: list[CupOut]
    sweeteners: list[IngredientOut]
    limits: list[LimitOut]


class SettingsOut(Out):
    daily_limit_g: float
    diets: list[str]
    cupboard: list[str] | None
    prices: dict[str, float]


class SettingsIn(In):
    """Preferences to change; those left out stay."""

    daily_limit_g: Annotated[float, Field(ge=1, le=500, allow_inf_nan=False)] | None = None
    diets: Annotated[list[Key], Field(max_length=20)] | None = None
    cupboard: Annotated[list[Key], Field(max_length=100)] | None = None
    prices: (
        Annotated[dict[str, Annotated[float, Field(ge=0, le=10_000, allow_inf_nan=False)]], Field(max_length=400)]
        | None
    ) = None


class HealthOut(Out):
    status: Literal["ok"]
    is_demo: bool
