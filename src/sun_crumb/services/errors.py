"""Errors of the services, beside those of the core."""

from __future__ import annotations

from sun_crumb.core.errors import CoreError


class NotFoundError(CoreError):
    """No such recipe, version, bake, serving or product."""

    code = "not_found"


class ConflictError(CoreError):
    """Someone else changed it first; the details hold what is stored now."""

    code = "conflict"


class DamagedError(CoreError):
    """Something is stored that this program would not have kept; the details name what it is, as ``damage``."""

    code = "damaged"
