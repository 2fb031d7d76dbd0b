"""Run every test and doctest; the last line counts them."""

from __future__ import annotations

import doctest
import importlib
import pkgutil
import sys
import time
import unittest
from pathlib import Path

ROOT = Path(__file__).resolve().parent.parent
sys.path.insert(0, str(ROOT))

import sun_crumb.core  # noqa: E402  (the path comes first)


def suite() -> unittest.TestSuite:
    """Return the tests under tests/ and the worked examples in the core's docstrings."""
    found = unittest.defaultTestLoader.discover(str(ROOT / "tests"), top_level_dir=str(ROOT))
    for module in pkgutil.walk_packages(sun_crumb.core.__path__, "sun_crumb.core."):
        found.addTests(doctest.DocTestSuite(importlib.import_module(module.name)))
    return found


def main() -> int:
    start = time.monotonic()
    result = unittest.TextTestRunner(verbosity=1, buffer=True).run(suite())
    failed = len(result.failures) + len(result.errors) + len(result.unexpectedSuccesses)
    skipped = len(result.skipped)
    print(f"took {time.monotonic() - start:.0f} s")
    print(f"{result.testsRun - failed - skipped} passed, {failed} failed" + (f", {skipped} skipped" if skipped else ""))
    return 1 if failed or not result.testsRun else 0


if __name__ == "__main__":
    sys.exit(main())
