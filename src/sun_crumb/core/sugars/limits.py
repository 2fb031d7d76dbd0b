"""How much sugar a day an authority lets a person have. Guidance with its source, no medical advice."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cache

from sun_crumb.core.errors import OutOfDomainError, require_choice
from sun_crumb.core.reference import table

KCAL_PER_G = 4.0
OWN = "own"


@dataclass(frozen=True, slots=True)
class AgeBand:
    """An age, and the energy that such a person is reckoned to eat a day where nobody says [kcal]."""

    key: str
    name: str
    energy_kcal: float


@dataclass(frozen=True, slots=True)
class Limit:
    """A day's limit [g], in the definition of sugar that it speaks of, with its words and its source."""

    grams: float
    authority: str
    name: str
    definition: str
    words: str
    source: str


@cache
def age_bands() -> dict[str, AgeBand]:
    """Return the age bands by key, the youngest first."""
    return {row["key"]: AgeBand(row["key"], row["name"], float(row["energy_kcal"])) for row in table("age_bands")}


@cache
def authorities() -> dict[str, str]:
    """Return the names of the authorities by key, one's own last."""
    return {row["authority"]: row["name"] for row in table("sugar_limits")} | {OWN: "Our own"}


def limit_for(
    authority: str,
    age: str,
    energy_kcal: float | None = None,
    own_g: float | None = None,
    own_definition: str = "free_sugars_who_g",
) -> Limit:
    """Return the day's limit of a person.

    Parameters
    ----------
    authority
        A key of authorities().
    age
        A key of age_bands().
    energy_kcal
        What the person eats a day [kcal, 500 to 6000]; the age band's own where None. Only authorities that speak of energy ask for it.
    own_g, own_definition
        The household's own figure [g, 0 to 500] and what it counts, for the authority *own*.

    Raises
    ------
    UnknownChoiceError, OutOfDomainError
        There is no such authority or age, or a figure is absurd or missing; names the field.

    Examples
    --------
    >>> limit_for("who_5", "adult", 2000).grams, limit_for("uk", "7_to_10").grams, limit_for("aha", "adult_man").grams
    (25.0, 24.0, 36.0)

    References
    ----------
    sugar_limits.csv; 4 kcal in a gram of sugar (21 CFR 101.9, Regulation (EU) 1169/2011)
    """
    require_choice(authority, authorities(), "authority")
    band = age_bands()[require_choice(age, age_bands(), "age")]
    if energy_kcal is not None and not 500 <= energy_kcal <= 6000:
        raise OutOfDomainError(f"nobody eats {energy_kcal:g} kcal a day; 500 to 6000", field="energy_kcal")
    if authority == OWN:
        if own_g is None or not 0 <= own_g <= 500:
            raise OutOfDomainError("say how many grams a day, 0 to 500", field="own_limit_g")
        return Limit(own_g, OWN, authorities()[OWN], own_definition, "what this household has set itself", "your own")
    sources = {row["key"]: row["what"] for row in table("sources")}
    for row in table("sugar_limits"):
        if row["authority"] == authority and age in row["ages"].split():
            value = float(row["value"])
            grams = value * (energy_kcal or band.energy_kcal) / KCAL_PER_G if row["kind"] == "energy" else value
            return Limit(grams, authority, row["name"], row["definition"], row["words"], sources[row["source"]])
    # Who is too young for any figure of an authority is given none to use up.
    return Limit(
        0.0, authority, authorities()[authority], "free_sugars_who_g", "no figure for this age: none", "judgement"
    )
