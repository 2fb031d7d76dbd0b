"""The score sheet in words: a few aspects, each answered by one of a few words, and what the answers stand for."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from functools import cache

from sun_crumb.core.errors import OutOfDomainError, require_choice
from sun_crumb.core.reference import table


@dataclass(frozen=True, slots=True)
class Aspect:
    """Something that is tasted: its name, and its words by value, the least first; 0 is what is wished, but for *liked*."""

    key: str
    name: str
    words: Mapping[int, str]


@cache
def aspects() -> dict[str, Aspect]:
    """Return the aspects of the sheet by key, in its order."""
    words: dict[str, dict[int, str]] = {}
    names: dict[str, str] = {}
    for row in table("score_sheet"):
        words.setdefault(row["aspect"], {})[int(row["value"])] = row["words"]
        names[row["aspect"]] = row["name"]
    return {key: Aspect(key, names[key], found) for key, found in words.items()}


def checked(scores: Mapping[str, int]) -> dict[str, int]:
    """Return scores in the sheet's order.

    Raises
    ------
    UnknownChoiceError, OutOfDomainError
        There is no such aspect, no such word, or no score at all; names the field.
    """
    if not scores:
        raise OutOfDomainError("a tasting says at least one thing", field="scores")
    for key, value in scores.items():
        aspect = aspects()[require_choice(key, aspects(), "scores")]
        if value not in aspect.words:
            raise OutOfDomainError(
                f"{aspect.name}: {value} is none of {min(aspect.words)} to {max(aspect.words)}", field=f"scores.{key}"
            )
    return {key: scores[key] for key in aspects() if key in scores}


def words_of(scores: Mapping[str, float]) -> tuple[str, ...]:
    """Return what scores say, what is just right left out; means say the nearest word.

    Examples
    --------
    >>> words_of({"sweetness": -1, "crumb": 2, "rise": 0})
    ('sweetness: a little less sweet', 'crumb: gummy')
    """
    return tuple(
        f"{aspects()[key].name.lower().rstrip('?')}: {aspects()[key].words[round(value)]}"
        for key, value in scores.items()
        if round(value) or key == "liked"
    )


def together(sheets: Iterable[Mapping[str, int]]) -> dict[str, float]:
    """Return the mean of several tasters' scores, of each aspect over those who answered it."""
    given: dict[str, list[int]] = {}
    for sheet in sheets:
        for key, value in sheet.items():
            given.setdefault(key, []).append(value)
    return {key: sum(given[key]) / len(given[key]) for key in aspects() if key in given}
