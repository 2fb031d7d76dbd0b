"""Desserts written down before the engine saw them: forty that were read while plans were mended, twenty that were read once and then mended for, and
eighty whose kinds were guessed once and then mended for.

They stand in unseen.txt, each behind a line with the families that a baker would allow each component, by its name; "*" where it does not matter.
"""

from __future__ import annotations

import re
from collections.abc import Iterator
from pathlib import Path

Unseen = tuple[str, dict[str, str]]


def _desserts() -> Iterator[Unseen]:
    parts = re.split(r"^===== (.*)\n", Path(__file__).with_suffix(".txt").read_text(encoding="utf-8"), flags=re.M)[1:]
    for head, text in zip(parts[::2], parts[1::2], strict=True):
        kinds = (cell.partition("=") for cell in head.split("\t") if cell)
        yield text.removesuffix("\n"), {component: allowed for component, _, allowed in kinds}


UNSEEN: tuple[Unseen, ...] = tuple(_desserts())
