"""Routes with their schemas: validation on the way in and out, and the OpenAPI document made from both."""

from __future__ import annotations

import inspect
import re
from collections.abc import Callable, Mapping
from dataclasses import dataclass
from typing import Any, TypeVar

from flask import Blueprint, Response, current_app, request
from pydantic import BaseModel, ValidationError
from pydantic.json_schema import JsonSchemaMode, models_json_schema

from sun_crumb import __doc__ as product
from sun_crumb.api.errors import InvalidRequestError
from sun_crumb.api.schemas.base import ErrorOut
from sun_crumb.schemas.fields import MOST_ID
from sun_crumb.schemas.words import words_of
from sun_crumb.services.errors import NotFoundError

T = TypeVar("T", bound=BaseModel)


@dataclass(frozen=True, slots=True)
class Endpoint:
    """One operation of the API."""

    method: str
    path: str
    name: str
    summary: str
    body: type[BaseModel] | None
    returns: type[BaseModel]
    query: dict[str, str]
    path_types: dict[str, str]


ENDPOINTS: list[Endpoint] = []


def endpoint(
    blueprint: Blueprint,
    method: str,
    path: str,
    *,
    returns: type[BaseModel],
    body: type[BaseModel] | None = None,
    query: dict[str, str] | None = None,
) -> Callable[[Callable[..., Any]], Callable[..., Any]]:
    """Register a route. Its function takes the path's numbers, then the validated body, then the query as keywords."""

    def register(function: Callable[..., Any]) -> Callable[..., Any]:
        def handle(**path_values: Any) -> Response:
            if any(isinstance(value, int) and value > MOST_ID for value in path_values.values()):
                raise NotFoundError("nothing here has so high a number", field="id")
            arguments: list[Any] = list(path_values.values())
            if body is not None:
                arguments.append(_validated(body))
            words = {key: request.args.get(key, "") for key in query or {}}
            result = returns.model_validate(function(*arguments, **words))
            return current_app.response_class(result.model_dump_json(), mimetype="application/json")

        blueprint.add_url_rule(path, function.__name__, handle, methods=[method])
        ENDPOINTS.append(
            Endpoint(
                method.lower(),
                "/api" + re.sub(r"<(?:int:)?(\w+)>", r"{\1}", path),
                function.__name__,
                (inspect.getdoc(function) or "").split("\n")[0],
                body,
                returns,
                query or {},
                {m[1]: "integer" if m[0] else "string" for m in re.findall(r"<(int:)?(\w+)>", path)},
            )
        )
        return function

    return register


def _validated(body: type[BaseModel]) -> BaseModel:
    if not request.is_json:
        raise InvalidRequestError("send JSON (Content-Type: application/json)", field=None)
    return _checked(lambda: body.model_validate_json(request.get_data() or b"null"))


def _checked(read: Callable[[], T]) -> T:
    try:
        return read()
    except ValidationError as error:
        words, field = words_of(error)
        raise InvalidRequestError(words, field=field) from None


def in_query(shape: type[T], given: Mapping[str, Any]) -> T:
    """Return what the query gives in the shape of a body; raise InvalidRequestError, naming the field, where it is none."""
    return _checked(lambda: shape.model_validate(dict(given)))


def number_in(text: str, field: str, default: int, most: int = MOST_ID) -> int:
    """Return a whole number out of the query; raise InvalidRequestError, naming the field, where it is none."""
    if not text:
        return default
    if not re.fullmatch(r"[0-9]{1,19}", text) or int(text) > most:
        raise InvalidRequestError(f"{field}: {text[:20]!r} is no whole number from 0 to {most}", field=field)
    return int(text)


def openapi() -> dict[str, Any]:
    """Return the OpenAPI document of every registered endpoint."""
    bodies = {e.body for e in ENDPOINTS if e.body}
    answers = {e.returns for e in ENDPOINTS} | {ErrorOut}
    modes: list[tuple[type[BaseModel], JsonSchemaMode]] = [(m, "validation") for m in _by_name(bodies)]
    modes += [(m, "serialization") for m in _by_name(answers)]
    _, found = models_json_schema(modes, ref_template="#/components/schemas/{model}")
    schemas = found["$defs"]
    problem = {"description": "What is wrong", "content": _json(ErrorOut)}
    paths: dict[str, Any] = {}
    for e in sorted(ENDPOINTS, key=lambda e: (e.path, e.method)):
        parameters = [
            {"name": n, "in": "path", "required": True, "schema": {"type": t}} for n, t in e.path_types.items()
        ] + [
            {"name": n, "in": "query", "required": False, "description": d, "schema": {"type": "string"}}
            for n, d in e.query.items()
        ]
        operation: dict[str, Any] = {
            "operationId": e.name,
            "summary": e.summary,
            "parameters": parameters,
            "responses": {"200": {"description": "Done", "content": _json(e.returns)}, "4XX": problem},
        }
        if e.body:
            operation["requestBody"] = {"required": True, "content": _json(e.body)}
        paths.setdefault(e.path, {})[e.method] = operation
    return {
        "openapi": "3.1.0",
        "info": {"title": "Sun Crumb", "version": "1", "description": product},
        "paths": paths,
        "components": {"schemas": dict(sorted(schemas.items()))},
    }


def _by_name(models: set[type[BaseModel]]) -> list[type[BaseModel]]:
    return sorted(models, key=lambda m: m.__name__)


def _json(model: type[BaseModel]) -> dict[str, Any]:
    return {"application/json": {"schema": {"$ref": f"#/components/schemas/{model.__name__}"}}}
