"""A sample of changes made to the core on purpose: which of them do the core's tests see?

Run as ``python tools/mutants.py [count] [seed]``. Each change is one operator, number, name or comparison in a module of
the core, or one figure of its tables, made in a copy of the sources; the tests of tests/core run against the copy, the likeliest first. A change
that no test sees is printed with its place: there the figures are free. Equivalent changes (a message, a tolerance
that nothing comes near) are left to the reader's judgement.
"""

from __future__ import annotations

import ast
import os
import random
import shutil
import subprocess
import sys
import tempfile
from collections.abc import Iterator, Sequence
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass
from pathlib import Path

ROOT = Path(__file__).resolve().parent.parent
CORE = ROOT / "src" / "sun_crumb" / "core"
SWAPS: dict[type[ast.AST], type[ast.AST]] = {
    ast.Add: ast.Sub, ast.Sub: ast.Add, ast.Mult: ast.Div, ast.Div: ast.Mult, ast.Lt: ast.GtE, ast.Gt: ast.LtE, ast.LtE: ast.Gt,
    ast.GtE: ast.Lt, ast.And: ast.Or, ast.Or: ast.And, ast.Eq: ast.NotEq, ast.In: ast.NotIn, ast.NotIn: ast.In,
}  # fmt: skip
TABLES = (
    "constants",
    "solutes",
    "sittings",
    "stand_ins",
    "claims",
    "units",
    "cups",
    "moves",
    "families",
    "eaters",
    "rules_of_thumb",
)
LEFT_OUT = ("reading", "errors.py")
SECONDS = 240


@dataclass(frozen=True)
class Change:
    """One change: a file, its new content, and what was changed where."""

    path: Path
    content: str
    words: str


def places_in(path: Path) -> list[tuple[Path, int]]:
    """Return every place of a module where a change can be made: the module and the number of the node."""
    return [(path, n) for n, node in enumerate(ast.walk(ast.parse(path.read_text(encoding="utf-8")))) if _change(node)]


def change_at(path: Path, number: int) -> Change:
    """Return the change of one place."""
    tree = ast.parse(path.read_text(encoding="utf-8"))
    node = next(node for n, node in enumerate(ast.walk(tree)) if n == number)
    words = f"{path.relative_to(CORE)}:{getattr(node, 'lineno', '?')}: {_change(node)}"
    return Change(path, ast.unparse(ast.fix_missing_locations(tree)), words)


def _change(node: ast.AST) -> str:
    """Change *node* in place and return what was done, or an empty string."""
    if isinstance(node, ast.BinOp | ast.BoolOp) and type(node.op) in SWAPS:
        before = type(node.op)
        node.op = SWAPS[before]()  # type: ignore[assignment]
        return f"{before.__name__} -> {type(node.op).__name__} in {ast.unparse(node)[:70]}"
    if isinstance(node, ast.Compare) and type(node.ops[0]) in SWAPS:
        before = type(node.ops[0])
        node.ops[0] = SWAPS[before]()  # type: ignore[call-overload]
        return f"{before.__name__} -> {type(node.ops[0]).__name__} in {ast.unparse(node)[:70]}"
    if isinstance(node, ast.Constant) and isinstance(node.value, float) and node.value not in (0.0, 1e-9):
        before_value, node.value = node.value, node.value * 1.25
        return f"{before_value} -> {node.value}"
    if isinstance(node, ast.UnaryOp) and isinstance(node.op, ast.USub):
        node.op = ast.UAdd()
        return f"sign lost in {ast.unparse(node)[:70]}"
    return ""


def table_changes(name: str) -> Iterator[Change]:
    """Give a change of each figure of a table: a quarter more."""
    path = CORE / "reference" / f"{name}.csv"
    lines = path.read_text(encoding="utf-8").splitlines()
    for n, line in enumerate(lines[1:], start=1):
        cells = line.split(",")
        for k, cell in enumerate(cells):
            try:
                value = float(cell)
            except ValueError:
                continue
            if value and '"' not in ",".join(cells[:k]):
                changed = [*cells[:k], f"{1.25 * value:.6g}", *cells[k + 1 :]]
                content = "\n".join([*lines[:n], ",".join(changed), *lines[n + 1 :]]) + "\n"
                yield Change(path, content, f"reference/{name}.csv: {cells[0]} {cell} -> {1.25 * value:.6g}")


def is_seen(change: Change | None) -> bool:
    """Return whether a test of tests/core fails with a change, or with none at all."""
    with tempfile.TemporaryDirectory() as name:
        copy = Path(name)
        shutil.copytree(
            ROOT / "src", copy / "src", ignore=shutil.ignore_patterns("webroot", "__pycache__", "*.egg-info")
        )
        if change is not None:
            (copy / "src" / change.path.relative_to(ROOT / "src")).write_text(change.content, encoding="utf-8")
        for part in ("bench", "docs", "tests", "tools"):
            (copy / part).symlink_to(ROOT / part)
        try:
            done = subprocess.run(
                [sys.executable, "-m", "unittest", "-f", "-q", *_likeliest_first(change)],
                cwd=copy,
                capture_output=True,
                env=os.environ | {"PYTHONPATH": str(copy / "src"), "PYTHONDONTWRITEBYTECODE": "1"},
                timeout=SECONDS,
                check=False,
            )
        except subprocess.TimeoutExpired:
            return True
        return done.returncode != 0


def _likeliest_first(change: Change | None) -> list[str]:
    """Return the core's test modules: what stands written down first, then those that name the changed module or its folder."""
    found = sorted((ROOT / "tests" / "core").glob("test_*.py"))
    if change is not None:
        words = (change.path.stem, f"core.{change.path.parent.name}")
        found.sort(key=lambda path: -sum(path.read_text(encoding="utf-8").count(word) for word in words))
    found.sort(key=lambda path: path.stem != "test_standing")
    return [f"tests.core.{path.stem}" for path in found]


def _tried(sample: Sequence[Change]) -> Iterator[tuple[Change, bool]]:
    """Give each change and whether it is seen, in order, as many at once as there are processors."""
    with ThreadPoolExecutor(os.cpu_count()) as pool:
        yield from zip(sample, pool.map(is_seen, sample), strict=True)


def main() -> int:
    count, seed = (int(x) for x in (*sys.argv[1:], "60", "1")[:2])
    chance = random.Random(seed)
    modules = [p for p in CORE.rglob("*.py") if not any(part in p.parts or part == p.name for part in LEFT_OUT)]
    places = [place for path in sorted(modules) for place in places_in(path)]
    figures = [change for name in TABLES for change in table_changes(name)]
    sample = [change_at(*place) for place in chance.sample(places, count * 3 // 4)]
    sample += chance.sample(figures, count - count * 3 // 4)
    if is_seen(None):
        print("the tests fail without any change: nothing can be told from them")
        return 2
    unseen = []
    for n, (change, seen) in enumerate(_tried(sample), start=1):
        print(f"{n:3} {'seen  ' if seen else 'UNSEEN'} {change.words}", flush=True)
        if not seen:
            unseen.append(change.words)
    print(f"{len(sample) - len(unseen)} of {len(sample)} changes are seen")
    return 1 if len(unseen) > count // 10 else 0


if __name__ == "__main__":
    sys.exit(main())
