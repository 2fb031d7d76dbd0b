"""The one error format, and which status each kind of error gets."""

from __future__ import annotations

import logging
from dataclasses import fields, is_dataclass
from math import isfinite
from typing import Any

from flask import Flask, Response, jsonify, request
from pydantic import BaseModel
from sqlalchemy.exc import DBAPIError, OperationalError
from werkzeug.exceptions import HTTPException, RequestEntityTooLarge

from sun_crumb.core.errors import CoreError

STATUS = {"not_found": 404, "conflict": 409, "text_too_long": 413, "data_folder": 503, "no_device": 409, "busy": 503}
log = logging.getLogger(__name__)


class InvalidRequestError(CoreError):
    """The request does not have the shape that the endpoint takes."""

    code = "invalid_request"


def error_view(
    code: str, message: str, field: str | None = None, details: dict[str, Any] | None = None
) -> dict[str, Any]:
    """Return an error as it is sent and printed."""
    return {"error": {"code": code, "message": message, "field": field, "details": _plain(details or {})}}


def _plain(value: Any) -> Any:
    """Return *value* as JSON can hold it: a number that is none, and whatever else JSON has no word for, as text."""
    if isinstance(value, dict):
        return {str(k): _plain(v) for k, v in value.items()}
    if isinstance(value, list | tuple | set | frozenset):
        return [_plain(v) for v in value]
    if is_dataclass(value):
        return {f.name: _plain(getattr(value, f.name)) for f in fields(value)}
    if isinstance(value, BaseModel):
        return _plain(value.model_dump())
    if isinstance(value, float):
        return value if isfinite(value) else str(value)
    return value if value is None or isinstance(value, bool | int | str) else str(value)


def core_error_view(error: CoreError) -> dict[str, Any]:
    """Return a core or service error as it is sent and printed."""
    return error_view(error.code, error.message, error.field, error.details)


def register(app: Flask) -> None:
    """Map every error of *app* to the one format."""

    @app.errorhandler(CoreError)
    def core(error: CoreError) -> tuple[Response, int]:
        return jsonify(core_error_view(error)), STATUS.get(error.code, 422)

    @app.errorhandler(RequestEntityTooLarge)
    def too_large(_error: RequestEntityTooLarge) -> tuple[Response, int]:
        most = request.max_content_length or app.config["MAX_CONTENT_LENGTH"]
        return jsonify(
            error_view("text_too_long", f"that is more than {most // 1000:,} kB, and was not read", "text")
        ), 413

    @app.errorhandler(HTTPException)
    def http(error: HTTPException) -> tuple[Response, int] | HTTPException:
        if not request.path.startswith("/api"):
            return error
        code = error.code or 500
        return jsonify(error_view(error.name.lower().replace(" ", "_"), error.description or error.name)), code

    @app.errorhandler(OperationalError)
    def database(error: OperationalError) -> tuple[Response, int]:
        log.error("database: %s", error)
        return jsonify(error_view("busy", "the data folder is busy or full; nothing was changed, try again")), 503

    @app.errorhandler(DBAPIError)
    def unreadable(error: DBAPIError) -> tuple[Response, int]:
        log.error("database: %s", error)
        words = "the database can't be read or written; nothing was changed; stop Sun Crumb and start it again to have it checked"
        return jsonify(error_view("damaged", words)), 503

    @app.errorhandler(Exception)
    def unexpected(error: Exception) -> tuple[Response, int]:
        log.exception("unexpected")
        words = "something went wrong in Sun Crumb itself; nothing was changed"
        return jsonify(error_view("unexpected", words, None, {"kind": type(error).__name__})), 500
