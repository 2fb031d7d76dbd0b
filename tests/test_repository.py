"""The repository keeps its own rules: pictures linked, no addresses in locks, documents that lead somewhere."""

from __future__ import annotations

import ast
import importlib
import inspect
import json
import pkgutil
import re
import tomllib
import unittest
from importlib.metadata import requires
from pathlib import Path

from packaging.requirements import Requirement
from packaging.utils import canonicalize_name

import sun_crumb.core

ROOT = Path(__file__).resolve().parent.parent


class Repository(unittest.TestCase):
    def test_every_picture_is_linked_and_there_are_few(self) -> None:
        readme = (ROOT / "README.md").read_text(encoding="utf-8")
        pictures = sorted((ROOT / "docs" / "screenshots").glob("*.png"))
        self.assertTrue(4 <= len(pictures) < 20)
        for picture in pictures:
            with self.subTest(picture.name):
                self.assertIn(f"docs/screenshots/{picture.name}", readme)

    def test_links_of_the_documents_lead_somewhere(self) -> None:
        for document in (ROOT / "README.md", *(ROOT / "docs").rglob("*.md")):
            for target in re.findall(r"\]\(([^)#:]+)\)", document.read_text(encoding="utf-8")):
                with self.subTest(document.name, target=target):
                    self.assertTrue((document.parent / target).exists())

    def test_lock_files_name_versions_and_no_addresses(self) -> None:
        for name in ("requirements.lock", "requirements-dev.lock"):
            for line in (ROOT / name).read_text(encoding="utf-8").splitlines():
                if line and not line.startswith("#"):
                    self.assertRegex(line, r"^[\w.\-]+==[\w.]+$")
        packages = json.loads((ROOT / "web" / "package-lock.json").read_text(encoding="utf-8"))["packages"]
        self.assertEqual([n for n, p in packages.items() if "resolved" in p and not p.get("link")], [])

    def test_each_lock_holds_all_that_its_packages_ask_for(self) -> None:
        """What running needs is whole without the tests' packages, and theirs hold the same versions."""
        running, developing = (self.locked(name) for name in ("requirements.lock", "requirements-dev.lock"))
        self.assertLessEqual(running.items(), developing.items())
        project = tomllib.loads((ROOT / "pyproject.toml").read_text(encoding="utf-8"))["project"]
        for wanted, lock in (
            (project["dependencies"], running),
            (project["dependencies"] + project["optional-dependencies"]["dev"], developing),
        ):
            asked, reached = [(Requirement(line), "") for line in wanted], set()
            while asked:
                one, extra = asked.pop()
                name = canonicalize_name(one.name)
                if one.marker and not one.marker.evaluate({"extra": extra}):
                    continue
                self.assertIn(name, lock)
                self.assertTrue(one.specifier.contains(lock[name], prereleases=True), f"{one} is not {lock[name]}")
                for chosen in {"", *one.extras} - {e for n, e in reached if n == name}:
                    reached.add((name, chosen))
                    asked += [(Requirement(line), chosen) for line in requires(name) or ()]
            self.assertEqual(set(lock) - {name for name, _ in reached}, set(), "nothing asks for these")

    def locked(self, name: str) -> dict[str, str]:
        lines = (ROOT / name).read_text(encoding="utf-8").splitlines()
        return {canonicalize_name(a): b for a, _, b in (x.partition("==") for x in lines if x and x[0] != "#")}

    def test_the_readmes_two_commands_are_targets(self) -> None:
        makefile = (ROOT / "Makefile").read_text(encoding="utf-8")
        for target in ("demo", "test", "check", "bench", "gen"):
            self.assertRegex(makefile, rf"(?m)^{target}:")
        self.assertIn("make test", (ROOT / ".ci" / "run").read_text(encoding="utf-8"))

    def test_nothing_is_fetched_from_afar_by_the_screens(self) -> None:
        for source in (*(ROOT / "web" / "src").rglob("*.*"), ROOT / "web" / "index.html"):
            if source.suffix in (".ts", ".vue", ".css", ".html"):
                with self.subTest(source.name):
                    text = source.read_text(encoding="utf-8").replace("http://www.w3.org", "")
                    self.assertNotRegex(text, r"https?://(?!127\.0\.0\.1)")

    def test_no_module_gives_a_name_twice(self) -> None:
        """A second constant of a name takes the place of the first, and no linter says so."""
        for path in sorted((ROOT / "src").rglob("*.py")):
            given: set[str] = set()
            for node in ast.parse(path.read_text(encoding="utf-8")).body:
                targets = node.targets if isinstance(node, ast.Assign) else [getattr(node, "target", node)]
                named = (x.id for target in targets for x in ast.walk(target) if isinstance(x, ast.Name))
                for name in named if isinstance(node, ast.Assign | ast.AnnAssign) else ():
                    self.assertNotIn(name, given, f"{path.name} gives {name} twice")
                    given.add(name)

    def test_what_the_core_hands_out_tells_its_arguments(self) -> None:
        for found in pkgutil.walk_packages(sun_crumb.core.__path__, "sun_crumb.core."):
            module = importlib.import_module(found.name)
            for name in getattr(module, "__all__", ()) if found.ispkg else ():
                function = getattr(module, name)
                if inspect.isfunction(function) and inspect.signature(function).parameters:
                    with self.subTest(f"{found.name}.{name}"):
                        self.assertIn("\nParameters\n", inspect.getdoc(function) or "")
