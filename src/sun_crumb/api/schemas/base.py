"""What every answer builds on, and the one error format."""

from __future__ import annotations

from datetime import datetime
from typing import Annotated, Any, Literal

from pydantic import AfterValidator, BaseModel, BeforeValidator, ConfigDict, create_model

from sun_crumb.core.formula.totals import TOTAL_FIELDS
from sun_crumb.core.sugars.savings import SAVED


class Out(BaseModel):
    """A response, made from a record by the names of its attributes; every field is always there."""

    model_config = ConfigDict(from_attributes=True, validate_by_name=True, validate_by_alias=True)


def _to(digits: int) -> AfterValidator:
    """Return what makes a number short enough to show; no negative zero."""
    return AfterValidator(lambda value: round(value, digits) + 0.0)


To1 = Annotated[float, _to(1)]
To2 = Annotated[float, _to(2)]
To3 = Annotated[float, _to(3)]
To4 = Annotated[float, _to(4)]
To5 = Annotated[float, _to(5)]


def _moment(value: object) -> object:
    return value.isoformat() if isinstance(value, datetime) else value


Moment = Annotated[str, BeforeValidator(_moment)]


def numbers(name: str, names: tuple[str, ...], kind: Any = To2) -> type[Out]:
    """Return a response of numbers that have these *names*."""
    fields: dict[str, Any] = dict.fromkeys(names, (kind, ...))
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
