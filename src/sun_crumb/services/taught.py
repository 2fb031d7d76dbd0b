"""What tastings taught of this kitchen, where it is worth a word: its flour's thirst and its oven."""

from __future__ import annotations

from sqlalchemy.orm import Session

from sun_crumb.core.wish.goals import MOST_THIRST
from sun_crumb.schemas.days import Settings
from sun_crumb.store.tables import Learned

# Fewer signs than this tell nothing; a thirst of less is within a spoon's own error [share], an oven off by less within its dial's [°C] (judgement).
LEAST_SIGNS, LEAST_THIRST, LEAST_OFF_C = 3, 0.02, 3


def thirst_in(session: Session) -> float:
    """Return how much more liquid this household's flour takes than recipes tell [share]; 0 where tastings taught nothing worth a word."""
    found = session.get(Learned, "liquid")
    if found is None or found.answers < LEAST_SIGNS or abs(found.mean) < LEAST_THIRST:
        return 0.0
    return min(max(found.mean, -MOST_THIRST), MOST_THIRST)


def with_learned_oven(session: Session, own: Settings) -> Settings:
    """Return preferences with the oven's offset as tastings have moved it from what the household says."""
    found = session.get(Learned, "oven")
    if found is None or found.answers < LEAST_SIGNS or abs(found.mean - own.oven_offset_c) < LEAST_OFF_C:
        return own
    return own.model_copy(update={"oven_offset_c": float(round(found.mean))})
