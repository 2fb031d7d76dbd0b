"""The tables. Nutrition is copied onto a bake when it is made: the ledger keeps what was true that day."""

from __future__ import annotations

from datetime import date, datetime
from typing import Any

from sqlalchemy import JSON, CheckConstraint, ForeignKey, Index, UniqueConstraint
from sqlalchemy.orm import DeclarativeBase, Mapped, mapped_column, relationship


class Base(DeclarativeBase):
    """Every table's base."""


class Recipe(Base):
    """A dessert on the shelf; its versions hold the amounts. ``revision`` counts its edits."""

    __tablename__ = "recipes"

    id: Mapped[int] = mapped_column(primary_key=True)
    title: Mapped[str]
    source_text: Mapped[str] = mapped_column(default="")
    # Steps, oven, baking time and tin: read once when the recipe came in, edited since; null where an earlier release kept it.
    method: Mapped[dict[str, Any] | None] = mapped_column(JSON)
    cup: Mapped[str] = mapped_column(default="us")
    revision: Mapped[int] = mapped_column(default=1)
    created_at: Mapped[datetime]
    deleted_at: Mapped[datetime | None]
    versions: Mapped[list[Version]] = relationship(
        back_populates="recipe", order_by="Version.number", cascade="all, delete-orphan"
    )


class Version(Base):
    """One set of amounts: number 1 is the original, the others are reworks of it with their goals."""

    __tablename__ = "versions"
    __table_args__ = (UniqueConstraint("recipe_id", "number"),)

    id: Mapped[int] = mapped_column(primary_key=True)
    recipe_id: Mapped[int] = mapped_column(ForeignKey("recipes.id", ondelete="CASCADE"), index=True)
    number: Mapped[int]
    label: Mapped[str]
    servings: Mapped[int]
    unit: Mapped[str]
    status: Mapped[str] = mapped_column(default="")
    goals: Mapped[dict[str, Any] | None] = mapped_column(JSON)
    portions: Mapped[list[dict[str, Any]] | None] = mapped_column(JSON)
    own_yields: Mapped[dict[str, int] | None] = mapped_column(JSON)
    # The baker's own words for steps of the version's method, by the words that they stand in place of.
    own_words: Mapped[dict[str, str] | None] = mapped_column(JSON(none_as_null=True))
    # What the shelf shows of it, and what those figures were computed from: computed anew when that has changed.
    figures: Mapped[dict[str, Any] | None] = mapped_column(JSON)
    figures_stamp: Mapped[str | None]
    created_at: Mapped[datetime]
    # The number of the version that this one was tried from, and what was changed, in words; null and empty for the original and for a plan of its own.
    parent: Mapped[int | None]
    changed: Mapped[str] = mapped_column(default="", server_default="")
    # Whether other desserts of the household may be made as this one is.
    is_pattern: Mapped[bool] = mapped_column(default=False, server_default="0")
    recipe: Mapped[Recipe] = relationship(back_populates="versions")
    lines: Mapped[list[Line]] = relationship(
        back_populates="version", order_by="Line.position", cascade="all, delete-orphan"
    )


class Line(Base):
    """One weighed ingredient of a version [g]."""

    __tablename__ = "lines"
    __table_args__ = (UniqueConstraint("version_id", "position"), CheckConstraint("grams >= 0"))

    id: Mapped[int] = mapped_column(primary_key=True)
    version_id: Mapped[int] = mapped_column(ForeignKey("versions.id", ondelete="CASCADE"), index=True)
    position: Mapped[int]
    component: Mapped[str] = mapped_column(default="")
    ingredient: Mapped[str]
    grams: Mapped[float]
    text: Mapped[str] = mapped_column(default="")
    is_crushed: Mapped[bool] = mapped_column(default=False)
    reason: Mapped[str] = mapped_column(default="")
    version: Mapped[Version] = relationship(back_populates="lines")


class Bake(Base):
    """A version baked on a day: the event that its portions, and whatever is noted of it, hang on."""

    __tablename__ = "bakes"

    id: Mapped[int] = mapped_column(primary_key=True)
    version_id: Mapped[int] = mapped_column(ForeignKey("versions.id", ondelete="CASCADE"), index=True)
    baked_on: Mapped[date] = mapped_column(index=True)
    # What the lines of the version weighed in truth, by their place [g]; null where nothing was weighed.
    weights: Mapped[dict[str, float] | None] = mapped_column(JSON(none_as_null=True))
    # What was done: the tin, the oven's dial [°C], minutes baked, what was swapped, the batter's feel (holds, drops, pours), notes, cost.
    tin: Mapped[str] = mapped_column(default="", server_default="")
    oven_c: Mapped[float | None]
    minutes: Mapped[float | None]
    swapped: Mapped[str] = mapped_column(default="", server_default="")
    feel: Mapped[str] = mapped_column(default="", server_default="")
    notes: Mapped[str] = mapped_column(default="", server_default="")
    leftovers: Mapped[float | None]
    cost: Mapped[float | None]
    created_at: Mapped[datetime]
    deleted_at: Mapped[datetime | None]
    version: Mapped[Version] = relationship()
    tastings: Mapped[list[Tasting]] = relationship(order_by="Tasting.id", cascade="all, delete-orphan")
    portions: Mapped[list[BakePortion]] = relationship(
        back_populates="bake", order_by="BakePortion.id", cascade="all, delete-orphan"
    )


class BakePortion(Base):
    """One kind of portion of a bake: what one held, and what it saves against the original at the same portion."""

    __tablename__ = "bake_portions"

    id: Mapped[int] = mapped_column(primary_key=True)
    bake_id: Mapped[int] = mapped_column(ForeignKey("bakes.id", ondelete="CASCADE"), index=True)
    kind: Mapped[str] = mapped_column(default="")
    servings: Mapped[int]
    portion_g: Mapped[float]
    energy_kcal: Mapped[float]
    total_sugars_g: Mapped[float]
    free_sugars_who_g: Mapped[float]
    saved_energy_kcal: Mapped[float]
    saved_total_sugars_g: Mapped[float]
    saved_free_sugars_who_g: Mapped[float]
    # By the other definitions; null where an earlier release made the bake and it can't be computed any more.
    refined_sugar_g: Mapped[float | None]
    added_sugars_us_g: Mapped[float | None]
    free_sugars_uk_g: Mapped[float | None]
    saved_refined_sugar_g: Mapped[float | None]
    saved_added_sugars_us_g: Mapped[float | None]
    saved_free_sugars_uk_g: Mapped[float | None]
    # What a portion of the original weighs: a smaller slice is shown as one.
    original_g: Mapped[float | None]
    bake: Mapped[Bake] = relationship(back_populates="portions")


class Serving(Base):
    """Portions of one kind of a bake eaten by someone on a day."""

    __tablename__ = "servings"
    __table_args__ = (
        CheckConstraint("count > 0"),
        Index("ix_servings_diary", "deleted_at", "eaten_on", "portion_id", "count", "who", "eaten_at"),
    )

    id: Mapped[int] = mapped_column(primary_key=True)
    portion_id: Mapped[int] = mapped_column(ForeignKey("bake_portions.id", ondelete="CASCADE"), index=True)
    eaten_on: Mapped[date]
    count: Mapped[float]
    who: Mapped[str] = mapped_column(default="")
    # Minutes after midnight; null where nobody said when.
    eaten_at: Mapped[int | None]
    created_at: Mapped[datetime]
    deleted_at: Mapped[datetime | None]
    portion: Mapped[BakePortion] = relationship()


class Slip(Base):
    """Something else that was eaten: a spoon of ketchup, a bought slice. What it held is kept as it was known that day."""

    __tablename__ = "slips"
    __table_args__ = (CheckConstraint("grams > 0"), Index("ix_slips_day", "eaten_on", "deleted_at"))

    id: Mapped[int] = mapped_column(primary_key=True)
    eaten_on: Mapped[date]
    eaten_at: Mapped[int | None]
    who: Mapped[str] = mapped_column(default="")
    name: Mapped[str]
    ingredient: Mapped[str] = mapped_column(default="")
    grams: Mapped[float]
    energy_kcal: Mapped[float]
    total_sugars_g: Mapped[float]
    refined_sugar_g: Mapped[float]
    added_sugars_us_g: Mapped[float]
    free_sugars_who_g: Mapped[float]
    free_sugars_uk_g: Mapped[float]
    created_at: Mapped[datetime]
    deleted_at: Mapped[datetime | None]


class Person(Base):
    """Someone of the household: the age band, whose limit counts, and how they eat."""

    __tablename__ = "people"

    id: Mapped[int] = mapped_column(primary_key=True)
    name: Mapped[str]
    age: Mapped[str]
    authority: Mapped[str]
    energy_kcal: Mapped[float | None]
    own_limit_g: Mapped[float | None]
    diets: Mapped[list[str]] = mapped_column(JSON)
    eaters: Mapped[list[str]] = mapped_column(JSON)
    is_at_table: Mapped[bool] = mapped_column(default=True)
    created_at: Mapped[datetime]
    deleted_at: Mapped[datetime | None]


class Tasting(Base):
    """One taster's score sheet for a bake."""

    __tablename__ = "tastings"

    id: Mapped[int] = mapped_column(primary_key=True)
    bake_id: Mapped[int] = mapped_column(ForeignKey("bakes.id", ondelete="CASCADE"), index=True)
    tasted_on: Mapped[date]
    who: Mapped[str] = mapped_column(default="")
    # warm, cool or next_day; and whether the taster knew what it was.
    state: Mapped[str] = mapped_column(default="cool")
    is_blind: Mapped[bool] = mapped_column(default=False)
    scores: Mapped[dict[str, int]] = mapped_column(JSON)
    words: Mapped[str] = mapped_column(default="")
    created_at: Mapped[datetime]
    deleted_at: Mapped[datetime | None]


class Photo(Base):
    """A picture of a bake, made small and without what a camera writes into it."""

    __tablename__ = "photos"

    id: Mapped[int] = mapped_column(primary_key=True)
    bake_id: Mapped[int] = mapped_column(ForeignKey("bakes.id", ondelete="CASCADE"), index=True)
    jpeg: Mapped[bytes]
    width: Mapped[int]
    height: Mapped[int]
    created_at: Mapped[datetime]
    deleted_at: Mapped[datetime | None]


class Trial(Base):
    """Two bakes told apart, or not: a triangle, a pair, a preference."""

    __tablename__ = "trials"

    id: Mapped[int] = mapped_column(primary_key=True)
    bake_id: Mapped[int] = mapped_column(ForeignKey("bakes.id", ondelete="CASCADE"), index=True)
    other_id: Mapped[int] = mapped_column(ForeignKey("bakes.id", ondelete="CASCADE"), index=True)
    test: Mapped[str]
    tries: Mapped[int]
    right: Mapped[int]
    tried_on: Mapped[date]
    created_at: Mapped[datetime]


class Learned(Base):
    """What is believed of one thing, from all tastings: computed anew with each of them."""

    __tablename__ = "learned"

    key: Mapped[str] = mapped_column(primary_key=True)
    mean: Mapped[float]
    sd: Mapped[float]
    answers: Mapped[int]


class Taper(Base):
    """A recipe whose sugar is cut bake by bake toward a target."""

    __tablename__ = "tapers"

    id: Mapped[int] = mapped_column(primary_key=True)
    recipe_id: Mapped[int] = mapped_column(ForeignKey("recipes.id", ondelete="CASCADE"), index=True)
    target: Mapped[float]
    path: Mapped[str]
    created_at: Mapped[datetime]
    ended_at: Mapped[datetime | None]


class Challenge(Base):
    """A span of days with an aim: a diary with slips shown kindly."""

    __tablename__ = "challenges"

    id: Mapped[int] = mapped_column(primary_key=True)
    name: Mapped[str]
    who: Mapped[str] = mapped_column(default="")
    since: Mapped[date]
    until: Mapped[date]
    created_at: Mapped[datetime]
    deleted_at: Mapped[datetime | None]


class Product(Base):
    """An ingredient of the household's own, as its pack's label says; ``like`` is what the rest is taken from."""

    __tablename__ = "products"

    id: Mapped[int] = mapped_column(primary_key=True)
    label: Mapped[dict[str, Any]] = mapped_column(JSON)
    like: Mapped[str]
    created_at: Mapped[datetime]
    deleted_at: Mapped[datetime | None]


class Setting(Base):
    """One preference of the household."""

    __tablename__ = "settings"

    key: Mapped[str] = mapped_column(primary_key=True)
    value: Mapped[Any] = mapped_column(JSON)


class Timer(Base):
    """A timer at the worktop: when it ends, by the server's clock, so that it outlives the page and the server."""

    __tablename__ = "timers"
    __table_args__ = (CheckConstraint("seconds > 0"),)

    id: Mapped[int] = mapped_column(primary_key=True)
    recipe_id: Mapped[int | None] = mapped_column(ForeignKey("recipes.id", ondelete="SET NULL"))
    version_id: Mapped[int | None] = mapped_column(ForeignKey("versions.id", ondelete="SET NULL"))
    step: Mapped[int | None]
    name: Mapped[str]
    seconds: Mapped[int]
    # Whether it rings every so many seconds, until it is stopped.
    repeats: Mapped[bool] = mapped_column(default=False, server_default="0")
    ends_at: Mapped[datetime] = mapped_column(index=True)
    created_at: Mapped[datetime]
    stopped_at: Mapped[datetime | None]


class WeighIn(Base):
    """What is in the bowl of a bake under way: each weighing, and the targets that the rest follows since; ended when the bake is noted."""

    __tablename__ = "weigh_ins"

    id: Mapped[int] = mapped_column(primary_key=True)
    version_id: Mapped[int] = mapped_column(ForeignKey("versions.id", ondelete="CASCADE"), index=True)
    # [{position, step, grams}] in the order of weighing.
    weighed: Mapped[list[dict[str, Any]]] = mapped_column(JSON)
    # {"position/step": grams} of what the rest was changed to; empty where it is the version's own.
    targets: Mapped[dict[str, float]] = mapped_column(JSON)
    # The "position/step" of the weighing that is still asked about.
    asked: Mapped[str] = mapped_column(default="")
    begun_at: Mapped[datetime]
    ended_at: Mapped[datetime | None]


class Deed(Base):
    """A request that made something, by the key its sender gave it: a retry is told by it and makes nothing more.

    ``content`` is a digest of what was asked for, None where an earlier version kept none; ``made`` are the numbers of what
    was made.
    """

    __tablename__ = "deeds"

    key: Mapped[str] = mapped_column(primary_key=True)
    what: Mapped[str]
    content: Mapped[str | None]
    made: Mapped[list[int]] = mapped_column(JSON)
    created_at: Mapped[datetime]
