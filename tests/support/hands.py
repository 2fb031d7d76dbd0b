"""The same recipe in other hands: what a list, its headings and its method look like changes, and what the recipe says does not.

The recipes are those of tests/core/fresh_recipes.txt that are laid out plainly: a title, how many, foods line by line, perhaps under headings, and
steps. Each hand lays one out anew; read again it must say the same. The hands are made up; no published source.
"""

from __future__ import annotations

import re
import textwrap
from collections.abc import Callable, Iterable, Iterator
from dataclasses import dataclass, replace

from sun_crumb.core.reading import Reading

# An amount that a line begins with, told by a pattern of its own: no part of the reader.
_AMOUNT = re.compile(
    r"^((?:\d[\d.,/½¼¾⅓⅔⅛ –-]*|[½¼¾⅓⅔⅛])\s*(?:(?:kg|g|ml|l|dl|cups?|c|tsps?|tbsps?|teaspoons?|tablespoons?|t|oz|lbs?|pints?|large|small|pinch of)\b\.?\s*)?)(?![\d.,/]|(?:g|ml)/)(\w.*)$",
    re.I,
)
_BULLET = re.compile(r"^[-*•▢◦+>☐✓–—»]\s*")
_NO_PART = re.compile(r"(?i)\W*(?:ingred|method|direct|instruct|how|you.ll need|steps|procedure|what|to make)")


@dataclass(frozen=True)
class Laid:
    """A recipe laid out plainly: title, portions, the foods of each part under its heading, steps."""

    title: str
    portions: str
    parts: tuple[tuple[str, tuple[str, ...]], ...]
    steps: tuple[str, ...]

    def text(self, head: str = "Method") -> str:
        """Return the recipe as its own lines."""
        lines = [self.title, *([self.portions] if self.portions else []), ""]
        for heading, foods in self.parts:
            lines += [*([heading] if heading else []), *foods, ""]
        return "\n".join([*lines, *([head] if head else []), *self.steps]) + "\n"

    def each_food(self, change: Callable[[str, int], str]) -> Laid:
        """Return the recipe with each food's line changed; a line knows its place in its part."""
        told = tuple((head, tuple(change(food, n) for n, food in enumerate(foods))) for head, foods in self.parts)
        return replace(self, parts=told)


def laid(reading: Reading) -> Laid | None:
    """Return a recipe that was read, laid out plainly; None where its text is not so plain."""
    rows = [row for row in reading.text_lines if row.text.strip()]
    if not rows or rows[0].role != "title" or any(row.role in ("title", "continuation") for row in rows[1:]):
        return None
    foods_of = [line.line for line in reading.lines if line.role == "food"]
    parts: list[tuple[str, list[str]]] = [("", [])]
    steps: list[str] = []
    portions: list[str] = []
    for number, row in enumerate(reading.text_lines):
        text = row.text.strip()
        if row.role == "food":
            if steps or foods_of.count(number) != 1 or "\t" in text or len(text) > 75:
                return None
            parts[-1][1].append(_BULLET.sub("", text))
        elif row.role == "heading" and not _NO_PART.match(text):
            if steps:
                return None
            parts.append((text.strip("[]<>#=~*_.…: "), []))
        elif row.role == "step":
            steps.append(text)
        elif row.role == "portions":
            portions.append(text)
    told = tuple((head, tuple(foods)) for head, foods in parts if foods)
    if sum(len(foods) for _, foods in told) < 4 or len(portions) > 1 or not steps:
        return None
    return Laid(rows[0].text.strip(), portions[0] if portions else "", told, tuple(steps))


def _behind(form: str) -> Callable[[str, int], str]:
    def change(food: str, _: int) -> str:
        found = _AMOUNT.match(food)
        if found is None or re.search(
            r"\(| or | \+ | - |^\W|^(?:x|sheet|litre|slices?|sticks?|can|tin|jar|pack|packet|sachet|bustina|di|de|level|heaped|rounded|scant|scoops?|cm|inch|msk|tsk|pck)\b",
            found[2],
        ):
            return food
        name, _, done = found[2].partition(",")
        return form.format(a=found[1].strip(), n=name.strip(), d=f", {done.strip()}" if done else "")

    return change


def _joined(recipe: Laid, sign: str) -> str:
    lines = [recipe.title, *([recipe.portions] if recipe.portions else []), ""]
    lines += [(f"{head}: " if head else "") + sign.join(foods) for head, foods in recipe.parts]
    return "\n".join([*lines, "", *recipe.steps]) + "\n"


def _beside(recipe: Laid, gap: str) -> str:
    left = [line for head, foods in recipe.parts for line in ([f"{head}:"] if head else []) + list(foods)]
    wide = max(map(len, left)) + len(gap)
    if wide > 60:
        return ""
    right = textwrap.wrap(" ".join(recipe.steps), max(26, 80 - wide))
    rows = [
        ((left[n] if n < len(left) else "").ljust(wide) + (right[n] if n < len(right) else "")).rstrip()
        for n in range(max(len(left), len(right)))
    ]
    return "\n".join([recipe.title, *([recipe.portions] if recipe.portions else []), "", *rows]) + "\n"


def _two_columns(recipe: Laid, gap: str) -> str:
    foods = [food for _, part in recipe.parts for food in part]
    if len(recipe.parts) > 1 or len(foods) < 6:
        return ""
    half = (len(foods) + 1) // 2
    wide = max(map(len, foods[:half])) + len(gap)
    rows = [(foods[n].ljust(wide) + (foods[n + half] if n + half < len(foods) else "")).rstrip() for n in range(half)]
    top = [recipe.title, *([recipe.portions] if recipe.portions else []), ""]
    return "\n".join([*top, *rows, "", "Method", *recipe.steps]) + "\n"


def _headed(recipe: Laid, form: str) -> str:
    if not any(head for head, _ in recipe.parts) or any(
        re.match(r"(?i)\W*(?:for|to|you|we|it)\b", head) for head, _ in recipe.parts
    ):
        return ""
    parts = tuple(
        (form.format(h=head, H=head.upper(), l=head.lower()) if head else "", foods) for head, foods in recipe.parts
    )
    return replace(recipe, parts=parts).text()


def _counted(recipe: Laid, form: str) -> str:
    return replace(recipe, portions=form.format(p=recipe.portions)).text() if recipe.portions else ""


def _wrapped(recipe: Laid, wide: int) -> str:
    return "\n".join(row for line in recipe.text().split("\n") for row in textwrap.wrap(line, wide) or [""]) + "\n"


def hands() -> Iterator[tuple[str, Callable[[Laid], str]]]:
    """Give each hand by its name: what it makes of a recipe, nothing where it cannot write it."""
    for sign in (" // ", "; ", " · ", " | ", " * ", " – ", " -- ", " ~ ", " :: ", " • "):
        yield f"foods joined by {sign.strip()!r}", lambda recipe, sign=sign: _joined(recipe, sign)
    for mark in ("◦ ", "→ ", "# ", "- [ ] ", "✓ ", "~ ", "•\t", "o ", ". ", ":: ", "==> ", "[] "):
        yield f"foods behind {mark.strip()!r}", lambda recipe, mark=mark: recipe.each_food(lambda f, n: mark + f).text()
    for form in ("{n}) {f}", "({n}) {f}", "{n:02} - {f}", "**{f}**", "_{f}_", "{f};"):
        yield (
            f"foods as {form!r}",
            lambda recipe, form=form: recipe.each_food(lambda f, n: form.format(n=n + 1, f=f)).text(),
        )
    for form in (
        "{n} ..... {a}{d}",
        "{n} - {a}{d}",
        "{n}: {a}{d}",
        "{n}\t{a}{d}",
        "{n} = {a}{d}",
        "{a}: {n}{d}",
        "[{a}] {n}{d}",
    ):
        yield f"amounts as {form!r}", lambda recipe, form=form: recipe.each_food(_behind(form)).text()
    for gap in ("     ", "  ", " | "):
        yield f"method beside, {len(gap)} wide", lambda recipe, gap=gap: _beside(recipe, gap)
    for gap in ("      ", "  "):
        yield f"two columns, {len(gap)} wide", lambda recipe, gap=gap: _two_columns(recipe, gap)
    for form in (
        "== {h} ==",
        "[{h}]",
        "({h})",
        "{H}",
        "THE {H}",
        "For the {l}:",
        "Next, the {l}:",
        "B. {h}",
        "— {h} —",
    ):
        yield f"headings as {form!r}", lambda recipe, form=form: _headed(recipe, form)
    for form in ("--- {p} ---", "({p})", "~ {p} ~", "{p} / 45 min", "Prep 20 min | {p} | easy"):
        yield f"portions as {form!r}", lambda recipe, form=form: _counted(recipe, form)
    for wide in (28, 36, 45):
        yield f"lines of {wide}", lambda recipe, wide=wide: _wrapped(recipe, wide)
    yield "quoted in a letter", lambda recipe: "Dear all,\nas promised.\n\n" + textwrap.indent(recipe.text(), "> ")
    yield "no empty lines", lambda recipe: re.sub(r"\n+", "\n", recipe.text(head=""))
    yield "no-break blanks", lambda recipe: recipe.text().replace(" ", "\u00a0")


def said(reading: Reading) -> dict[str, object]:
    """Return what a reading says, to hold against another's: title, portions, oven, grams by part and food, what is asked."""
    grams: dict[str, float] = {}
    asked: list[str] = []
    for line in reading.lines:
        if line.status in ("ok", "conflict") and line.grams:
            key = f"{line.component}/{line.ingredient}".lower()
            grams[key] = grams.get(key, 0.0) + line.grams
        elif line.status in ("ask", "unreadable"):
            asked.append(line.ingredient or "?")
    return {
        "title": reading.title.lower(),
        "portions": reading.portions and reading.portions.count,
        "oven": reading.oven and (reading.oven.temperature_c, reading.oven.is_fan),
        "grams": grams,
        "asked": sorted(asked),
    }


def is_same(one: dict[str, object], other: dict[str, object]) -> bool:
    """Return whether two readings say the same: grams within three per cent or half a gram."""
    if any(one[key] != other[key] for key in ("title", "portions", "oven", "asked")):
        return False
    first, second = one["grams"], other["grams"]
    assert isinstance(first, dict) and isinstance(second, dict)
    return first.keys() == second.keys() and all(abs(g - second[k]) <= 0.03 * g + 0.6 for k, g in first.items())


def plain_ones(texts: Iterable[str], read: Callable[[str], Reading]) -> Iterator[tuple[Laid, dict[str, object]]]:
    """Give the recipes that can be laid out plainly and then read as before, with what they say."""
    for text in texts:
        reading = read(text)
        recipe = laid(reading)
        if recipe is None:
            continue
        wanted = said(read(recipe.text()))
        if is_same(said(reading), wanted):
            yield recipe, wanted
