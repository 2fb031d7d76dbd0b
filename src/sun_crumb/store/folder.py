"""The data folder: made for its owner only, and open in one running application at a time."""

from __future__ import annotations

import json
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path

from filelock import FileLock, Timeout

from sun_crumb.store.errors import FolderInUseError, told

OWNER_FILE, OWNER_FOLDER = 0o600, 0o700


def make_folder(folder: Path) -> None:
    """Make *folder* if it isn't there, readable by its owner only; raise DataFolderError where that can't be."""
    try:
        folder.mkdir(parents=True, exist_ok=True, mode=OWNER_FOLDER)
        if not folder.is_dir():
            raise NotADirectoryError(20, "not a folder")
    except OSError as error:
        raise told(error, folder) from None


def make_private(path: Path) -> None:
    """Let only its owner read a file that is there."""
    if path.is_file() and path.stat().st_mode & 0o077:
        path.chmod(OWNER_FILE)


class Occupied:
    """The mark of a running application on its folder; given back by the system when the process ends, however it ends."""

    def __init__(self, folder: Path) -> None:
        self._folder = folder
        self._lock = FileLock(folder / "running.lock", mode=OWNER_FILE)

    @property
    def _address(self) -> Path:
        return self._folder / "running.json"

    def __enter__(self) -> Occupied:
        make_folder(self._folder)
        try:
            self._lock.acquire(timeout=0)
        except Timeout:
            address = self._running_at()
            where = f" at {address}" if address else ""
            raise FolderInUseError(
                f"Sun Crumb is already running over {self._folder}{where}; nothing was changed; "
                f"{'open that address' if address else 'use that one'}, or stop it first",
                field="folder",
                address=address,
            ) from None
        except OSError as error:
            raise told(error, self._folder) from None
        self._address.unlink(missing_ok=True)
        return self

    def __exit__(self, *_error: object) -> None:
        self._address.unlink(missing_ok=True)
        self._lock.release()

    def tell(self, address: str) -> None:
        """Write down where the application answers, for whoever starts a second one."""
        self._address.write_text(json.dumps({"address": address}), encoding="utf-8")
        make_private(self._address)

    def _running_at(self) -> str:
        try:
            return str(json.loads(self._address.read_text(encoding="utf-8"))["address"])
        except (OSError, ValueError, KeyError, TypeError):
            return ""


@contextmanager
def alone(path: Path) -> Iterator[None]:
    """Hold back other processes that would set up the same database *path* at the same moment."""
    lock = FileLock(path.with_name(f"{path.name}.setup.lock"), mode=OWNER_FILE)
    try:
        lock.acquire(timeout=60)
    except Timeout:
        raise FolderInUseError(
            f"{path} is being set up by another Sun Crumb; nothing was changed; try again in a minute", field="folder"
        ) from None
    except OSError as error:
        raise told(error, path.parent) from None
    try:
        yield
    finally:
        lock.release()
