"""The shapes that the writer of recipes gives a list, and the slips of its finger."""

from __future__ import annotations

import random


def shaped(c: random.Random, bullet: str, rows: list[tuple[str, str]], shape: str) -> list[str]:
    """Return the lines of a list of amounts and names in one shape: a table, columns, one line, broken lines, numbers."""
    if c.random() < 0.15:
        rows = [(_slip(c, amount, units=True), _slip(c, name, units=False)) for amount, name in rows]
    plain = [f"{amount} {'of ' if c.random() < 0.05 else ''}{name}" for amount, name in rows]
    if shape == "pipe":
        if c.random() < 0.5:
            return ["| Ingredient | Amount |", "|---|---|", *(f"| {name} | {amount} |" for amount, name in rows)]
        return [f"{name} | {amount}" for amount, name in rows]
    if shape == "behind":
        joint = c.choice((": ", " - ", " … ", ", ", " – "))
        return [f"{name.split(',')[0]}{joint}{amount}" for amount, name in rows]
    if shape == "columns":
        pairs = [plain[i : i + 2] for i in range(0, len(plain), 2)]
        return ["     ".join(pair) for pair in pairs]
    if shape == "run-on" and len(plain) >= 3:
        return [c.choice((", ", "; ", " • ")).join(p.replace(", ", " ") for p in plain)]
    if shape == "broken":
        return _broken(c, bullet, rows)
    if shape == "numbered":
        return [f"{n}) {p}" for n, p in enumerate(plain, start=1)]
    return [f"{bullet}{p}" for p in plain]


def _broken(c: random.Random, bullet: str, rows: list[tuple[str, str]]) -> list[str]:
    """Return the lines of a list of which most that have a comma are broken behind it."""
    found: list[str] = []
    for amount, name in rows:
        if "," in name and c.random() < 0.8:
            first, rest = name.split(", ", 1)
            found += [f"{bullet}{amount} {first},", rest]
        else:
            found.append(f"{bullet}{amount} {name}")
    return found


def _slip(c: random.Random, text: str, *, units: bool) -> str:
    """Return a text with one slip of the finger in its longest word: two letters swapped, one doubled or one left out."""
    word = max(text.split(), key=len)
    if len(word) < (7 if units else 8) or not word.isalpha() or c.random() < 0.5:
        return text
    at = c.randrange(2, len(word) - 2)
    wrong = c.choice(
        (
            word[:at] + word[at + 1] + word[at] + word[at + 2 :],
            word[:at] + word[at] + word[at:],
            word[:at] + word[at + 1 :],
        )
    )
    return text.replace(word, wrong, 1)
