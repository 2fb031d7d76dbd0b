"""What can be wrong with the data folder, each told in one sentence: what is wrong, what is safe, what to do."""

from __future__ import annotations

import errno
from pathlib import Path

from sun_crumb.core.errors import CoreError


class DataFolderError(CoreError):
    """The data folder or its database can't be used as it is; nothing in it was changed."""

    code = "data_folder"


class FolderInUseError(DataFolderError):
    """Another Sun Crumb has the data folder open; ``details`` hold its address where it is known."""

    code = "folder_in_use"


def told(error: OSError, path: Path) -> DataFolderError:
    """Return an operating system's refusal as a sentence about *path*."""
    kept = "nothing was changed"
    match error.errno:
        case errno.EACCES | errno.EPERM | errno.EROFS:
            words = f"{path} can't be written to; {kept}; give yourself the right to write there, or choose another folder with SUN_CRUMB_DATA"
        case errno.ENOTDIR | errno.EEXIST:
            words = f"{path} is needed as a folder, but something else is there; {kept}; move it away, or choose another folder with SUN_CRUMB_DATA"
        case errno.ENOSPC | errno.EDQUOT:
            words = f"there is no room left for {path}; what was kept before is safe; make room and start again"
        case _:
            words = f"{path} can't be used ({error.strerror or error}); {kept}; check the folder, or choose another with SUN_CRUMB_DATA"
    return DataFolderError(words, field="folder", path=str(path))


def not_a_database(path: Path, why: str) -> DataFolderError:
    """Return the refusal of a file that is no whole database of ours."""
    return DataFolderError(
        f"{path} is {why}; it was left as it is; move it away and start again, "
        "then bring back your last backup with sun-crumb restore",
        field="folder",
        path=str(path),
    )
