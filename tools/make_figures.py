"""Write docs/figures.md: every figure of judgement that plans and readings hang on, in one place to be read and argued with.

Run by ``make gen``. A test holds the document against the tables, so that no figure changes without being seen to.
"""

from __future__ import annotations

import sys
from pathlib import Path

from sun_crumb.core.reference import table

TARGET = Path(__file__).resolve().parent.parent / "docs" / "figures.md"
TABLES = {
    "families": "Kinds of dessert: how far each measure may stray (as a part of what is wanted, alkali in meq/g), and the most of each sweetener a batter takes",
    "family_signs": "What speaks for which kind of dessert, and how loudly: words of a name, of a heading, of a portion, of the method",
    "patterns": "Patterns: formulas by common practice, as grams to each other; those that tell kinds apart, and those that only say how one is made on another base",
    "bases": "What a dessert may stand on instead, and why amounts change",
    "recasts": "How a kind of dessert comes onto a base: the patterns (and the practice each is like), what the recipe keeps of its own, what is done otherwise",
    "food_kinds": "What a food counts as when it is told what kind of dessert a list makes",
    "method_verbs": "What a verb of a method does to a bowl, and how long it keeps the cook [min]",
    "method_words": "By which words a method speaks of foods",
    "wait_words": "What is waited for, by the words beside a time",
    "equipment": "Equipment by the words that name it",
    "workshop_sums": "The workshop's sums",
    "workshop_fields": "What each sum asks for, and its usual figure",
    "keeping": "How each kind of dessert cools, is cut and keeps",
    "preparation_names": "By which words preparations and their figures go",
    "preparations": "What is made before a bake: what clings, swells, runs off",
    "prepared_as": "What a preparation is as an ingredient: the food itself, another of the pantry, or one of its own like it",
    "made_of": "What a plan's foods are made from at home",
    "technique": "What less sugar does to how a step is done",
    "tins": "Tins by name and what they hold",
    "candy_stages": "Stages of boiled sugar",
    "browning": "From what heat a sugar browns [°C]",
    "norm_words": "What a recipe is judged by itself by, and the least room that bakers differ by",
    "fights": "Changes that undo each other",
    "levers": "Bought sweet things and what they may make way for",
    "moves": "How far a line may move, and what moving it costs",
    "additions": "What may come in: least and most, what it costs, and where it belongs",
    "stand_ins": "What stands in for what a diet rules out",
    "paths": "The five paths",
    "sittings": "What a sitting bears",
    "eaters": "Who is at the table",
    "rules_of_thumb": "Rules of thumb that bakers go by",
    "claims": "Limits of what may be claimed",
    "constants": "Constants",
    "weighing_doubts": "How far an amount may be off by how it was measured (relative standard deviation), and what would narrow it",
    "composition_doubts": "How far a food's sugars, energy and sweetness may be off by how it is known (relative standard deviations)",
    "solutes": "Solutes: molar mass and Norrish's constant",
    "cups": "Cups and spoons",
    "units": "Units",
    "line_factors": "Words that change what goes in",
    "short_words": "What words that a hand in a hurry shortens stand for",
    "line_marks": "What a line's marks say of its role",
    "line_order": "How roles follow each other",
}


def document() -> str:
    """Return the document's text."""
    parts = [
        "# The figures\n",
        "Written from the tables in `src/sun_crumb/core/reference` by `make gen`; the last column says where a row is from.\n",
    ]
    for name, words in TABLES.items():
        rows = table(name)
        columns = list(rows[0])
        parts.append(f"## {words}\n\n`{name}.csv`\n")
        parts.append(f"| {' | '.join(columns)} |\n|{'---|' * len(columns)}")
        parts += [f"| {' | '.join(row[c].replace('|', '/') for c in columns)} |" for row in rows]
        parts.append("")
    return "\n".join(parts)


if __name__ == "__main__":
    if "--check" in sys.argv:
        sys.exit(0 if TARGET.read_text(encoding="utf-8") == document() else f"{TARGET.name} is out of date: make gen")
    TARGET.write_text(document(), encoding="utf-8")
