"""Kinds of field, each with its bounds."""

from __future__ import annotations

from typing import Annotated, Any

from pydantic import AfterValidator, BaseModel, ConfigDict, Field

from sun_crumb.core.reading.reader import MOST_CHARACTERS

MOST_ID = 2**63 - 1


def whole_characters(text: str) -> str:
    """Return *text* if UTF-8 can hold it: a lone half of a surrogate pair can be neither stored nor sent."""
    try:
        text.encode()
    except UnicodeEncodeError:
        raise ValueError("holds half a character (a lone surrogate)") from None
    return text


Grams = Annotated[float, Field(ge=0, le=100_000)]
Id = Annotated[int, Field(ge=0, le=MOST_ID)]
Key = Annotated[str, Field(min_length=1, max_length=64), AfterValidator(whole_characters)]
Component = Annotated[str, Field(max_length=80), AfterValidator(whole_characters)]
LineText = Annotated[str, Field(max_length=600), AfterValidator(whole_characters)]
Title = Annotated[str, Field(max_length=200), AfterValidator(whole_characters)]
Label = Annotated[str, Field(max_length=80), AfterValidator(whole_characters)]
Unit = Annotated[str, Field(min_length=1, max_length=40), AfterValidator(whole_characters)]
Who = Annotated[str, Field(max_length=60), AfterValidator(whole_characters)]
SourceText = Annotated[str, Field(max_length=MOST_CHARACTERS), AfterValidator(whole_characters)]
Servings = Annotated[int, Field(ge=1, le=1000)]
ClientKey = Annotated[str | None, Field(min_length=1, max_length=64)]


# The default of a field that may be left out but not be null: who reads it looks into model_fields_set first.
UNSET: Any = None


class In(BaseModel):
    """What comes in; unknown fields are refused, so that a slip is not silently lost, and so is what is no number."""

    model_config = ConfigDict(extra="forbid", str_max_length=MOST_CHARACTERS, allow_inf_nan=False)
