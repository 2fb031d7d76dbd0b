"""What a verb without an object takes: fat and sugar for "Cream,", all for "Blitz until silky" where nothing is in yet."""

from __future__ import annotations

import re

from sun_crumb.core.method.account import USED_UP, Account
from sun_crumb.core.method.listed import AND_MORE
from sun_crumb.core.method.sentences import verb_of

# "Rub in the fat": into the flour and what lightens it.
_RUBBED_IN = re.compile(
    r"\W*(?:(?:first|sift|then),?\s+(?:and\s+)?)?rub\s+in\s+(?:the\s+)?(?:cold\s+)?(?:fat|butter|margarine|marg|lard)\b(?!\s*(?:and|,|\+|&)?\s*(?:the\s+)?flour)|\W*rub\s+(?:the\s+)?(?:fat|butter|margarine|marg|lard)\s+in\b(?!to)",
    re.I,
)
# "Knead the dough", "Whisk filling": all of it, where nothing is in it yet
_OF_THE_WHOLE = re.compile(
    r"\W*(?P<verb>knead|make|mix|whisk|beat|blend|combine)\s+(?:together\s+)?(?:(?:(?:the|an?|your)\s+)?(?P<a>dough|batter|filling|custard)"
    r"|the\s+(?P<b>topping|sponge))\s*(?:[,.;]|until\b|till\b|$)",
    re.I,
)


def unsaid(account: Account, n: int, component: str) -> list[int]:
    """Return the lines that a verb without an object takes: fat and sugar for "Cream,", all for "Blitz until silky" where nothing is in yet."""
    text, case = account.clauses[n].text, list[int]()
    own = [k for k, line in enumerate(account.lines) if line.component == component and account.left[k] > 1 - USED_UP]
    if re.match(r"\W*cream\s*(?:[,.;]|b\s*(?:\+|&|and)\s*s\b|until\b|well\b|together\b|for\b|$)", text, re.I):
        return [k for k in own if account.listed.has_role(k, "fat", "sugar")]
    if _RUBBED_IN.match(text):
        floury = [k for k in own if account.listed.has_role(k, "flour", "starch", "leaven", "salt")]
        return [k for k in floury if not account.named_at[k]]
    alone = re.match(
        r"\W*(?:(?:mash|crush|chop|grate|measure)\s*(?:,|and\b|&)\s*(?:then\s+)?)?(?P<verb>[a-z]+)\s*(?:up\s+|well\s+|all\s+)?(?:[,.;]|until\b|till\b|for\b|in (?:a|the)\b|$)",
        text,
        re.I,
    )
    if alone is None:
        # "Knead the dough", where nothing is in it yet
        whole = _OF_THE_WHOLE.match(text)
        # What the list has as a part of its own comes in by that name.
        alone = whole if whole and account.parts.named(whole["a"] or whole["b"]) is None else None
    if alone and len(own) == 1 and account.listed.has_role(own[0], "flour") and account.listed.has_role(own[0], "fat"):
        # "Mix, pour into the crust": what goes into a bought one.
        component = next((c for c in account.components if c != component and account.is_untouched(c)), component)
        case, own = own, account.listed.of(component)
    is_start = (
        alone
        and (verb := verb_of(alone["verb"]))
        and verb in ("blend", "blitz", "mix", "process", "combine", "whisk", "pulse", "puree", "knead", "make", "rub")
    )
    begun = [k for k in account.listed.of(component) if k not in own]
    is_first = (
        all(set(said.lines) <= set(case) for said in account.said[n])
        and not account.groups[n]
        # "Line the tin with the pastry. Whisk filling."
        and all(
            len(own) > 1 and account.listed.has_role(k, "flour") and account.listed.has_role(k, "fat") for k in begun
        )
    )
    if is_start and is_first:
        return [k for k in own if AND_MORE.search(account.lines[k].text) or _is_for_now(account, n, k)]
    return []


def _is_for_now(account: Account, n: int, k: int) -> bool:
    """Return whether no later step names a line, and it is not for the end."""
    return not any(at > n for at in account.named_at[k]) and not account.listed.is_to_finish(k)
