"""What every answer builds on, and the one error format."""

from __future__ import annotations

from typing import Any, Literal

from pydantic import BaseModel, create_model

from sun_crumb.core.formula.totals import TOTAL_FIELDS
from sun_crumb.core.sugars.savings import SAVED


class Out(BaseModel):
    """A response; every field is always there."""


def numbers(name: str, names: tuple[str, ...]) -> type[Out]:
    fields: dict[str, Any] = dict.fromkeys(names, (float, ...))
    return create_model(name, __base__=Out, **fields)


TotalsOut = numbers("TotalsOut", TOTAL_FIELDS)


SavingsOut = numbers("SavingsOut", ("portion_g", *SAVED))


class ErrorBody(Out):
    """What went wrong: a code to act on, a sentence to show, the field at fault, and data."""

    code: str
    message: str
    field: str | None
    details: dict[str, Any]


class ErrorOut(Out):
    """The one error format."""

    error: ErrorBody


class DoneOut(Out):
    """Done; nothing to tell."""

    done: Literal[True]
