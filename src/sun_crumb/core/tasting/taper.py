"""A taper: small planned cuts, bake by bake, toward a target that is still liked; it stops where scores fall."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass
from typing import Literal

from sun_crumb.core.errors import OutOfDomainError

# How much further a bake that was liked lets the next cut go, and the least step that is worth a bake [share of the sugar].
STEP, LEAST_STEP = 0.08, 0.02
# From this score on a bake was liked: "gladly".
LIKED = 2.0

State = Literal["begin", "go on", "hold", "back", "stop", "there"]


@dataclass(frozen=True, slots=True)
class Tried:
    """A bake on the way: how much of the original's sugar it cut, and how it was liked (0 to 3); None where nobody has said."""

    cut: float
    liked: float | None


@dataclass(frozen=True, slots=True)
class Stand:
    """Where a taper stands: the furthest cut that is liked, the next to try, and why."""

    state: State
    liked_cut: float
    next_cut: float
    words: str


def where_we_stand(tried: Iterable[Tried], target: float, begin: float = 0.0) -> Stand:
    """Return where a taper stands and the next cut.

    Parameters
    ----------
    tried
        The bakes so far, in their order.
    target
        The cut that is aimed at [share, 0 to 1].
    begin
        The cut that it begins from.

    Notes
    -----
    Never proposes a cut that was disliked, nor one beyond it. Between the furthest liked and the nearest disliked it tries half way, until what
    is left is less than LEAST_STEP.

    Raises
    ------
    OutOfDomainError
        The target is no share, or lies before the beginning.

    Examples
    --------
    >>> where_we_stand([Tried(0.1, 2.5)], 0.5).next_cut
    0.18
    """
    if not 0 <= begin <= target <= 1:
        raise OutOfDomainError("a taper goes from a smaller cut to a larger one, at most all of it", field="target")
    given = list(tried)
    told = [one for one in given if one.liked is not None]
    disliked = [one.cut for one in told if one.liked is not None and one.liked < LIKED]
    ceiling = min(disliked, default=None)
    liked = max(
        (
            one.cut
            for one in told
            if one.liked is not None and one.liked >= LIKED and (ceiling is None or one.cut < ceiling)
        ),
        default=begin,
    )
    if given and given[-1].liked is None:
        return Stand(
            "hold",
            liked,
            given[-1].cut,
            f"{_percent(given[-1].cut)} less is baked and not tasted yet: note a tasting first.",
        )
    if liked >= target - 1e-9:
        return Stand("there", liked, target, f"{_percent(liked)} less is liked: that is where you wanted to be.")
    if ceiling is None:
        step = min(liked + STEP, target)
        state: State = "go on" if told else "begin"
        return Stand(
            state,
            liked,
            step,
            f"Next: {_percent(step)} less sugar than the original"
            + (f"; {_percent(liked)} less is liked." if told else "."),
        )
    room = min(ceiling, target) - liked
    if room < 2 * LEAST_STEP:
        return Stand(
            "stop",
            liked,
            liked,
            f"{_percent(liked)} less is as far as it is liked; {_percent(ceiling)} was too far. Stay here.",
        )
    middle = liked + room / 2
    return Stand(
        "back",
        liked,
        round(middle, 4),
        f"{_percent(ceiling)} less was too far, {_percent(liked)} is liked: try {_percent(middle)}.",
    )


def _percent(share: float) -> str:
    return f"{100 * share:.0f} %"
