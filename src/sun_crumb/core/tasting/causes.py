"""From a score to its causes: ranked from the symptom and from the bake's own numbers, each with a trial that changes one thing."""

from __future__ import annotations

import re
from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass
from functools import cache
from math import exp

from sun_crumb.core.balance import Family, measure
from sun_crumb.core.balance.norms import absolutes, norms
from sun_crumb.core.formula import FormulaLine
from sun_crumb.core.reference import table
from sun_crumb.core.tasting.sheet import aspects

# A score of half a word on average is one; a cause that is this much less likely than the first is not worth a line.
LEAST_SCORE, LEAST_LIKELY, MOST_CAUSES = 0.5, 0.08, 4


@dataclass(frozen=True, slots=True)
class Change:
    """What a trial changes: *line* a kind of food by a factor, *oven* minutes or degrees, *sweet* the sweetness by a share, *note* how it is made."""

    kind: str
    what: str = ""
    by: float = 0.0


@dataclass(frozen=True, slots=True)
class Cause:
    """Why something may have come out so: how likely beside the others, the bake's own figures that speak for it, and what to try."""

    key: str
    aspect: str
    symptom: str
    words: str
    likely: float
    signs: tuple[str, ...]
    trial_words: str
    changes: tuple[Change, ...]


@dataclass(frozen=True, slots=True)
class _Sign:
    name: str
    is_over: bool
    limit: float
    weight: float

    def holds(self, facts: Mapping[str, float]) -> bool:
        value = facts.get(self.name)
        return value is not None and (value > self.limit if self.is_over else value < self.limit)


@dataclass(frozen=True, slots=True)
class _Row:
    key: str
    aspect: str
    sign: int
    base: float
    signs: tuple[_Sign, ...]
    words: str
    changes: tuple[Change, ...]
    trial_words: str


@cache
def _rows() -> tuple[_Row, ...]:
    found = []
    for row in table("causes"):
        signs = []
        for text in row["when"].split():
            name, over, limit, weight = re.fullmatch(r"(\w+)([<>])(-?[\d.]+):(-?[\d.]+)", text).groups()  # type: ignore[union-attr]
            signs.append(_Sign(name, over == ">", float(limit), float(weight)))
        changes = tuple(_change(part) for part in row["trial"].split("|"))
        sign = 1 if row["sign"] == "+" else -1
        found.append(
            _Row(
                row["key"],
                row["aspect"],
                sign,
                float(row["base"]),
                tuple(signs),
                row["words"],
                changes,
                row["trial_words"],
            )
        )
    return tuple(found)


def _change(text: str) -> Change:
    kind, *rest = text.split()
    return Change(kind, rest[0] if len(rest) > 1 else "", float(rest[-1]) if rest else 0.0)


# How a figure that speaks for a cause is told.
_TOLD = {
    "water_over": "{:.0%} over where such crumbs lie in free water",
    "water_under": "{:.0%} under where such crumbs lie in free water",
    "puree": "{:.0%} of the batter is purée or paste",
    "filler": "{:.0%} of the batter is fibre",
    "liquid": "liquid by what holds it {:+.0%} against the original",
    "fat": "fat {:+.0%} against the original",
    "structure": "structure {:+.0%} against the original",
    "bulk": "what dissolves {:+.0%} against the original",
    "lift": "gas {:+.0%} against the original",
    "alkali": "soda over its acid by {:.1f} meq/kg more than such a dessert bears",
    "browning": "sugars that brown {:+.0%} against the original",
    "minutes": "baked {:.0%} of the time told",
    "oven": "this oven runs {:+.0f} °C",
    "feel": "the batter {}",
    "glycosides": "{:.0f} mg of stevia or monk fruit in 100 g",
    "polyols": "{:.1f} g of sugar alcohols in 100 g",
    "sweet": "{:.0%} as sweet by its figures",
    "learned": "found {:.0%} as sweet as the model says",
    "crystals": "{:.0%} of the original's crystals are left to cream",
    "sugar": "{:.0%} of the original's sugar is left",
    "flavouring": "{:.0%} of the original's flavouring",
}


def facts_of(
    before: Iterable[FormulaLine],
    after: Iterable[FormulaLine],
    family: Family,
    *,
    minutes: float | None = None,
    oven_c: float = 0.0,
    feel: int | None = None,
    learned: Mapping[str, float] | None = None,
) -> dict[str, float]:
    """Return the figures of a bake's component that causes are judged by.

    Parameters
    ----------
    before, after
        The component as the original has it and as it was baked [g].
    family
        Its kind of dessert, for the norms.
    minutes
        How long it was baked over the earliest time told [share]; None where not noted.
    oven_c
        How much hotter the oven is than its dial [°C].
    feel
        -1 a batter that holds its shape, 0 one that drops from the spoon, 1 one that pours; None where not noted.
    learned
        Logarithms of the sweetness found, by pantry key.
    """
    before, after = list(before), [line for line in after if line.grams > 0]
    was, now = measure(before), measure(after)
    found = _absolute(after, now) | _against(before, after, was, now)
    usual = norms(family.key)
    # Soda over its acid counts beyond what such desserts and the original itself bear.
    borne = max(usual["alkali"].high if "alkali" in usual else 0.0, 1000 * was["alkali"] / (was["mass"] or 1.0), 0.0)
    found["alkali"] = max(1000 * now["alkali"] / (now["mass"] or 1.0) - borne, 0.0)
    norm = usual.get("water")
    if norm is not None and norm.high > 0:
        water = absolutes(now)["water"]
        found["water_over"] = max(water / norm.high - 1, 0.0)
        found["water_under"] = max(1 - water / norm.low, 0.0) if norm.low else 0.0
    if minutes is not None:
        found["minutes"] = minutes
    if abs(oven_c) >= 1:
        found["oven"] = oven_c
    if feel is not None:
        found["feel"] = float(feel)
    factors = [value for key, value in (learned or {}).items() if any(x.ingredient.key == key for x in after)]
    if factors:
        found["learned"] = exp(max(factors, key=abs))
    return found


def _absolute(lines: Sequence[FormulaLine], now: Mapping[str, float]) -> dict[str, float]:
    """Return what a batter holds of what bakers look at: shares, meq/kg, mg and g in 100 g."""
    mass = now["mass"] or 1.0

    def held(*names: str) -> float:
        return float(sum(x.grams * sum(getattr(x.ingredient.per_100g, name) for name in names) for x in lines) / mass)

    return {
        "puree": _grams(lines, "puree", "paste") / mass,
        "filler": held("inulin_g", "polydextrose_g") / 100,
        "glycosides": 1000 * held("glycosides_g"),
        "polyols": held("polyols_g"),
    }


def _against(
    before: Sequence[FormulaLine], after: Sequence[FormulaLine], was: Mapping[str, float], now: Mapping[str, float]
) -> dict[str, float]:
    """Return how a batter differs from the original's, gram for gram [share]."""
    found = {}
    mass_before, mass = was["mass"] or 1.0, now["mass"] or 1.0
    for name in ("fat", "structure", "bulk", "lift", "browning"):
        if was[name] > 1e-6 * mass_before:
            found[name] = (now[name] / mass) / (was[name] / mass_before) - 1
    if was["holding"] > 0 and now["holding"] > 0 and was["liquid"] > 0:
        found["liquid"] = (now["liquid"] / now["holding"]) / (was["liquid"] / was["holding"]) - 1
    if was["sweetness"] > 0:
        found["sweet"] = (now["sweetness"] / mass) / (was["sweetness"] / mass_before)
    for name, role in (("crystals", "sugar"), ("flavouring", "flavour")):
        if (grams := _grams(before, role)) > 0:
            found[name] = _grams(after, role) / grams
    if (sugars := sum(x.grams * x.ingredient.per_100g.total_sugars_g for x in before)) > 0:
        found["sugar"] = sum(x.grams * x.ingredient.per_100g.total_sugars_g for x in after) / sugars
    return found


def _grams(lines: Iterable[FormulaLine], *roles: str) -> float:
    return sum(line.grams for line in lines if line.ingredient.has_role(*roles))


def causes(scores: Mapping[str, float], facts: Mapping[str, float]) -> tuple[Cause, ...]:
    """Return what may have caused the scores, the likeliest first, for each aspect that is off.

    Parameters
    ----------
    scores
        Scores by aspect, from -2 to 2, means where several tasted.
    facts
        The bake's figures, as facts_of gives them.

    Notes
    -----
    Each cause has a weight before anything is known, and each figure that speaks for or against it adds to it; they are shares of the symptom's whole.

    References
    ----------
    causes.csv
    """
    found: list[Cause] = []
    for aspect, score in sorted(scores.items(), key=lambda pair: -abs(pair[1])):
        if aspect == "liked" or aspect not in aspects() or abs(score) < LEAST_SCORE:
            continue
        sign = 1 if score > 0 else -1
        rows = [row for row in _rows() if row.aspect == aspect and row.sign == sign]
        weights = [max(row.base + sum(s.weight for s in row.signs if s.holds(facts)), 0.05) for row in rows]
        whole = sum(weights)
        symptom = aspects()[aspect].words[max(min(round(score) or sign, 2), min(aspects()[aspect].words))]
        ranked = sorted(zip(weights, rows, strict=True), key=lambda pair: -pair[0])[:MOST_CAUSES]
        found += [
            Cause(
                row.key,
                aspect,
                symptom,
                row.words,
                weight / whole,
                tuple(dict.fromkeys(_told(s, facts) for s in row.signs if s.weight > 0 and s.holds(facts))),
                row.trial_words,
                row.changes,
            )
            for weight, row in ranked
            if weight / whole >= LEAST_LIKELY
        ]
    return tuple(found)


def _told(sign: _Sign, facts: Mapping[str, float]) -> str:
    value = facts[sign.name]
    if sign.name == "feel":
        return "the batter poured" if value > 0 else "the batter held its shape"
    return _TOLD[sign.name].format(value).replace("%", " %").replace("-", "−")
