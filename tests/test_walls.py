"""Each wall of the house holds: a copy of the house with one import too many fails the check that guards it."""

from __future__ import annotations

import ast
import os
import shutil
import subprocess
import sys
import tempfile
import unittest
from pathlib import Path

ROOT = Path(__file__).resolve().parent.parent
# The wall, the module that reaches through it, and what it reaches for.
BREACHES = (
    ("app -> api -> services -> store, formats -> schemas -> core", "services/kitchen.py", "import sun_crumb.api.errors"),
    ("in the core, subjects build on each other in one order", "core/offers/moves.py", "import sun_crumb.core.telling.advice"),
    ("the core imports what computing needs, and nothing else", "core/balance/metrics.py", "import os"),
    ("the core imports what computing needs, and nothing else", "core/solving/model.py", "import threading"),
    ("only one module of the core knows the solver's library", "core/solving/rounding.py", "import highspy"),
    ("services know no request and no response", "services/ledger.py", "import flask"),
    ("the store keeps rows and knows nothing of the job", "store/database.py", "import sun_crumb.core.solving.model"),
    ("the API reaches no table and solves nothing", "api/shelf.py", "import sun_crumb.store.tables"),
    ("services build on each other in one order", "services/figures.py", "import sun_crumb.services.exchange"),
)  # fmt: skip


class Walls(unittest.TestCase):
    def broken(self, module: str, line: str) -> set[str]:
        """Return which contracts a copy of the house breaks whose *module* has one *line* more."""
        with tempfile.TemporaryDirectory() as name:
            house = Path(name)
            shutil.copytree(
                ROOT / "src", house / "src", ignore=shutil.ignore_patterns("webroot", "__pycache__", "*.egg-info")
            )
            shutil.copytree(ROOT / "tools", house / "tools", ignore=shutil.ignore_patterns("__pycache__"))
            shutil.copy(ROOT / "pyproject.toml", house)
            path = house / "src" / "sun_crumb" / module
            path.write_text(path.read_text(encoding="utf-8") + f"\n{line}\n", encoding="utf-8")
            done = subprocess.run(
                [Path(sys.executable).with_name("lint-imports"), "--no-cache"],
                cwd=house,
                capture_output=True,
                text=True,
                env=os.environ | {"PYTHONPATH": str(house / "src")},
                check=False,
            )
            found = {x.rsplit(" BROKEN", 1)[0] for x in done.stdout.splitlines() if " BROKEN" in x}
            self.assertEqual(done.returncode != 0, bool(found), done.stdout + done.stderr)
            return found

    def test_each_wall_is_seen_to_break(self) -> None:
        for wall, module, line in BREACHES:
            with self.subTest(module, line=line):
                self.assertIn(wall, self.broken(module, line))

    def test_no_module_takes_private_names_of_another(self) -> None:
        for path in (ROOT / "src").rglob("*.py"):
            for node in ast.walk(ast.parse(path.read_text(encoding="utf-8"))):
                if isinstance(node, ast.ImportFrom) and (node.module or "").startswith("sun_crumb"):
                    private = [a.name for a in node.names if a.name.startswith("_") and not a.name.startswith("__")]
                    with self.subTest(path.name):
                        self.assertEqual(private, [])

    def test_no_clock_but_the_one_that_is_passed(self) -> None:
        for path in (ROOT / "src").rglob("*.py"):
            if path.name != "clock.py":
                with self.subTest(path.name):
                    self.assertNotRegex(
                        path.read_text(encoding="utf-8"), r"\b(?:date\.today|datetime\.now|time\.time)\("
                    )


if __name__ == "__main__":
    unittest.main()
