"""What goes in a little at a time, as much as it takes: milk until a dough comes together, syrup to taste."""

from __future__ import annotations

import re

from sun_crumb.core.pantry.names import words_of
from sun_crumb.core.reading.words import word_list

# On the ingredient line: "syrup, to taste", "4 to 5 tbsp water as needed".
_ON_THE_LINE = re.compile(
    r"\b(?:to taste|(?:as|if|when) (?:needed|necessary|required)|or (?:as needed|enough)|enough to\b|just enough|more or less|plus (?:a little )?more (?:if|as|to)\b)",
    re.I,
)
# In the sentence that speaks of it: "enough water to bind", "add milk until it comes together".
_IN_THE_STEP = re.compile(
    r"\b(?:as much .{0,24}\bas\b|to taste\b|(?:as|if) (?:needed|necessary|required)\b"
    r"|(?:until|till) (?:it|you have|the \w+) (?:just |only )?(?:comes? together|clumps?|binds?|drops?|runs?|flows?|spreads?|reaches|is (?:just )?(?:thick|thin|loose|spreadable|pourable|the right)))",
    re.I,
)
# "almonds and enough water": what stands behind it.
_ENOUGH = re.compile(r"\benough\s+(?:of\s+)?(?:the\s+)?(?P<what>(?:[\w()½¼¾-]+\s*){1,4})", re.I)
_SENTENCE = re.compile(r"(?<=[.;!?])\s+|,\s+then\s+", re.I)


def goes_in_by_little(line: str, step: str, name: str) -> bool:
    """Return whether a food goes in a little at a time, as much as it takes.

    Parameters
    ----------
    line, step
        The recipe's own words for the food, and for the step that it goes in at.
    name
        What the food is called.

    Examples
    --------
    >>> goes_in_by_little("2-3 tbsp cold water", "Add just enough water to bring the dough together.", "water")
    True
    >>> goes_in_by_little("120 ml milk", "Stir in the milk until smooth.", "milk")
    False
    """
    if _ON_THE_LINE.search(line):
        return True
    known = {word for word in (*words_of(line), *words_of(name)) if word not in word_list("neutral") and len(word) > 2}
    for sentence in _SENTENCE.split(step):
        words = words_of(sentence)
        if (so_much := _ENOUGH.search(sentence)) and known & set(words_of(so_much["what"])):
            return True
        if known & set(words) and (told := _IN_THE_STEP.search(sentence)):
            # The words must stand near the food: "whisk the milk in, beat until it holds peaks" speaks of another thing.
            near = words_of(sentence[max(told.start() - NEAR, 0) : told.end() + NEAR])
            if known & set(near):
                return True
    return False


# Characters around the telling words within which the food is named (judgement).
NEAR = 34
