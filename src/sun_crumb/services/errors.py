"""Errors of the services, beside those of the core."""

from __future__ import annotations

from sun_crumb.core.errors import CoreError


class NotFoundError(CoreError):
    """No such recipe, version, bake or serving."""

    code = "not_found"


class ConflictError(CoreError):
    """Someone else changed it first; the details hold what is stored now."""

    code = "conflict"
