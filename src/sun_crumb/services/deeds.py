"""The one rule for retries: a request that makes something may carry a key of its sender's.

The same key with the same content is told what the first one made; with other content, or after that was taken away, it
is a conflict. Nothing is made twice, and nothing is said to be kept that is not.
"""

from __future__ import annotations

import json
from hashlib import sha256
from typing import Any

from sqlalchemy.orm import Session

from sun_crumb.services.clock import now
from sun_crumb.services.errors import ConflictError
from sun_crumb.store.tables import Deed


def digest(content: Any) -> str:
    """Return what tells the content of two requests apart; *content* is made of plain values and dataclasses."""
    return sha256(json.dumps(content, sort_keys=True, default=repr, ensure_ascii=True).encode()).hexdigest()


def made_before(session: Session, key: str | None, what: str, content: Any) -> list[int]:
    """Return the numbers of what a request with this *key* made before; empty where there was none.

    Raises
    ------
    ConflictError
        The key was used for something else.
    """
    found = session.get(Deed, key) if key else None
    if found is None:
        return []
    if found.what != what or found.content not in (None, digest(content)):
        raise ConflictError(
            "this key was used for another request; nothing was kept; send it again with a key of its own",
            field="client_key",
        )
    return list(found.made)


def note(session: Session, key: str | None, what: str, content: Any, made: list[int]) -> None:
    """Remember what a request with *key* made, in the transaction that made it."""
    if key:
        session.add(Deed(key=key, what=what, content=digest(content), made=made, created_at=now(session)))


def taken_away(what: str) -> ConflictError:
    """Return the conflict of a retry whose first request was undone since."""
    return ConflictError(
        f"this {what} was kept by the same request before and taken away since; bring it back, "
        "or send it again with a key of its own",
        field="client_key",
    )
