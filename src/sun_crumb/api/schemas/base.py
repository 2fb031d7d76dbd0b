"""What every schema builds on: kinds of field, the one error format."""

from __future__ import annotations

from typing import Annotated, Any, Literal

from pydantic import BaseModel, ConfigDict, Field, create_model

from sun_crumb.core.formula.totals import TOTAL_FIELDS
from sun_crumb.core.reading.reader import MOST_CHARACTERS
from sun_crumb.core.sugars.savings import SAVED

Grams = Annotated[float, Field(ge=0, le=100_000, allow_inf_nan=False)]


Share = Annotated[float, Field(allow_inf_nan=False)]


Key = Annotated[str, Field(min_length=1, max_length=64)]


ClientKey = Annotated[str | None, Field(max_length=64)]


class In(BaseModel):
    """A request; unknown fields are refused, so that a slip is not silently lost."""

    model_config = ConfigDict(extra="forbid", str_max_length=MOST_CHARACTERS)


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
