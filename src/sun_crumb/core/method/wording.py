"""Sentences that stay sentences when words go: lists, and what closes over a gap."""

from __future__ import annotations

import re
from collections.abc import Iterable

from sun_crumb.core.method.sentences import verb_of


def listed(parts: Iterable[str]) -> str:
    """Return parts as a list in words.

    Examples
    --------
    >>> listed(["60 g honey", "40 g sugar", "2 eggs"])
    '60 g honey, 40 g sugar and 2 eggs'
    """
    found = list(parts)
    return found[0] if len(found) == 1 else f"{', '.join(found[:-1])} and {found[-1]}" if found else ""


_ARTICLE = r"(?:(?:the|a|an|your|both|all|of|some|remaining|rest|hot|warm|melted|beaten|softened|soft|cold|grated|chopped|sifted)\s+)*"


def without(text: str, gap: str) -> str:
    """Return *text* without the *gap* that words left, the list around it closed.

    Examples
    --------
    >>> without("Cream the butter and _ until pale.", "_")
    'Cream the butter until pale.'
    >>> without("Add _, the eggs and the milk.", "_")
    'Add the eggs and the milk.'
    >>> without("Stir in the flour, salt and _.", "_")
    'Stir in the flour and salt.'
    >>> without("Crush the dates, stir in the melted _ and press into the tin.", "_")
    'Crush the dates and press into the tin.'
    """
    g = re.escape(gap)
    # "stir in _ and press": what is done with it goes with it; "stir in _ and the raisins" does not.
    text = re.sub(
        rf"(?:(,)\s*|\b)(?:stir|fold|beat|whisk|mix|work)\s+in\s+{_ARTICLE}{g}\s*(?:,\s*(?:and\s+)?(?:then\s+)?|and\s+(?:then\s+)?)(?=([a-z]+))",
        lambda m: (" and " if m[1] else "") if verb_of(m[2]) else m[0],
        text,
        flags=re.I,
    )
    # "whip the cream with _ and spoon it over": what is done next stays.
    text = re.sub(
        rf"\s+with\s+{_ARTICLE}{g}\s*,?\s*and\s+(?=([a-z]+))",
        lambda m: " and " if verb_of(m[1]) else m[0],
        text,
        flags=re.I,
    )
    for _ in range(12):
        if gap not in text:
            break
        before = text
        # "until the _ dissolves", "with _": words that hang on what is gone.
        text = re.sub(rf"\s*,?\s*\b(?:until|till|so that|before)\s+{_ARTICLE}{g}[^,.;]*", "", text, count=1, flags=re.I)
        # "with _ and cinnamon" -> "with cinnamon"
        text = re.sub(
            rf"\b(with|in|into|over|of|on)\s+{_ARTICLE}{g}\s*(?:,\s*and\b|,|\band\b|&)\s+",
            r"\1 ",
            text,
            count=1,
            flags=re.I,
        )
        # "a, b and _" -> "a and b"
        text = re.sub(rf",\s*([^,;.{g}]+?)\s+(?:and|&|or)\s+{_ARTICLE}{g}", r" and \1", text, count=1, flags=re.I)
        text = re.sub(
            rf"\s*(?:,\s*and|,|\band\b|&|\bwith\b|\bplus\b|\bor\b|\bthen\b)\s+{_ARTICLE}{g}",
            "",
            text,
            count=1,
            flags=re.I,
        )
        text = re.sub(
            rf"{_ARTICLE}{g}\s*(?:,\s*and\b|,\s*then\b|,|\band\b|&|\bwith\b)\s+", "", text, count=1, flags=re.I
        )
        if text == before:
            text = re.sub(rf"\s*\b(?:in|into|over|on|from|of)?\s*{_ARTICLE}{g}", "", text, count=1, flags=re.I)
    text = re.sub(r"\s+([,.;:])", r"\1", text)
    text = re.sub(r",(?:\s*,)+", ",", text)
    return re.sub(r"\s{2,}", " ", text).strip(" ,")


def sentence(text: str) -> str:
    """Return words as a sentence: a capital first, a stop at the end.

    Examples
    --------
    >>> sentence("cool 10 minutes")
    'Cool 10 minutes.'
    """
    text = text.strip()
    if not text:
        return ""
    return text[:1].upper() + text[1:] + ("" if text[-1] in ".!?;" else ".")
