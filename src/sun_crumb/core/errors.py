"""Errors of the core. Each carries the data that caused it; the API and the command line map them once."""

from __future__ import annotations


class CoreError(ValueError):
    """Something in the input makes the job impossible."""

    code = "bad_input"

    def __init__(self, message: str, *, field: str | None = None, **details: object) -> None:
        super().__init__(message)
        self.message = message
        self.field = field
        self.details = details


class EmptyRecipeError(CoreError):
    """The text holds nothing to read."""

    code = "empty_recipe"


class TextTooLongError(CoreError):
    """The text is longer than any recipe."""

    code = "text_too_long"


class OutOfDomainError(CoreError):
    """A number lies outside the range in which the computation means something."""

    code = "out_of_domain"


class UnknownIngredientError(CoreError):
    """A pantry key that the pantry does not hold."""

    code = "unknown_ingredient"


class UnknownChoiceError(CoreError):
    """A name (unit, path, family, diet) that is not among the known ones; lists them."""

    code = "unknown_choice"


class NothingToReworkError(CoreError):
    """The recipe holds no sugar of the kind that is to be cut, or nothing but sugar."""

    code = "nothing_to_rework"


def require_choice(value: str, choices: object, field: str) -> str:
    """Return *value* if it is one of *choices*, else raise an error that lists them."""
    known = sorted(choices)  # type: ignore[call-overload]
    if value not in known:
        raise UnknownChoiceError(
            f"{value!r} is not a known {field}; choose one of: {', '.join(known)}", field=field, choices=known
        )
    return value
