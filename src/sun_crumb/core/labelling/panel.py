"""A portion's nutrition panel by US and EU rules: what the pantry knows of it, and what it does not."""

from __future__ import annotations

from dataclasses import dataclass
from math import nan

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.formula import Formula, total
from sun_crumb.core.labelling.rounding import eu_energy, eu_grams, us_energy, us_fat, us_grams, us_percent

KJ_PER_KCAL = 4.184
# Daily values of 21 CFR 101.9(c)(8) and (9), for 4 years and more [g].
DAILY_VALUES = {"fat": 78.0, "carbohydrate": 275.0, "fibre": 28.0, "added": 50.0}
# Energy factors of Regulation (EU) 1169/2011, annex XIV [kcal/g]; allulose is counted as a carbohydrate there.
EU_FACTORS = {
    "carbohydrate": 4.0,
    "polyols": 2.4,
    "erythritol": 0.0,
    "protein": 4.0,
    "fat": 9.0,
    "fibre": 2.0,
    "alcohol": 7.0,
}
NOT_KNOWN = "not computed: the pantry does not hold it"
ESTIMATE = (
    "An estimate from recipe and pantry, raw weight, for use at home. Who sells food asks the law and a laboratory."
)


@dataclass(frozen=True, slots=True)
class PanelRow:
    """One row: its name, the exact figure [g, kcal or kJ; nan where it is not known], as the law rounds it, and the share of the daily value where it has one [%]."""

    name: str
    exact: float
    told: str
    percent: int | None = None
    is_under: bool = False


@dataclass(frozen=True, slots=True)
class Panel:
    """A panel: the law, what it is for and how much that weighs [g], its rows, and what must be said beside."""

    law: str
    serving: str
    serving_g: float
    rows: tuple[PanelRow, ...]
    notes: tuple[str, ...]


def panels(formula: Formula, portion_g: float) -> tuple[Panel, Panel]:
    """Return the US panel of a portion and the EU panel of 100 g and a portion's energy.

    Parameters
    ----------
    formula
        The whole recipe [g, as it goes into the oven].
    portion_g
        What a portion weighs [g, > 0].

    Raises
    ------
    OutOfDomainError
        The recipe or the portion weighs nothing.

    References
    ----------
    21 CFR 101.9(c) and Regulation (EU) 1169/2011, annexes XIV and XV, with the Commission's guidance on rounding; from memory of the texts.
    """
    whole = total(formula.lines)
    if whole.mass_g <= 0 or portion_g <= 0:
        raise OutOfDomainError("what weighs nothing has no panel", field="portion_g")
    per_g = {
        name: sum(line.grams * getattr(line.ingredient.per_100g, field) for line in formula.lines) / 100 / whole.mass_g
        for name, field in (
            ("erythritol", "erythritol_g"),
            ("polyols", "polyols_g"),
            ("alcohol", "alcohol_g"),
            ("allulose", "allulose_g"),
        )
    }
    per_g |= {
        "energy": whole.energy_kcal / whole.mass_g,
        "fat": whole.fat_g / whole.mass_g,
        "carbohydrate": whole.carbohydrate_g / whole.mass_g,
        "fibre": whole.fibre_g / whole.mass_g,
        "sugars": whole.total_sugars_g / whole.mass_g,
        "added": whole.added_sugars_us_g / whole.mass_g,
        "protein": whole.protein_g / whole.mass_g,
    }
    return _us(per_g, portion_g, formula.unit), _eu(per_g, portion_g)


def _us(per_g: dict[str, float], portion_g: float, unit: str) -> Panel:
    one = {name: value * portion_g for name, value in per_g.items()}

    def share(name: str) -> int:
        return us_percent(one[name] / DAILY_VALUES[name])

    rows = [
        PanelRow("Calories", one["energy"], f"{us_energy(one['energy']):.0f}"),
        PanelRow("Total fat", one["fat"], f"{us_fat(one['fat']):g} g", share("fat")),
        PanelRow("Saturated fat, trans fat, cholesterol, sodium", nan, NOT_KNOWN),
        PanelRow("Total carbohydrate", one["carbohydrate"], us_grams(one["carbohydrate"]), share("carbohydrate")),
        PanelRow("Dietary fibre", one["fibre"], us_grams(one["fibre"]), share("fibre"), is_under=True),
        PanelRow("Total sugars", one["sugars"], us_grams(one["sugars"]), None, is_under=True),
        PanelRow("of them added sugars", one["added"], us_grams(one["added"]), share("added"), is_under=True),
    ]
    if one["polyols"] >= 0.5:
        rows.append(PanelRow("Sugar alcohols", one["polyols"], us_grams(one["polyols"]), None, is_under=True))
    rows += [
        PanelRow("Protein", one["protein"], us_grams(one["protein"])),
        PanelRow("Vitamin D, calcium, iron, potassium", nan, NOT_KNOWN),
    ]
    notes = [ESTIMATE]
    if one["allulose"] >= 0.5:
        notes.append(
            f"Holds {us_grams(one['allulose'])} of allulose, which is left out of sugars and added sugars (FDA's guidance)."
        )
    return Panel("US", f"one {unit}", portion_g, tuple(rows), tuple(notes))


def _eu(per_g: dict[str, float], portion_g: float) -> Panel:
    held = {name: 100 * value for name, value in per_g.items()}
    # The law's carbohydrate is what the body takes up, polyols in it, fibre out of it.
    carbohydrate = max(held["carbohydrate"] - held["fibre"], 0.0)
    others = held["polyols"] - held["erythritol"]
    kcal = (
        EU_FACTORS["carbohydrate"] * max(carbohydrate - held["polyols"], 0.0)
        + EU_FACTORS["polyols"] * others
        + EU_FACTORS["protein"] * held["protein"]
        + EU_FACTORS["fat"] * held["fat"]
        + EU_FACTORS["fibre"] * held["fibre"]
        + EU_FACTORS["alcohol"] * held["alcohol"]
    )
    rows = [
        PanelRow("Energy", kcal * KJ_PER_KCAL, f"{eu_energy(kcal * KJ_PER_KCAL):.0f} kJ / {eu_energy(kcal):.0f} kcal"),
        PanelRow("Fat", held["fat"], eu_grams(held["fat"])),
        PanelRow("of which saturates", nan, NOT_KNOWN, is_under=True),
        PanelRow("Carbohydrate", carbohydrate, eu_grams(carbohydrate)),
        PanelRow("of which sugars", held["sugars"], eu_grams(held["sugars"]), is_under=True),
    ]
    if held["polyols"] > 0.5:
        rows.append(PanelRow("of which polyols", held["polyols"], eu_grams(held["polyols"]), is_under=True))
    rows += [
        PanelRow("Fibre", held["fibre"], eu_grams(held["fibre"])),
        PanelRow("Protein", held["protein"], eu_grams(held["protein"])),
        PanelRow("Salt", nan, NOT_KNOWN),
    ]
    notes = [
        ESTIMATE,
        f"A portion of {portion_g:.0f} g: {eu_energy(kcal * portion_g / 100 * KJ_PER_KCAL):.0f} kJ / {eu_energy(kcal * portion_g / 100):.0f} kcal.",
    ]
    if held["polyols"] > 10:
        notes.append("“Excessive consumption may produce laxative effects” must stand beside it: above 10 % polyols.")
    return Panel("EU", "100 g", 100.0, tuple(rows), tuple(notes))
