"""Which of several lines a mention means: of the step's own part, most closely, not yet used up."""

from __future__ import annotations

from sun_crumb.core.method.account import USED_UP, Account
from sun_crumb.core.method.how_much import is_all_of
from sun_crumb.core.method.said import Said

# As closely as a line's own last word is a word for several meant.
MANY = 2
# Of these nobody has several but kinds.
_UNCOUNTED = frozenset({"milk", "butter", "cream", "oil", "syrup", "juice", "cheese", "chocolate", "yoghurt"})


def pool_of(account: Account, said: Said, component: str) -> dict[int, int]:
    """Return the lines that a mention may mean: of the step's component, else of the others where they are unused."""
    own = {k: how for k, how in said.lines.items() if account.lines[k].component == component}
    begun = any(account.left[k] > USED_UP for k in own)
    if own and (begun or (said.part == "rest" and not any(account.left[k] > USED_UP for k in said.lines))):
        return own
    others = {k: how for k, how in said.lines.items() if k not in own and account.left[k] > USED_UP}
    if own and max(own.values()) >= max(others.values(), default=0):
        return own
    return others or own or dict(said.lines)


def chosen_of(account: Account, pool: dict[int, int], n: int, said: Said, *, finishes: bool) -> tuple[list[int], bool]:
    """Return the lines of *pool* that a mention at step *n* takes, and whether that is sure."""
    if not finishes and (others := {k: how for k, how in pool.items() if not account.listed.is_to_finish(k)}):
        # "Mix butter, currants and sugar": not the one for sprinkling.
        pool = others if any(account.left[k] > USED_UP for k in others) else pool
    best = max(pool.values())
    free = [k for k in _close(account, pool, said) if account.left[k] > USED_UP]
    if said.part == "rest":
        begun = [k for k in pool if USED_UP < account.left[k] < 1 - USED_UP]
        return begun or [k for k in pool if account.left[k] > USED_UP], bool(begun)
    if not free:
        return [], True
    if len(free) == 1:
        return free, True
    if exact := [k for k in free if is_all_of(said, account.names, k)]:
        return exact[:1], True
    finishing = [k for k in free if account.listed.is_to_finish(k)]
    if finishes and finishing:
        return finishing[:1], True
    free = [k for k in free if k not in finishing] or free
    # Icing sugar that goes into the fruit of its own line is not the sugar of the yolks.
    free = [k for k in free if not account.listed.is_beside_another(k)] or free
    later = [k for k in free if any(at != n for at in account.named_at[k])]
    kept = [k for k in free if k not in later] or free
    if said.is_many or len(kept) == 1:
        return (_no_flavours(account, kept if later else free) if said.is_many else kept), True
    if best == 3:
        return kept[:1], True
    return kept, best >= 2


def _close(account: Account, pool: dict[int, int], said: Said) -> list[int]:
    """Return the lines that a mention means most closely; all the sugars for "both sugars"."""
    best = max(pool.values())
    # "the sugars": the brown one with the white, though that is called sugar alone.
    is_sugars = said.is_many and said.phrase[-1] == "sugar"
    if said.is_many and said.phrase[-1] in _UNCOUNTED:
        return [k for k, how in pool.items() if how >= MANY]  # "both milks": the coconut's with the cow's
    if said.is_many and said.phrase == ("flour",):
        # "the flours": the cornflour with the plain.
        floury = [k for k in pool if pool[k] == best] + _starches_beside(account, pool)
        return list(dict.fromkeys(floury))
    close = [k for k, how in pool.items() if how == best or (is_sugars and how >= MANY)]
    if is_sugars and len(close) == 1:
        # "both sugars": the muscovado too, that no word calls sugar.
        return [k for k in pool if k in close or account.listed.has_role(k, "sugar")]
    return close


def _starches_beside(account: Account, pool: dict[int, int]) -> list[int]:
    """Return the starches of the components that *pool* is of, which no step names by their own name."""
    components = {account.lines[k].component for k in pool}
    return [
        k
        for k, line in enumerate(account.lines)
        if line.component in components and account.listed.has_role(k, "starch") and not account.named_at[k]
    ]


def _no_flavours(account: Account, found: list[int]) -> list[int]:
    """Return lines that a word for several means: "the almonds" are no almond extract."""
    return [k for k in found if not account.listed.has_role(k, "flavour")] or found
