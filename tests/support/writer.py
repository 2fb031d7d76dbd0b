"""A writer of recipes in many hands: what each text holds is known because it was put there.

It shares no word list and no pattern with the reader: foods, weights and ways of writing are its own (weights from memory,
common practice). ``write(seed)`` gives one recipe, always the same for the same seed.
"""

from __future__ import annotations

import random
from dataclasses import dataclass, field

from tests.support.writers_desserts import DESSERTS, FOODS, GLYPHS, PLURAL, SLASHES, SMALL, WORDS
from tests.support.writers_shapes import shaped


@dataclass
class Truth:
    """What a written recipe holds: grams from least to most by pantry key, and what is said of portions and oven."""

    title: str
    portions: int | None
    components: int
    oven: tuple[float, bool] | None
    foods: dict[str, tuple[float, float]] = field(default_factory=dict)
    features: list[str] = field(default_factory=list)


@dataclass
class Hand:
    """How one writer writes."""

    chance: random.Random
    units: str
    glyphs: bool
    comma: bool
    bullet: str
    case: str

    def number(self, value: float) -> str:
        """Write a number as this hand does."""
        whole, rest = int(value), value - int(value)
        near = min(GLYPHS, key=lambda f: abs(f - rest))
        if rest > 0.02 and abs(near - rest) < 0.02:
            if self.comma and abs(rest - 0.5) < 0.01:
                return f"{whole},5"
            text = GLYPHS[near] if self.glyphs else SLASHES[near]
            joint = "" if self.glyphs else " "
            return f"{whole}{joint}{text}" if whole else text
        return str(whole) if rest < 0.02 else f"{value:g}"


def write(seed: int) -> tuple[str, Truth]:
    """Return a recipe text and what it holds."""
    chance = random.Random(seed)
    title, piece, whole, parts = chance.choice(DESSERTS)
    hand = Hand(
        chance,
        chance.choice(("us", "us", "metric", "metric", "both", "mixed")),
        chance.random() < 0.5,
        chance.random() < 0.12,
        chance.choice(("", "", "", "- ", "* ", "• ", "▢ ", "– ", "· ", "✓ ", "☐ ")),
        chance.choice(("title", "title", "upper", "plain")),
    )
    truth = Truth(title, None, len(parts), None)
    head = _head(hand, truth, piece, whole)
    body = _ingredients(hand, truth, parts)
    method = _method(hand, truth, parts, piece)
    return "\n".join([*head, *body, *method]) + chance.choice(("", "\n", "\n\n")), truth


def _many(piece: str, count: int) -> str:
    return piece if count == 1 else PLURAL.get(piece, f"{piece}s")


def _head(hand: Hand, truth: Truth, piece: str, whole: str) -> list[str]:
    c = hand.chance
    count = c.choice((4, 6, 8, 9, 10, 12, 14, 15, 16, 18, 20, 24))
    many = _many(piece, count)
    said = {"title": truth.title, "upper": truth.title.upper(), "plain": truth.title}[hand.case]
    truth.title = said
    forms = [
        f"Serves {count}", f"Serves: {count}", f"SERVES {count}", f"Makes {count} {many}", f"Makes about {count} {many}", f"makes approx. {count} {many}",
        f"Yield: {count} {many}", f"Yields {count} {many}", f"{count} servings", f"Servings: {count}", f"{count} {many}", f"Makes {count}", f"Gives {count} {many}",
        f"Enough for {count} people", f"For {count} people", f"Portions: {count}", f"Quantity: {count} {many}", f"Feeds {count}", f"🍽 Serves {count}", f"👥 {count} portions",
        f"Cuts into {count} {many}", f"Makes {count} small {many}", f"Makes {count} generous {many}", f"Serving size: 1 {piece}. Servings: {count}",
        f"Prep 20 min | Cook 35 min | Serves {count}", f"Serves {count}-{count + 2}", f"Makes {count} to {count + 4} {many}", f"Serves roughly {count}", f"Yield: approximately {count} {many}",
        f"Makes: {count} {many} (about 60 g each)", f"{count} {many} (45 g each)", f"Serves {count} generously", f"(Makes {count})", f"Servings {count} | Calories 240", f"Makes a batch of {count}",
        f"Produces {count} {many}", f"Recipe makes {count} {many}.", f"This makes {count} {many}", f"Enough for {count} hungry people", f"SERVES: {count} | PREP: 15 MIN", f"Yield {count} {many}, keeps 3 days", f"Yield – {count} {many}", f"Number of servings: {count}", f"* Makes: {count} {many} *",
    ]  # fmt: skip
    if count <= 16:
        word = WORDS[count]
        forms += [f"Serves {word}", f"Makes {word} {many}", f"Enough for {word}"]
    if count % 12 == 0:
        dozen = {12: "a dozen", 24: "two dozen"}[count]
        forms += [f"Makes {dozen} {many}", f"Makes {dozen}", f"Yield: {count // 12} dozen"]
    if whole:
        forms += [
            f"1 {whole}, cut in {count}", f"Makes one {whole} ({count} {many})", f"Makes 1 {whole}, {count} {many}", f"One 20 cm {whole}, {count} {many}",
            f"Makes 1 {whole}; serves {count}", f"Makes one 9-inch {whole}, about {count} {many}",
        ]  # fmt: skip
    c.shuffle(forms)
    where = c.choice(("line", "line", "line", "line", "title", "last", "none"))
    truth.portions = count
    lines = [said]
    if where == "title":
        aside = c.choice(
            (f"(makes {count})", f"({count} {many})", f"(serves {count})", f"– {count} {many}", f"(cuts into {count})")
        )
        lines = [f"{said} {aside}"]
        truth.features.append("portions in title")
    elif where == "none":
        truth.portions = None
    elif where == "last":
        truth.features.append("portions last")
        truth.features.append(
            c.choice(
                (
                    f"LAST:Serves {count}.",
                    f"LAST:Cut into {count} {many}."
                    if piece in ("square", "bar", "slice")
                    else f"LAST:Makes {count} {many}.",
                )
            )
        )
    if c.random() < 0.3:
        lines = [*lines, "", c.choice(CHATTER)]
        truth.features.append("chatter")
    if where == "line":
        lines.insert(c.choice((1, len(lines))), forms[0])
    if c.random() < 0.3:
        lines.append(
            c.choice(
                (
                    "Prep time: 15 minutes",
                    "Cook: 40 min",
                    "Prep: 20 mins · Bake: 35 mins",
                    "Total time 1 hr 10 min",
                    "Ready in 50 minutes",
                    "Prep Time: 10 mins  Cook Time: 30 mins",
                )
            )
        )
    if hand.chance.random() < 0.12:
        lines = [c.choice(("🧁 ", "⭐ ", "✨ ")) + lines[0], *lines[1:]]
        truth.features.append("emoji")
    return lines


CHATTER = (
    "My aunt baked this every Sunday, and it never lasted beyond Monday.",
    "This is the one we make when the garden gives us too much! It keeps for up to 5 days in a tin.",
    "I have been making this for 20 years and I still love it.",
    "You'll love how quick this is. Perfect with a cup of tea for two.",
    "The trick is to leave the batter for 10 minutes before it goes in.",
    "Freezes well for up to 3 months, so we always double it.",
)
STORAGE = (
    "Keeps 4 days in an airtight tin.", "Store in the fridge for up to 1 week.", "These freeze well for up to 2 months.", "They keep for 3 days, if you let them.",
    "Note: tastes best on the second day.", "Tip: use a serrated knife.",
)  # fmt: skip


def _ingredients(hand: Hand, truth: Truth, parts: dict[str, tuple[str, ...]]) -> list[str]:
    c = hand.chance
    lines: list[str] = [""] if c.random() < 0.7 else []
    if c.random() < 0.08:
        truth.features.append("other kitchens")
    heading = (
        c.choice(
            (
                "Zutaten",
                "Ingrédients",
                "Ingredientes:",
                "Ingredienser",
                "Shopping list",
                "What goes in",
                "THE INGREDIENTS",
            )
        )
        if "other kitchens" in truth.features
        else c.choice(
            (
                "Ingredients",
                "INGREDIENTS",
                "Ingredients:",
                "**Ingredients**",
                "You will need",
                "What you need:",
                "## Ingredients",
                "Ingredients -",
                "",
            )
        )
    )
    if not heading and not lines:
        lines = [""]
    if heading:
        lines.append(heading)
    shape = c.choice(("plain",) * 6 + ("pipe", "behind", "columns", "run-on", "broken", "numbered"))
    for name, foods in parts.items():
        if name:
            lines += [
                c.choice(
                    (
                        f"For the {name}",
                        f"For the {name}:",
                        f"{name.title()}:",
                        name.upper(),
                        f"**{name.title()}**",
                        f"{name.title()} -",
                    )
                )
            ]
        rows = [_food(hand, truth, key) for key in foods]
        truth.features.append(shape)
        if not name and shape == "plain" and c.random() < 0.1:
            # Stages of one mixture are no components.
            truth.features.append("stages")
            first, second = c.choice(
                (("Dry", "Wet"), ("Dry ingredients:", "Wet ingredients:"), ("DRY", "WET"), ("Bowl 1", "Bowl 2"))
            )
            lines += [
                first,
                *shaped(hand.chance, hand.bullet, rows[:4], shape),
                second,
                *shaped(hand.chance, hand.bullet, rows[4:], shape),
            ]
            continue
        lines += shaped(hand.chance, hand.bullet, rows, shape)
    return lines


def _food(hand: Hand, truth: Truth, key: str) -> tuple[str, str]:
    """Return one food as its amount and its name, and note what it weighs."""
    c = hand.chance
    names, cup, spoon, piece = FOODS[key]
    name = c.choice(names)
    system = hand.units if hand.units != "mixed" else c.choice(("us", "metric"))
    if piece:
        count = c.choice((1, 2, 3, 4))
        one, many = piece[1], piece[2]
        truth_add(truth, key, count * piece[0] * 0.72, count * piece[0] * 1.35)
        word = one if count == 1 else many
        size = c.choice(("", "", "large ", "medium ")) if key == "egg" else ""
        number = WORDS[count] if c.random() < 0.1 else str(count)
        return number, f"{size}{word}"
    if key in SMALL:
        assert spoon is not None
        amount = c.choice((0.25, 0.5, 1.0, 1.5, 2.0))
        grams = amount * spoon / 3
        truth_add(truth, key, grams * 0.6, grams * 1.6)
        unit = c.choice(
            ("tsp", "teaspoon", "tsp.", "tsps", "teaspoons") if amount != 1 else ("tsp", "teaspoon", "tsp.")
        )
        return f"{hand.number(amount)} {unit}", name
    if system == "us" and cup:
        amount = c.choice((0.25, 1 / 3, 0.5, 2 / 3, 0.75, 1.0, 1.25, 1.5, 2.0, 2.5))
        truth_add(truth, key, amount * cup * 0.8, amount * cup * 1.22)
        unit = c.choice(("cup", "c.", "C", "cup") if amount <= 1 else ("cups", "c.", "cups", "cup"))
        return f"{hand.number(amount)} {unit}", name
    grams = float(c.choice((30, 50, 60, 75, 80, 100, 115, 120, 125, 150, 175, 180, 200, 225, 250, 300)))
    is_liquid = key in ("milk", "buttermilk", "double_cream", "neutral_oil") and c.random() < 0.6
    if is_liquid and cup:
        truth_add(truth, key, grams * cup / 236.6 * 0.93, grams * cup / 236.6 * 1.07)
        return f"{grams:.0f}{c.choice((' ml', 'ml', ' mL', ' millilitres'))}", name
    if system == "both" and cup:
        truth_add(truth, key, grams * 0.98, grams * 1.02)
        near = max(0.25, round(grams / cup * 4) / 4)
        if abs(near * cup / grams - 1) < 0.12:
            unit = "cup" if near <= 1 else "cups"
            return c.choice(
                (f"{grams:.0f} g ({hand.number(near)} {unit})", f"{hand.number(near)} {unit} ({grams:.0f}g)")
            ), name
        return f"{grams:.0f} g", name
    truth_add(truth, key, grams * 0.98, grams * 1.02)
    if c.random() < 0.06:
        return f"{grams / 1000:g} kg".replace(".", "," if hand.comma else "."), name
    return f"{grams:.0f}{c.choice((' g', 'g', 'g', ' grams', ' gr', ' gms'))}", name


def truth_add(truth: Truth, key: str, low: float, high: float) -> None:
    """Add so much of a food to what a recipe holds."""
    was = truth.foods.get(key, (0.0, 0.0))
    truth.foods[key] = (was[0] + low, was[1] + high)


def _method(hand: Hand, truth: Truth, parts: dict[str, tuple[str, ...]], piece: str) -> list[str]:
    c = hand.chance
    lines = [""] if c.random() < 0.8 else []
    lines.append(
        c.choice(("Zubereitung", "Préparation", "Preparación", "Fremgangsmåde", "Now make it", "THE METHOD"))
        if "other kitchens" in truth.features
        else c.choice(
            (
                "Method",
                "METHOD",
                "Method:",
                "Directions",
                "Instructions:",
                "**Method**",
                "How to make it",
                "Preparation",
                "Steps",
                "## Instructions",
                "What to do",
            )
        )
    )
    steps = []
    if piece != "glass":
        celsius = c.choice((160, 170, 175, 180, 190, 200))
        truth.oven = (float(celsius), False)
        form = c.choice(("plain", "plain", "f", "both", "gas", "fan"))
        if form == "f":
            fahrenheit = {160: 325, 170: 340, 175: 350, 180: 355, 190: 375, 200: 400}[celsius]
            truth.oven = (float(round((fahrenheit - 32) / 1.8)), False)
            steps.append(
                c.choice(
                    (
                        f"Preheat the oven to {fahrenheit}°F.",
                        f"Heat oven to {fahrenheit} F and grease a tin.",
                        f"Oven at {fahrenheit} degrees F.",
                    )
                )
            )
        elif form == "both":
            steps.append(
                c.choice(
                    (
                        f"Heat the oven to {celsius} °C ({celsius - 20} °C fan).",
                        f"Preheat oven to {celsius}C/{celsius - 20}C fan/gas 4.",
                        f"Oven to {celsius - 20} °C fan / {celsius} °C conventional.",
                    )
                )
            )
        elif form == "fan":
            truth.oven = (float(celsius), True)
            steps.append(f"Set the oven to {celsius} °C fan.")
        else:
            steps.append(
                c.choice(
                    (
                        f"Preheat the oven to {celsius} °C.",
                        f"Heat the oven to {celsius}C and line a 20 cm tin.",
                        f"Turn the oven on at {celsius} degrees Celsius.",
                    )
                )
            )
    else:
        steps.append(
            c.choice(
                (
                    "Warm the cream with the sugar to 80 °C, but do not let it boil.",
                    "Heat the milk to 85C, stirring for 3 to 4 minutes.",
                )
            )
        )
    steps.append(
        c.choice(
            (
                "Mix the dry things in a large bowl.",
                "Cream the butter and sugar for 5 minutes until pale.",
                "Whisk everything together until smooth, about 2 minutes.",
            )
        )
    )
    steps.append(
        c.choice(
            (
                "Fold in the rest and let the mixture stand for 10 minutes.",
                "Stir in what is left, a third at a time.",
                "Pour into the prepared tin and level the top.",
            )
        )
    )
    if piece == "glass":
        steps.append("Chill for at least 4 hours, overnight is better.")
    else:
        steps.append(
            c.choice(
                (
                    "Bake for 30 to 35 minutes until a skewer comes out clean.",
                    "Bake 25-30 min. Cool in the tin for 15 minutes.",
                    "Bake for about 1 hour, then leave on a rack.",
                )
            )
        )
    if c.random() < 0.15 and piece != "glass":
        steps.append(
            c.choice(
                (
                    "Boil the sugar with a little water to 118 °C on a thermometer and brush it over.",
                    "Turn the oven down to 150 °C and give it 10 minutes more.",
                    "Warm the cream to 80 °C for the sauce.",
                    "Cool for 20 minutes, then dust for the look of it.",
                )
            )
        )
        truth.features.append("second temperature")
    last = next((f[5:] for f in truth.features if f.startswith("LAST:")), None)
    if c.random() < 0.35 and not last:
        steps.append(c.choice(STORAGE))
    if last:
        steps.append(last)
    style = c.choice(("plain", "numbers", "step", "paragraph"))
    if style == "numbers":
        return [*lines, *(f"{n}. {s}" for n, s in enumerate(steps, start=1))]
    if style == "step":
        return [*lines, *(f"Step {n}: {s}" for n, s in enumerate(steps, start=1))]
    if style == "paragraph":
        return [*lines, " ".join(steps)]
    return [*lines, *steps]
