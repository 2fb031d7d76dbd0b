"""The diary as a file, CSV or JSON, out and in."""

from __future__ import annotations

import csv
import io
import json
from dataclasses import asdict, dataclass
from datetime import date
from typing import Any

from pydantic import ValidationError
from sqlalchemy import select

from sun_crumb.core.errors import CoreError, require_choice
from sun_crumb.formats.outgoing import FileContent
from sun_crumb.schemas.household import DiaryRowIn
from sun_crumb.schemas.words import words_of
from sun_crumb.services.clock import now
from sun_crumb.services.deeds import digest
from sun_crumb.services.diary import entries
from sun_crumb.services.slips import SUGARS, Entry
from sun_crumb.store import Database
from sun_crumb.store.tables import Deed, Slip

COLUMNS = (
    "day",
    "at",
    "who",
    "kind",
    "id",
    "what",
    "label",
    "count",
    "grams",
    "energy_kcal",
    *SUGARS,
    "saved_g",
    "saved_kcal",
)
MOST_ROWS = 20_000
MEDIA = {"csv": "text/csv", "json": "application/json"}


class UnreadableDiaryError(CoreError):
    """The file is no diary; names the row and the field."""

    code = "unreadable_file"


@dataclass(frozen=True, slots=True)
class Brought:
    """How many rows came in, and how many were there already."""

    added: int
    known: int


def diary_file(database: Database, since: date, until: date, kind: str) -> FileContent:
    """Return the diary of some days as a file, the first day first; times are as 08:30."""
    require_choice(kind, MEDIA, "format")
    rows = [_row(one) for one in reversed(entries(database, since, until, count=MOST_ROWS))]
    rows.sort(key=lambda row: (row["day"], row["at"] or "99"))
    if kind == "json":
        content = json.dumps({"format": "sun-crumb-diary", "version": 1, "entries": rows}, ensure_ascii=False, indent=1)
    else:
        out = io.StringIO()
        writer = csv.DictWriter(out, COLUMNS)
        writer.writeheader()
        writer.writerows({k: _safe(v) for k, v in row.items()} for row in rows)
        content = out.getvalue()
    return FileContent(f"sun-crumb-diary-{since}-{until}.{kind}", MEDIA[kind], content)


def _row(one: Entry) -> dict[str, Any]:
    found = asdict(one)
    found["day"] = one.day.isoformat()
    found["at"] = "" if one.at is None else f"{one.at // 60:02d}:{one.at % 60:02d}"
    return {name: round(found[name], 4) if isinstance(found[name], float) else found[name] for name in COLUMNS}


def _safe(value: Any) -> Any:
    """Return a cell that no spreadsheet takes for a formula."""
    return f"'{value}" if isinstance(value, str) and value[:1] in ("=", "+", "-", "@", "\t") else value


def bring_diary(database: Database, content: str) -> Brought:
    """Keep the rows of a diary file as things eaten, all or none; a row that came in before, or that this household's own ledger holds, is not brought twice.

    Raises
    ------
    UnreadableDiaryError
        The file is no diary, or a row of it is none.
    """
    rows = _rows_of(content)
    if len(rows) > MOST_ROWS:
        raise UnreadableDiaryError(f"at most {MOST_ROWS} rows come in at once", field="content")
    days = [row.day for _, row in rows]
    own = {_key(_row(one)) for one in entries(database, min(days), max(days), count=2 * MOST_ROWS)} if days else set()
    with database.transaction() as session:
        known = set(session.scalars(select(Deed.key).where(Deed.what == "diary row")))
        added = 0
        for raw, row in rows:
            key = _key(raw)
            if key in own or key in known:
                continue
            known.add(key)
            slip = Slip(eaten_on=row.day, eaten_at=row.at, who=row.who, name=row.what, grams=row.grams, created_at=now(session),
                        **{name: getattr(row, name) for name in ("energy_kcal", *SUGARS)})  # fmt: skip
            session.add(slip)
            session.flush()
            session.add(Deed(key=key, what="diary row", content=None, made=[slip.id], created_at=now(session)))
            added += 1
        return Brought(added, len(rows) - added)


def _rows_of(content: str) -> list[tuple[dict[str, Any], DiaryRowIn]]:
    text = content.lstrip("\ufeff \r\n\t")
    if text.startswith("{"):
        try:
            found = json.loads(text)
            raws = found["entries"] if isinstance(found, dict) and found.get("format") == "sun-crumb-diary" else None
        except (ValueError, KeyError, RecursionError):
            raws = None
        if not isinstance(raws, list) or not all(isinstance(raw, dict) for raw in raws):
            raise UnreadableDiaryError("this JSON is no diary of Sun Crumb", field="content")
    else:
        reader = csv.DictReader(io.StringIO(text))
        if not {"day", "what", "grams"} <= set(reader.fieldnames or ()):
            raise UnreadableDiaryError("a diary has a first row with at least day, what, grams", field="content")
        raws = [{k: (v or "").removeprefix("'") for k, v in raw.items() if k is not None} for raw in reader]
    return [(raw, _checked(raw, n)) for n, raw in enumerate(raws, start=1)]


def _checked(raw: dict[str, Any], number: int) -> DiaryRowIn:
    given = {name: raw[name] for name in DiaryRowIn.model_fields if raw.get(name) not in (None, "")}
    at = given.get("at")
    if isinstance(at, str) and len(at) == 5 and at[2] == ":" and at[:2].isdigit() and at[3:].isdigit():
        given["at"] = 60 * int(at[:2]) + int(at[3:])
    try:
        return DiaryRowIn.model_validate(given)
    except ValidationError as error:
        words, field = words_of(error)
        raise UnreadableDiaryError(f"row {number}: {words}", field=f"content.{number}.{field}") from None


def _key(row: dict[str, Any]) -> str:
    """Return what tells a row by: when, who, what, how much."""
    grams = float(row.get("grams") or 0)
    return (
        "diary-"
        + digest([str(row.get(name) or "") for name in ("day", "at", "who", "what", "label")] + [f"{grams:.2f}"])[:40]
    )
