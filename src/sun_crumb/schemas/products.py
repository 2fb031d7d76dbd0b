"""The household's own products."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import AfterValidator, Field

from sun_crumb.schemas.fields import ClientKey, In, Key, whole_characters

LabelGrams = Annotated[float | None, Field(ge=0, le=1000)]


class PackIn(In):
    """What a pack says, per *basis_g*."""

    name: Annotated[str, Field(min_length=1, max_length=80), AfterValidator(whole_characters)]
    law: Literal["eu", "us"] = "eu"
    basis_g: Annotated[float, Field(gt=0, le=1000)] = 100.0
    energy_kcal: Annotated[float | None, Field(ge=0)] = None
    energy_kj: Annotated[float | None, Field(ge=0)] = None
    fat_g: LabelGrams = None
    carbohydrate_g: LabelGrams = None
    sugars_g: LabelGrams = None
    added_sugars_g: LabelGrams = None
    polyols_g: LabelGrams = None
    fibre_g: LabelGrams = None
    protein_g: LabelGrams = None
    salt_g: LabelGrams = None
    water_g: LabelGrams = None
    cup_g: LabelGrams = None
    is_cup_like_sugar: bool = False


class LabelIn(PackIn):
    """A pack, and the ingredient *like* it from which what it does not say is taken."""

    like: Key


class ProductIn(LabelIn):
    """A product to keep."""

    client_key: ClientKey = None
