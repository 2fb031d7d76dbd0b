"""Which lines a word for several takes: the dry ingredients, everything that is left, the rest of what was reserved."""

from __future__ import annotations

import re

from sun_crumb.core.method.account import USED_UP, Account, Resolved
from sun_crumb.core.method.records import Mention
from sun_crumb.core.method.several import SaidGroup
from sun_crumb.core.pantry.names import words_of

_OF_SOME_KIND = re.compile(r"^(?!all\b).*\b(?:things|stuff|bits)$", re.I)
# "Reserve 3 tbsp of the custard."
RESERVES = re.compile(r"\W*(?:first\s+)?(?:reserve|save|(?:keep|hold|set|put)\s+(?:back|aside))\b[^,;]*$", re.I)


def take_group(account: Account, found: Resolved, n: int, group: SaidGroup) -> None:
    """Take the lines that a word for several means at step *n*, and note where it stands."""
    component = found.component
    named = account.parts.named(group.part) if group.part else None
    if named is not None:
        component = named
    elif group.kind in ("dry", "wet"):
        component = staged_component(account, component, group.kind)
    elif group.kind == "all" and _OF_SOME_KIND.search(found.clause.text[group.start : group.end]):
        return  # "the crunchy bits": of no part that the list names
    own = account.listed.of(component)
    if group.kind == "others" and _takes_rest_of_reserved(account, found, n, group, own):
        return
    if group.kind == "both":
        found.joins_all = True
        return
    wanted = _wanted(account, group, component, own, is_here=component == found.component)
    elsewhere = [k for k in wanted if any(at != n for at in account.named_at[k])]
    if group.kind == "dry":
        elsewhere += [k for k in wanted if _is_creamed(account, k, n)]
    if group.kind == "all" and group.part.endswith("ed") and account.parts.named(group.part) is None:
        found.back |= {k for k in own if account.listed.stage(k, own) == "dry"}
        return  # "the sifted ingredients": what is in already
    free = [k for k in wanted if account.left[k] > 1 - USED_UP and k not in group.but and k not in elsewhere]
    if group.kind in ("others", "all"):
        free = _free_of_all(account, n, group, own, wanted, is_named=named is not None)
        found.joins_all = not group.part and any(account.left[k] < 1 - USED_UP for k in own)
    if not free:
        found.back |= set(wanted)
    found.mentions.append(Mention(group.start, group.end, account.used(free, 1.0), group.start, tuple(wanted), True))


def _free_of_all(
    account: Account, n: int, group: SaidGroup, own: list[int], wanted: list[int], *, is_named: bool
) -> list[int]:
    """Return the lines that "everything" or "the rest" takes: what is left of all that no later step names."""
    free = [
        k
        for k in wanted
        if account.left[k] > USED_UP and k not in group.but and not any(at > n for at in account.named_at[k])
    ]
    # "Spread the rest on top": the water that coffee is dissolved in goes with its coffee.
    free = [k for k in free if not account.listed.is_beside_another(k)]
    if is_named and group.kind == "all":
        # "Knead the dough ingredients": all of them, though sugar is spoken of again with the filling.
        free = [k for k in own if account.left[k] > USED_UP and k not in group.but]
    return [k for k in free if not account.listed.is_to_finish(k)] or free


def _takes_rest_of_reserved(account: Account, found: Resolved, n: int, group: SaidGroup, own: list[int]) -> bool:
    """Take "the rest" behind "Reserve 3 tbsp of the custard.": the rest of the custard; return whether that is meant."""
    kept = [k for k in own if k in account.reserved and account.left[k] > 1 - USED_UP]
    if len(kept) != 1 or not n or not RESERVES.match(account.clauses[n - 1].text):
        return False
    uses = account.used(kept, 1 - account.reserved[kept[0]])
    found.mentions.append(Mention(group.start, group.end, uses, group.start, tuple(kept), is_part=True))
    return True


def _wanted(account: Account, group: SaidGroup, component: str, own: list[int], *, is_here: bool) -> list[int]:
    """Return the lines of a component that a word for several may mean."""
    stage = group.kind if group.kind in ("dry", "wet") else group.part.partition(" ")[0]
    if stage in ("dry", "wet"):
        return [k for k in own if account.listed.stage(k, own) == stage]
    if group.part and is_here and account.parts.named(group.part) is None and group.kind == "all":
        return [k for k in own if set(words_of(group.part)) & set(words_of(account.lines[k].name))] or own
    return own


def staged_component(account: Account, component: str, kind: str) -> str:
    """Return the component whose lines are listed as dry or wet ones, where the step's own has none of them."""
    of = {line.component for line in account.lines if line.stage == kind}
    own = account.listed.of(component)
    begun = [k for k in own if account.listed.stage(k, own) == kind and account.left[k] < 1 - USED_UP]
    if not of and any(not account.listed.has_role(k, "sugar") for k in begun):
        return component  # "mix wet and dry into the eggs": what this part has begun with
    if not of:
        # A shelf's recipe tells no stages: where such foods are still to come.
        whole = range(len(account.lines))
        of = {
            account.lines[k].component
            for k in whole
            if account.left[k] > 1 - USED_UP and account.listed.stage(k, whole) == kind
        }
    if kind == "dry":
        # "Cut the butter into the dry things": those with flour, and no fruit's cornflour and sugar.
        floury = {
            line.component
            for k, line in enumerate(account.lines)
            if account.left[k] > 1 - USED_UP and account.listed.has_role(k, "flour")
        }
        of = of & floury or of
    return component if component in of or not of else next(c for c in account.components if c in of)


def _is_creamed(account: Account, k: int, n: int) -> bool:
    """Return whether a sugar among the dry things is what another step creams or rolls in: "cream butter and 1 c. sugar"."""
    if not account.listed.has_role(k, "sugar"):
        return False
    return any(
        k in said.lines and said.phrase[-1] == "sugar"
        for at in range(len(account.said))
        if at != n
        for said in account.said[at]
        # Where another part has sugar of its own, that may be meant.
        if all(account.lines[j].component == account.lines[k].component for j in said.lines)
    )
