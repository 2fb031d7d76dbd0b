"""Standard output without what a library writes past Python."""

from __future__ import annotations

import os
import sys
from contextlib import contextmanager
from typing import Any


@contextmanager
def quiet_stdout() -> Any:
    """Keep the solver's greeting, written past Python, off standard output."""
    sys.stdout.flush()
    kept, nowhere = os.dup(1), os.open(os.devnull, os.O_WRONLY)
    os.dup2(nowhere, 1)
    try:
        yield
    finally:
        import ctypes

        ctypes.CDLL(None).fflush(None)
        os.dup2(kept, 1)
        os.close(kept)
        os.close(nowhere)
