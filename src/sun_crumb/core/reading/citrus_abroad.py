"""What a line takes of a citrus fruit in another kitchen's words, put into English: "Saft und Abrieb einer Zitrone" as "juice and zest of 1 lemon"."""

from __future__ import annotations

import re

# Words by what they are in English; common practice, no published source.
_FRUITS = {
    "lime": "limetten?|citrons?\\s+verts?|limas?",
    "lemon": "zitronen?|bio-?zitronen?|citrons?|limon[ei]|lim[oó]n(?:es)?|lim[aã]o(?:es)?|citroner|citroen(?:en)?|cytryn[aąey]?",
    "orange": "orangen|apfelsinen?|bio-?orangen?|arance|arancia|naranjas?|laranjas?|apelsiner?|sinaasappels?|pomara[nń]cz[aey]?",
}
_PARTS = {
    "juice": "saft|jus|succo|zumo|jugo|suco|sumo|sap|sok",
    "zest": "abrieb|schale|piel|pelle|peladura|zestes?(?!\\s+of)|scorza|scorzetta|buccia|ralladura|c[aá]scara|casca|raspas?|skal|rasp|skórka",
}
_COUNTS = {
    "half": "(?:eine[rs]?\\s+)?halbe[nr]?|demi[e]?|mezz[oa]|medi[oa]|halv|halve",
    "1": "eine[rs]?|une?|un[ao]?|een|en|ett",
    "2": "zwei|deux|due|dos|dois|duas|två|twee",
}
_OF = r"(?:von|der|des|de|d['’]|di|av|van)\s*"
_FRUIT = re.compile("|".join(rf"(?P<{key}>\b(?:{words})\b)" for key, words in _FRUITS.items()), re.I)
_PART = re.compile("|".join(rf"(?P<{key}>\b(?:{words})\b)" for key, words in _PARTS.items()), re.I)
_COUNT = "|".join(f"(?:{words})" for words in _COUNTS.values())
_OF_SO_MANY = re.compile(
    rf"\b(?P<of>{_OF})?(?P<count>{_COUNT}|[\d½]+(?:/\d)?)\s+(?:bio-?|unbehandelten?\s+|non\s+traités?\s+|gro(?:ß|ss)en?\s+|kleinen?\s+)?(?=lemon|lime|orange)",
    re.I,
)
_COUNTED = re.compile(
    rf"\W*(?:{_COUNT}|[\d½]+(?:/\d)?)\s+(?:(?:bio|unbehandelte[nr]?|gro(?:ß|ss)e[nr]?|kleine[nr]?|gros|grands?|petits?)\s+)?",
    re.I,
)
_AMOUNT_BEHIND = re.compile(r"^([^\W\d_][^\d:]*?)\s*(?::|\s[-–—])\s*([\d½].*)$")
_AND = re.compile(r"\s(?:und|et|e|y|och|en)\s", re.I)
_HOW = re.compile(
    r"\b(?:abgeriebene|geriebene|fein(?:er)?|r[aâ]p[eé]e?s?|grattugiata|rallada|rivet|frisch(?:er)?|gepresster|le|la|les|l['’]|il|el|das|der|die)\s*(?=(?:juice|zest)\b)",
    re.I,
)
_NO_MORE = re.compile(
    r"\s*\b(?:bio|biologique|non\s+(?:trait[eé]e?s?|trattat[aieo])|unbehandelte?|grattugiata|r[aâ]p[eé]e?s?|rallada)\b\s*",
    re.I,
)


def in_english(text: str) -> str:
    """Return a line with its citrus fruit, what is taken of it and how many in English; any other as it is.

    Examples
    --------
    >>> in_english("Saft und Abrieb einer Zitrone")
    'juice and zest of 1 lemon'
    >>> in_english("4 citrons (jus + zestes)")
    '4 lemons (juice + zest)'
    """
    fruit = _FRUIT.search(text)
    if fruit is None or not (_PART.search(text) or _COUNTED.fullmatch(text[: fruit.start()])):
        return text  # "50 g candied citron peel"
    if behind := _AMOUNT_BEHIND.match(text):
        return in_english(f"{behind[2]} {behind[1]}")  # "jus de citron : 1 tbsp"
    said = text[: fruit.start()] + f"{fruit.lastgroup}s" + text[fruit.end() :]
    said = _PART.sub(lambda found: str(found.lastgroup), said)
    said = _HOW.sub("", said)
    said = _OF_SO_MANY.sub(_told, said)
    said = _NO_MORE.sub(" ", said)
    said = re.sub(
        r"\b(?:di|de|von|av)\s+(?:uno|una|un|einer|en|une)\b(?!\s+(?:lemon|lime|orange))", "of one", said, flags=re.I
    )
    if re.search(r"\b(?:juice|zest)\b", said):
        said = re.sub(rf"\b(juice|zest)\s+{_OF}(?=lemon|lime|orange)", r"\1 of 1 ", _AND.sub(" and ", said), flags=re.I)
        said = re.sub(
            r"^(\d+\s*(?:ml|cl|g|tbsp|tsp|EL|TL|msk|tsk)\s+)(?:de\s+|di\s+)?(juice|zest)\s+of 1 (lemon|lime|orange)s\b",
            r"\1\3 \2",
            said,
        )
    # "Saft einer Zitrone": the case says it.
    said = re.sub(r"\b(juice|zest)\s+(?=(?:\d|½|half)\s+(?:lemon|lime|orange))", r"\1 of ", said)
    said = re.sub(r"(?<=1 )(lemon|lime|orange)s\b", r"\1", said)
    return re.sub(r"\s{2,}", " ", said).strip()


def _told(found: re.Match[str]) -> str:
    """Return how many fruits there are in figures, with "of" where it is said of them."""
    count = found["count"]
    number = next((key for key, words in _COUNTS.items() if re.fullmatch(words, count, re.I)), count)
    return f"{'of ' if found['of'] else ''}{number} "
