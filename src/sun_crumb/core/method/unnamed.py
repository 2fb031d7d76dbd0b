"""What no step names, brought in where it belongs: by its purpose, beside its twin, in the tin, by another word for its part."""

from __future__ import annotations

import re
from dataclasses import replace

from sun_crumb.core.method.account import USED_UP, Account, Resolved
from sun_crumb.core.method.records import Mention
from sun_crumb.core.pantry.names import fold, words_of

_PURPOSE = re.compile(r"\b(?:for|to)\s+(?:the\s+)?(?P<verb>[a-z]{3,}?)(?:ing|e)?\s*(?:the\b.*|on top.*)?$", re.I)
# "Boil the topping", "spread the icing"
OF_A_PART = re.compile(
    r"\b(?:the|your)\s+(topping|icing|glaze|frosting|sauce|filling|crumble|streusel|custard|buttercream)\b", re.I
)


def by_another_word(account: Account, component: str) -> int | None:
    """Return the first step that speaks of a part which the list calls something else ("Cobertura", and "boil the topping"), where only this one is left."""
    own = account.listed.of(component)
    others = [k for k, left in enumerate(account.left) if left > 1 - USED_UP and k not in own]
    known = {word for line in account.lines for word in words_of(f"{line.name} {line.component}")}
    if component == account.components[0] or len(others) > len(own):
        return None
    for n, clause in enumerate(account.clauses):
        if any(fold(said[1]) not in known for said in OF_A_PART.finditer(clause.text)):
            return n
    return None


def _by_purpose(account: Account, found: list[Resolved]) -> None:
    """Bring in what no step names where its own words say what it is for: "oil for frying" where something is fried."""
    for k, line in enumerate(account.lines):
        purpose = _PURPOSE.search(line.text) if account.left[k] > 1 - USED_UP else None
        if purpose is None:
            continue
        stem = purpose["verb"].lower()[:5]
        step = next(
            (
                r
                for r in reversed(found)
                if any(w.lower().startswith(stem) for w in re.findall(r"[^\W\d_]+", r.clause.text))
            ),
            None,
        )
        if step is not None:
            step.mentions.append(Mention(0, 0, account.used([k], 1.0, is_sure=False)))


def _beside(account: Account, found: list[Resolved]) -> None:
    """Bring in what no step names where the other food of the same line is: "flax mixed with 3 tbsp water"."""
    for k, line in enumerate(account.lines):
        if account.left[k] < 1 - USED_UP or not line.text:
            continue
        twins = set(account.listed.twins(k, line.component)) - {k}
        step = next((r for r in found if any(use.position in twins for use in r.uses)), None)
        if step is not None:
            step.mentions.append(Mention(0, 0, account.used([k], 1.0, is_sure=False)))


def _greasing(account: Account, found: list[Resolved]) -> None:
    """Bring in the fat that no step names but the one that greases: "butter a dish", with "1 tbsp butter" on the list."""
    for k, left in enumerate(account.left):
        if left < 1 - USED_UP or not account.listed.has_role(k, "fat"):
            continue
        spread = ((n, s) for n, said in enumerate(account.said) for s in said if s.part == "tin" and k in s.lines)
        if (told := next(spread, None)) is not None:
            n, said = told
            uses = account.used([k], 1.0, is_sure=False)
            found[n].mentions.append(Mention(said.start, said.end, uses, said.start, (k,), is_group=True))


def _to_the_end(account: Account, found: list[Resolved]) -> None:
    """Let the last step that takes a part of a line take what no other does: "adding a little milk" is the milk."""
    for k, left in enumerate(account.left):
        if not USED_UP < left < 1 - USED_UP:
            continue
        at = next((m for r in reversed(found) for m in r.mentions if any(u.position == k for u in m.uses)), None)
        step = next((r for r in found if at is not None and at in r.mentions), None)
        if at is not None and step is not None:
            uses = tuple(replace(u, share=u.share + left) if u.position == k else u for u in at.uses)
            step.mentions[step.mentions.index(at)] = replace(at, uses=uses)
            account.left[k] = 0.0


def _all_at_once(account: Account, found: list[Resolved]) -> None:
    """Bring in everything where the method names nothing of it: "Into a buttered dish. 2 hours at 150"."""
    if not found or any(r.uses for r in found):
        return
    at = next((r for r in found if _INTO_IT.search(r.clause.text)), found[0])
    lines = [k for k in range(len(account.lines)) if not account.listed.is_to_finish(k)]
    end = len(at.clause.text.rstrip(" .")) if "." not in at.clause.text else at.clause.text.index(".")
    at.mentions.append(Mention(end, end, account.used(lines, 1.0, is_sure=False), end, tuple(lines), is_group=True))


_INTO_IT = re.compile(
    r"\b(?:in(?:to)?|on)\b[^.;]{0,24}\b(?:dish|bowl|pan|saucepan|tin|pot|blender|processor|jug|machine)\b|^\W*(?:mix|combine|blend|whisk|beat|stir|blitz)\b",
    re.I,
)


def bring_in(account: Account, found: list[Resolved]) -> None:
    """Bring in what steps have left, into the steps that they were resolved to."""
    for one in (_all_at_once, _by_purpose, _beside, _greasing, _to_the_end):
        one(account, found)
