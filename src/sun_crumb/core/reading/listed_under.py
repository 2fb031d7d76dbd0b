"""The stage that each food of a list stands under: the wet and the dry things of one mixture."""

from __future__ import annotations

import re

from sun_crumb.core.reading.headings import heading_kind
from sun_crumb.core.reading.records import Reading


def stages_of(reading: Reading) -> tuple[str, ...]:
    """Return for each line of a reading the stage that it is listed under: "dry", "wet" or nothing."""
    found: list[str] = []
    stage = ""
    for line in reading.lines:
        if line.role == "heading":
            stage = _stage(line.text)
        found.append(stage)
    return tuple(found)


def stage_by_text(reading: Reading) -> dict[str, str]:
    """Return the stage of each text of a reading's foods that stands under one; a text that stands under two is under none."""
    told: dict[str, set[str]] = {}
    for line, stage in zip(reading.lines, stages_of(reading), strict=True):
        if line.role == "food":
            told.setdefault(line.text, set()).add(stage)
    return {text: next(iter(stages)) for text, stages in told.items() if len(stages) == 1 and "" not in stages}


def may_tell_stages(text: str) -> bool:
    """Return whether a recipe's text has a line that may head the wet or the dry things; quick, before it is read."""
    return _HEADS_A_STAGE.search(text) is not None


_HEADS_A_STAGE = re.compile(r"^\W*(?:the\s+|for the\s+)?(?:dry|wet|dries|wets|liquids?)\b[^.\n]{0,24}$", re.I | re.M)


def _stage(heading: str) -> str:
    words = heading.lower()
    if heading_kind(heading) != "stage":
        return ""
    return "dry" if "dry" in words or "dries" in words else "wet" if "wet" in words or "liquid" in words else ""
