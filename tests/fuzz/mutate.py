"""Valid data with something wrong in it: what gets past the first check and meets the second."""

from __future__ import annotations

import copy
import json
from random import Random
from typing import Any

# What programs trip over, by experience; some of it is right in some places.
NASTY: tuple[Any, ...] = (
    None, True, False, 0, -1, 1, 0.5, 7, 2**31, 2**63, -(2**63) - 1, 1e308, -1e308, 1e-320, float("nan"), float("inf"),
    "", " ", "x", "9", "²", "\ud800", "\x00", "\u202e", "é" * 50, "x" * 500, "x" * 5000, "own_1", "own_²", "own_99999999999999999999",
    "honey", "white_sugar", "milk", "__proto__", "../../etc/passwd", "%", "_", "'; DROP TABLE recipes; --",
    "<script>alert(1)</script>", "{{7*7}}", "=1+1", "2026-13-45", "0001-01-01", "9999-12-31", "balanced", "blend",
    [], {}, [None], [[]], {"": ""}, ["x"] * 500, {str(i): i for i in range(60)}, [0, "a", None],
)  # fmt: skip


def places(data: Any, at: tuple[Any, ...] = ()) -> list[tuple[Any, ...]]:
    """Return the path of every value in *data*."""
    found = [at] if at else []
    inside = data.items() if isinstance(data, dict) else enumerate(data) if isinstance(data, list) else ()
    for key, value in inside:
        found += places(value, (*at, key))
    return found


def mutated(data: Any, random: Random) -> Any:
    """Return a copy of *data* with one to three things changed, left out, doubled or added."""
    data = copy.deepcopy(data)
    for _ in range(random.choice((1, 1, 1, 2, 3))):
        paths = places(data)
        if not paths:
            return copy.deepcopy(random.choice(NASTY))
        *way, last = random.choice(paths)
        inside = data
        for key in way:
            inside = inside[key]
        match random.randrange(8):
            case 0:
                del inside[last]
            case 1 if isinstance(inside, list):
                inside.insert(last, copy.deepcopy(inside[last]))
            case 2 if isinstance(inside, dict):
                inside[random.choice(("surprise", "", "id", "locks", "²"))] = copy.deepcopy(random.choice(NASTY))
            case 3:
                others = random.choice(paths)
                value = data
                for key in others:
                    value = value[key] if isinstance(value, dict | list) and _has(value, key) else None
                inside[last] = copy.deepcopy(value)
            case _:
                inside[last] = copy.deepcopy(random.choice(NASTY))
    return data


def _has(value: Any, key: Any) -> bool:
    return key in value if isinstance(value, dict) else isinstance(key, int) and key < len(value)


def text_of(data: Any) -> str:
    """Return *data* as JSON, as a careless program would write it: with NaN and halves of characters."""
    return json.dumps(data, allow_nan=True)


def damaged(text: str, random: Random) -> str:
    """Return *text* cut short, with a stretch lost, doubled or overwritten."""
    a, b = sorted(random.randrange(len(text) + 1) for _ in "ab")
    return random.choice(
        (
            text[:a],
            text[a:],
            text[:a] + text[b:],
            text[:b] + text[a:],
            text[:a]
            + random.choice(("\x00", "²", "\ud800", "<!--", '"', "{", "]", "\r", "9" * 50, "\u2028"))
            + text[a:],
            text[:a] + text[a : a + 1].swapcase() + text[a + 1 :],
        )
    )
