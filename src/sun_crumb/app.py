"""The web application, wired together."""

from __future__ import annotations

from pathlib import Path

from flask import Flask, Response, abort, request, send_from_directory

from sun_crumb.api import compare, days, errors, household, kitchen, shelf, tastings, worktop
from sun_crumb.api import devices as devices_api
from sun_crumb.devices import Devices
from sun_crumb.formats.backup import MOST_CHARACTERS as MOST_OF_A_BACKUP
from sun_crumb.services.figures import read_methods, refresh
from sun_crumb.store import Database
from sun_crumb.store.clock import Clock

WEBROOT = Path(__file__).parent / "webroot"
MOST_BYTES = 1_000_000
# A request may hold more where it brings a whole household.
MOST_BYTES_AT = {"/api/restore": MOST_OF_A_BACKUP}
# A picture comes as base64.
MOST_OF_A_PICTURE = 17_000_000
BLUEPRINTS = (
    kitchen.blueprint,
    shelf.blueprint,
    days.blueprint,
    worktop.blueprint,
    devices_api.blueprint,
    tastings.blueprint,
    household.blueprint,
    compare.blueprint,
)
POLICY = (
    "default-src 'self'; script-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; font-src 'self'; "
    "connect-src 'self'; object-src 'none'; base-uri 'none'; frame-ancestors 'none'; form-action 'self'"
)
LOCAL_HOSTS = ("127.0.0.1", "localhost", "[::1]")


def create_app(
    database_path: Path,
    *,
    is_demo: bool = False,
    webroot: Path = WEBROOT,
    clock: Clock | None = None,
    devices: Devices | None = None,
) -> Flask:
    """Return the application over one database file, migrated to the newest tables."""
    app = Flask(__name__, static_folder=None)
    app.config.update(MAX_CONTENT_LENGTH=MOST_BYTES, IS_DEMO=is_demo)
    database = Database(database_path, clock)
    database.migrate()
    read_methods(database)
    refresh(database)
    app.extensions["database"] = database
    app.extensions["devices"] = devices or Devices()
    errors.register(app)
    for blueprint in BLUEPRINTS:
        app.register_blueprint(blueprint, url_prefix="/api")
    _guard(app)
    _serve_pages(app, webroot)
    return app


def _guard(app: Flask) -> None:
    """Answer only this machine's own names, refuse other sites' writes, and send strict headers."""

    @app.before_request
    def check() -> None:
        request.max_content_length = (
            MOST_OF_A_PICTURE if request.path.endswith("/photos") else MOST_BYTES_AT.get(request.path, MOST_BYTES)
        )
        host = request.host.rsplit(":", 1)[0] if not request.host.endswith("]") else request.host
        if host not in LOCAL_HOSTS:
            abort(403, "this server answers only its own machine")
        origin = request.headers.get("Origin")
        if origin and request.method not in ("GET", "HEAD") and origin.split("://")[-1] != request.host:
            abort(403, "writes from other sites are refused")

    @app.after_request
    def headers(response: Response) -> Response:
        response.headers["Content-Security-Policy"] = POLICY
        response.headers["X-Content-Type-Options"] = "nosniff"
        response.headers["Referrer-Policy"] = "no-referrer"
        if request.path.startswith("/api"):
            response.headers["Cache-Control"] = "no-store"
        return response


def _serve_pages(app: Flask, webroot: Path) -> None:
    @app.get("/assets/<path:name>")
    def assets(name: str) -> Response:
        response = send_from_directory(webroot / "assets", name)
        response.headers["Cache-Control"] = "public, max-age=31536000, immutable"
        return response

    @app.get("/", defaults={"path": ""})
    @app.get("/<path:path>")
    def page(path: str) -> Response:
        if path.startswith("api/"):
            abort(404, "no such part of the API")
        if "." in path and path in _files_of(webroot):
            return send_from_directory(webroot, path)
        if not (webroot / "index.html").is_file():
            abort(503, "the screens are not built yet: run make demo")
        response = send_from_directory(webroot, "index.html")
        response.headers["Cache-Control"] = "no-cache"
        return response


def _files_of(webroot: Path) -> frozenset[str]:
    """Return the names of the files that lie in the web root itself: no other path is ever looked up on the disk."""
    return frozenset(p.name for p in webroot.iterdir() if p.is_file()) if webroot.is_dir() else frozenset()
