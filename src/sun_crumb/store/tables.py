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
    created_at: Mapped[datetime]
    version: Mapped[Version] = relationship()
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
    bake: Mapped[Bake] = relationship(back_populates="portions")


class Serving(Base):
    """Portions of one kind of a bake eaten by someone on a day."""

    __tablename__ = "servings"
    __table_args__ = (CheckConstraint("count > 0"), Index("ix_servings_day", "eaten_on", "deleted_at"))

    id: Mapped[int] = mapped_column(primary_key=True)
    portion_id: Mapped[int] = mapped_column(ForeignKey("bake_portions.id", ondelete="CASCADE"), index=True)
    eaten_on: Mapped[date]
    count: Mapped[float]
    who: Mapped[str] = mapped_column(default="")
    created_at: Mapped[datetime]
    deleted_at: Mapped[datetime | None]
    portion: Mapped[BakePortion] = relationship()


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
