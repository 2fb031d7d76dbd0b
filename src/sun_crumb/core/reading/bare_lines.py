"""A line of a pasted text without what only decorates it: emoji, emphasis, arrows, who sent it and when."""

from __future__ import annotations

import re

from sun_crumb.core.reading.dessert_words import ends_with_a_dessert
from sun_crumb.core.reading.headings import FOR_THE, names_a_part
from sun_crumb.core.reading.portion_cues import statements
from sun_crumb.core.reading.remembered import remembered

_EMOJI = re.compile("[\U0001f000-\U0001faff\u2600-\u27bf\u2b00-\u2bff\ufe0f\u200d\u2190-\u21ff\u25a0-\u25ff\u20e3]+")


@remembered
def bare_line(raw: str) -> str:
    """Return a line without emoji and marks of emphasis."""
    if len(raw) <= LONGEST_GLUED and len(_GLUED.findall(raw)) >= LEAST_GLUED and not _OF_THE_WEB.search(raw):
        raw = _GLUED.sub(r"\1 ", raw)
    raw = _LETTERS_APART.sub(lambda found: found[0].replace(" ", ""), raw)
    raw = _LABELLED.sub(r"\1: ", _POINTED.sub(" ", raw))
    raw = _LED_FIELD.sub(lambda found: f"{found[1] or found[2]}: ", _COLON_DASH.sub(": ", raw), count=1)
    raw = _MINUTES_ABROAD.sub(" min", _STARRED.sub("", raw))
    raw = _MARKED_FIELD.sub(r"\1: ", _FIELD_IN_BRACKETS.sub(r"\1: ", raw, count=1), count=1)
    raw = _OPTIONAL_FIRST.sub(r"\1 (optional)", raw)
    raw = _CIRCLED.sub(lambda found: f"{ord(found[1]) - ord('①') + 1}. ", raw)
    raw = _FOR_THE_END.sub(r"\1: ", _KEYCAP.sub(r"\1. ", raw))
    raw = _ASKED_OR_TOLD.sub("", _STRUCK.sub(" • ", raw))
    raw = _OUTLINED.sub("", _NAME_THEN.sub(r"\1: ", SENT_AT.sub("", raw, count=1), count=1), count=1)
    raw = _DIVIDES.sub(" • ", raw)
    text = _EMOJI.sub(" ", _ARROW.sub(", ", _ASIDE.sub("", _SAID_BESIDE.sub("", _QUOTED.sub("", raw)))))
    if whole := re.match(r"^\s*(\*{1,2}|_{1,2})([^\s*_][^*_]{1,50})\1\s*:?\s*$", text):
        # A line that is all emphasis is a heading, if it tells no number of portions.
        return f"# {whole[2].strip()}" if not statements(whole[2]) else whole[2].strip()
    if bracketed := re.match(r"^\s*\[\s*([^\W\d_][^\[\]\d]{1,30})\]\s*:?\s*$", text):
        return f"# {bracketed[1].strip()}"  # "[wet]"
    if (aside := re.fullmatch(r"\s*\(\s*([^\W\d_][^()\d]{2,30})\s*\)\s*:?\s*", text)) and _heads_a_part(aside[1]):
        return f"# {aside[1].strip()}"  # "(for the filling)"
    if (framed := _FRAMED.fullmatch(text)) and statements(framed["said"]):
        return framed["said"].strip()  # "--- serves 6 ---"
    text = re.sub(r"(?<![\w*_])([*_])([^\W\d_][^*_]{0,30}:)\1(?![*_])", r"\2", text)  # "*Yield:* 24 bars"
    text = re.sub(r"(?<!\w)(\*\*|__|`)(.+?)\1(?!\w)", r"\2", text)
    return text.strip()


def _heads_a_part(aside: str) -> bool:
    """Return whether a bracket names a part, and does not say what the dessert is: "(for the filling)", but not "(Plum tray cake)"."""
    is_whole = " " in aside.strip() and aside[:1].isupper() and ends_with_a_dessert(aside)
    return names_a_part(aside) and (not is_whole or FOR_THE.match(aside) is not None)


# Signs of one kind on both sides of what a line says.
_FRAMED = re.compile(
    r"\s*(?P<sign>[-–—~=*+#·.:_|<>/\\])(?P=sign)*\s*(?P<said>[\w(][^\n]{2,80}?)\s*[-–—~=*+#·.:_|<>/\\]+\s*"
)
# "S P I C E   C A K E"
_LETTERS_APART = re.compile(r"\b(?:[A-Z] ){3,}[A-Z]\b")
# "30 mn à 200°"
_MINUTES_ABROAD = re.compile(r"(?<=\d)\s?mn\b")
# A star or a flower between what a line tells in turn.
_DIVIDES = re.compile(
    "(?<=\\S)\\s+[\u2720-\u274b\u2756-\u2767\u2605\u25cf\u25c6\u25c7\u2666]\\s+(?=\\S)|(?<=[a-z.)])\\s+[\u00b0\u00ba]\\s+(?=[\\d\u00bc-\u00be(])"
)
# "To serve - shortbread"
_FOR_THE_END = re.compile(r"^\s*(to (?:serve|finish|decorate|garnish))\s+[-–—]\s+(?=[^\W\d_])", re.I)
# "[10:02] Ines: 30 g sugar", "12/03/2024, 10:02 - Ines: 30 g sugar": who wrote it in a chat, and when.
SENT_AT = re.compile(
    r"^\s*\[?(?:\d{1,4}[/.-]\d{1,2}(?:[/.-]\d{1,4})?,?\s+)?\d{1,2}:\d{2}(?::\d{2})?(?:\s?[ap]m)?\]?\s*(?:[-–]\s*)?[^\W\d_][\w .'-]{0,24}:\s+",
    re.I,
)
# "What goes on top => 1 lb strawberries"
_NAME_THEN = re.compile(r"^(\s*[^\W\d_][^\d:;,.]{1,40}?)\s*(?:[⇒→➔➙➛➜➝➞➡]\ufe0f?|[-=]+>)\s*(?=[\d½¼¾⅓⅔A-Z])")
# "Q: can you send the recipe?", "A: butter 200 g"; "Lemon bars~~makes 24"
_ASKED_OR_TOLD = re.compile(
    r"^\s*(?:Q\s*[:.]|A\s*:|A\s*\.(?=\s*(?:yes|sure|of course|here|certainly|no)\b))\s+(?:(?:yes|sure|of course|certainly)[!.,]\s+)?",
    re.I,
)
_STRUCK = re.compile(r"(?<=\w)\s*~{2,}\s*(?=\w)")
# "2.1 Beat all": the number of an outline, and no amount.
_OUTLINED = re.compile(r"^\s*\d{1,2}\.\d{1,2}\.?\s+(?=[A-Z][a-z]{2})")
# A number drawn as a key.
_KEYCAP = re.compile("^(\\s*\\d)\ufe0f?\u20e3\\s*")
# "Yield.......: 4 dozen"
_LED_FIELD = re.compile(
    r"^(\s*[A-Za-z]{3,14}) ?\.{2,}\s*:\s*|^(\s*(?:name|title|recipe|dish|from|serves|makes|yields?|portions|oven|time|tin|source))\s?\.{3,}\s*(?=\S)",
    re.I,
)
# "[melt] 175 g butter / 100 g honey"
_LABELLED = re.compile(r"^\s*\[([^\W\d_][^\[\]\d]{1,20})\]\s+(?=[\d½¼¾⅓⅔])")
# "225 g ‣ butter", "Cream ‣ butter & sugar"
_POINTED = re.compile(r"(?<=\w)\.?\s+[‣▸►▹⁃⟩❯]\s+(?=\S)")
# "beat eggs,add oil.2 pans.325F": stops and commas that nothing stands behind.
_GLUED = re.compile(r"(?<=[^\W\d_]{2})([.,;])(?=[^\W\d_]{2}|\d)")
_OF_THE_WEB = re.compile(r"https?:|www\.|@|\.(?:com|org|net)\b", re.I)
LEAST_GLUED, LONGEST_GLUED = 2, 2_000
# "Ingredients:- 6 oz butter"
_COLON_DASH = re.compile(r"(?<=\w):\s?[-–—]+(?=\s|$)\s*")
_CIRCLED = re.compile("^\\s*([①-⑳])\\s*")
# What a letter quotes: "> 300 g flour".
_QUOTED = re.compile(r"^\s*(?:>\s?)+(?=\S)")
# "8x8 in. pan ➜ 16 bars"
_ARROW = re.compile(r"(?<=[\w.)])(?:\s*[→➔➙➛➜➝➞➡⇒]\ufe0f?\s*(?=\d)|\s+(?:[→➔➙➛➜➝➞➡⇒]\ufe0f?|[-=]+>)\s*(?=[a-z]))")
# "150 g sugar <-- was 200 g": what an arrow points back with is said about the line.
_SAID_BESIDE = re.compile(r"(?<=\w)\)?\s+(?:<[-=]+|\u2190)\s.*$")


# "600 ml custard - I make it with 4 yolks, 50 g sugar ...": talk behind a food.
_ASIDE = re.compile(
    r"(?<=[^\W\d_]{3})\s+(?:[-–—]|\()\s*(?:I|we)\s+(?:always\s+|usually\s+|often\s+|sometimes\s+)?(?:make|made|like|buy|bought|prefer)\b.*$"
)


# "Tahini Blondies ★★★★★ (4.9 from 61 ratings)"
_STARRED = re.compile(
    "\\s*(?:[\u2605\u2606\u2b50]\ufe0f?\\s*){2,}|\\s*\\(?\\b[1-5][.,]\\d\\s*(?:stars?\\s*)?(?:/\\s*5\\s*)?(?:from|\\()\\s*\\d+\\s*(?:ratings|reviews|votes)\\)*",
    re.I,
)
# "[Servings] 6", "*Serves* : 4"
_FIELD_IN_BRACKETS = re.compile(
    r"^\s*\[((?:title|name|recipe|dish|oven|servings?|serves|yields?|makes|portions?|prep|bake|cook|time|for|from|source)[a-z ]{0,10})\]\s*:?\s*(?=\S)",
    re.I,
)
_MARKED_FIELD = re.compile(r"^\s*[*_]{1,2}([^\W\d_][^*_:]{1,24})[*_]{1,2}\s*:\s*(?=\d)")
# "optional: 100 g chocolate for the top"
_OPTIONAL_FIRST = re.compile(
    r"\(?\boptional\s*:\s*(?=[\d½¼¾]|(?:a |good )?(?:squeeze|pinch|handful|drizzle|splash|dash)\b)([^,;()]+)\)?", re.I
)
