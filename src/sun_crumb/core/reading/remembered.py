"""What is found out of a line, kept for the next time: it is asked twice in one reading, and at every key while a baker types."""

from __future__ import annotations

from collections.abc import Callable
from functools import lru_cache, wraps
from typing import Concatenate, ParamSpec, TypeVar

# So many lines are kept, and none that is longer than this [characters].
MOST_LINES, LONGEST = 4096, 200

Rest = ParamSpec("Rest")
Found = TypeVar("Found")


def remembered(function: Callable[Concatenate[str, Rest], Found]) -> Callable[Concatenate[str, Rest], Found]:
    """Keep what a pure *function* of a text returns, which must be what nobody changes.

    Examples
    --------
    >>> calls = []
    >>> counted = remembered(lambda text: calls.append(text) or len(text))
    >>> counted("flour"), counted("flour"), len(calls)
    (5, 5, 1)
    """
    kept = lru_cache(maxsize=MOST_LINES)(function)

    @wraps(function)
    def answered(text: str, /, *args: Rest.args, **named: Rest.kwargs) -> Found:
        if len(text) > LONGEST:
            return function(text, *args, **named)
        return kept(text, *args, **named)  # type: ignore[arg-type]

    return answered
