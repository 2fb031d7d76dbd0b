"""What the lines of a list are for the method: dry or wet, kept for the end, second in another's line."""

from __future__ import annotations

import re
from collections.abc import Sequence
from dataclasses import dataclass

from sun_crumb.core.method.records import MethodLine

TO_FINISH = re.compile(
    r"\b(?:to|for)\s+(?:dust|dusting|sprinkl\w+|serve|serving|decorat\w+|finish\w*|garnish\w*|glaz\w+|roll\w*|coat\w*|brush\w*|drizzl\w+|top\w*|the top|fry\w*)\b",
    re.I,
)
TO_GREASE = re.compile(
    r"\b(?:for|to)\s+(?:the\s+)?(?:greas\w*|brush\w*|tins?|pans?|dish|tray|moulds?|oil\w*|lin\w+)\b", re.I
)
# "200 g berries + 1 tbsp sugar"
_AND_SO_MUCH = re.compile(r"(?:\+|&|\b(?:plus|and|with))\s*[\d½¼¾⅓⅔]")
# "175 g butter, plus extra for the tin", "200 g sugar + more to roll": the line itself goes into the bowl.
AND_MORE = re.compile(
    r"(?:\+|\b(?:plus|and|with))\s+(?:(?:a\s+)?(?:little|bit|few|knob|pat|spot|touch)|extra|more|some)\b|,\s*(?:extra|more)\b",
    re.I,
)
DRY_ROLES = ("flour", "starch", "leaven", "salt", "flavour", "fibre")
WET_ROLES = ("liquid", "egg", "syrup", "puree", "fat", "dairy", "acid")
# A flavouring that holds more water or alcohol than this is poured [g in 100 g] (judgement).
POURED_WATER_G, POURED_ALCOHOL_G = 40.0, 5.0


def is_for_the_end(text: str) -> bool:
    """Return whether a line's words keep all of it for the end: "icing sugar, to dust", and no "200 g sugar + more to roll"."""
    return bool(TO_FINISH.search(text)) and not AND_MORE.search(text)


@dataclass(frozen=True, slots=True)
class Listed:
    """The lines of a list, asked by their place in it."""

    lines: tuple[MethodLine, ...]

    def of(self, component: str) -> list[int]:
        """Return the lines of a component."""
        return [k for k, line in enumerate(self.lines) if line.component == component]

    def has_role(self, k: int, *roles: str) -> bool:
        """Return whether a line's food, where it is known, has one of some roles."""
        food = self.lines[k].ingredient
        return food is not None and food.has_role(*roles)

    def twins(self, k: int, component: str | None = None) -> list[int]:
        """Return the lines that one line of the text was read into, itself among them; of a *component* where one is named."""
        text = self.lines[k].text
        return [
            n for n, line in enumerate(self.lines) if text and line.text == text and component in (None, line.component)
        ]

    def is_to_finish(self, k: int) -> bool:
        """Return whether a line's own words keep it for the end; of "100 g sugar, plus 1 tbsp to sprinkle" that is the second."""
        twins = self.twins(k)
        text = self.lines[k].text
        if len(twins) < 2 and AND_MORE.search(text):
            return False  # "300 g blackberries, plus a few to serve"
        return bool(TO_FINISH.search(text)) and (len(twins) < 2 or k == twins[-1])

    def is_to_grease(self, k: int) -> bool:
        """Return whether a line's own words keep it for the tin."""
        text = self.lines[k].text
        return bool(TO_GREASE.search(text)) and not AND_MORE.search(text)

    def is_beside_another(self, k: int) -> bool:
        """Return whether a line's food stands second in a line that tells another first: "200 g berries + 1 tbsp sugar"."""
        line = self.lines[k]
        twins = self.twins(k, line.component)
        first = self.lines[twins[0]].ingredient if twins else None
        if first is not None and line.ingredient is not None and first.group == line.ingredient.group == "egg":
            return False  # "3 eggs + 1 yolk"
        is_second = len(twins) > 1 and k != twins[0] and self.lines[twins[0]].ingredient != line.ingredient
        return is_second and bool(_AND_SO_MUCH.search(line.text))

    def stage(self, k: int, own: Sequence[int]) -> str:
        """Return whether a line is of the "dry" or the "wet" ones among *own*: by the stage it is listed under, else by what it is; else nothing."""
        if {"dry", "wet"} & {self.lines[n].stage for n in own}:
            return self.lines[k].stage
        food = self.lines[k].ingredient
        if food is None:
            return ""
        if food.has_role("leaven") and not food.has_role("liquid", "acid"):
            return "dry"
        held = food.per_100g
        if food.has_role("flavour") and (held.water_g > POURED_WATER_G or held.alcohol_g > POURED_ALCOHOL_G):
            return "wet"
        if food.has_role(*WET_ROLES) and not food.has_role("flour", "chocolate"):
            return "wet"
        if food.has_role(*DRY_ROLES) or (food.has_role("sugar") and not food.has_role("syrup")):
            return "dry"
        return ""
