"""A title without what is said beside it, and without the talk or the question that it stands in."""

from __future__ import annotations

import re
from dataclasses import replace

from sun_crumb.core.reading.dessert_words import ASKS_THE_NAME, holds_a_dessert
from sun_crumb.core.reading.pieces import Piece
from sun_crumb.core.reading.portion_asides import of_title, said_in, so_many_of
from sun_crumb.core.reading.portion_cues import Stated
from sun_crumb.core.reading.stated import told_of

# "#banana #bread"; "MOUSSE ........ serves 6", "MOUSSE . . . . serves 6"
_HASH, _LEADERS = re.compile(r"(?<!\S)#(?=\w)"), re.compile(r"\s*(?:[.…]{3,}|(?:\s\.){3,80})\s*$")


def title_of(pieces: list[Piece]) -> tuple[str, list[Stated]]:
    """Return the title that pieces have, without what is said beside it, and what that says of portions."""
    first = next((p for p in pieces if p.role == "title"), None)
    if first is None:
        return "", []
    # "Cheesecake • Chill 4 h • 12 slices": what stands behind the first mark is said about it.
    told_apart = _SPACED_OUT.sub(" ", first.text)
    named, *more = re.split(
        r"\s+(?:[•|·~]|//)\s+|\s{3,}|;\s+|\s*[-–—]+\s+(?=serving size\b)",
        _unquoted(_SHOUTED.sub("", told_apart).strip(" *#_=|·•»«›‹~<>+^≡≈¦†‡")),
    )
    bare = _HASH.sub("", FIELD.sub("", named))
    title, said = so_many_of(bare) or of_title(bare)
    if re.match(r"\W*#\d", first.text):
        title = re.sub(r"^\d{1,3}\W+", "", title)  # "#3 Banana bread"
    if asked := ASKED_ABOUT.search(title) or THE_ONE.search(title):
        title = asked[1][:1].upper() + asked[1][1:].strip()  # "hi love, you asked about the bread pudding"
    if (inside := _WHAT_IS_IN.search(title)) and holds_a_dessert(inside[1]):
        title = inside[1][:1].upper() + inside[1][1:]
    if (here := _HERE_IT_IS.match(title)) and title[here.end() :]:
        title = title[here.end()].upper() + title[here.end() + 1 :]
    title = _HOW_ONE_MAKES.sub(r"\1", _TALK_BEHIND.sub("", _LIST_OF.sub(lambda found: found[1].upper(), title)))
    if of_one := _OF_MY_ONE.match(title):
        title = of_one[1].upper() + title[of_one.end() :]  # "My mum's apple crumble"
    title = _HEAT_BEHIND.sub("", title)
    title = _ASKED_FOR_ONE.sub(r"\1", _ASKED_WITHOUT.sub(r"\1", title))
    if (answer := _AFTER_A_QUESTION.match(title)) and (
        answer[2].isupper() or (holds_a_dessert(answer[2]) and not holds_a_dessert(answer[1]))
    ):
        title = answer[2]  # "What's for pudding? STEAMED GINGER SPONGE"
    title = _IN_A_QUESTION.sub(r"\1", _THEN_TALK.sub(r"\1", title))
    if greeted := GREETED.match(title):
        title = greeted[1][:1].upper() + greeted[1][1:].strip()
    if led := _LEADS_IN.match(title):
        title = re.sub(r"\s+recipe$", "", title[led.end() :], flags=re.I)
    title = _SIGNS_AROUND.sub("", _unquoted(_about(title.strip())))
    return re.sub(r"\s{2,}", " ", _LEADERS.sub("", title.strip(" *#_=|:/–—-")).removesuffix(" .").rstrip(".")), [
        *([replace(said, within=bare)] if said else []),
        *(
            replace(told, within=part)
            for part in more
            for told in told_of(part) or [aside for aside in [said_in(part)] if aside]
        ),
    ]


# "BAKEWELL   TART": words in capitals, spaced out
_SPACED_OUT = re.compile(r"(?<=[A-Z])\s{3,}(?=[A-Z]{2,}(?:\s{3,}[A-Z]{2,}){0,4}\W*$)")


def _unquoted(title: str) -> str:
    """Return a title without the marks of a quotation around it, or around its name: "“Never fails” tart" keeps its own."""
    if (
        re.match(r"[\"“]", title)
        and (title.count('"') + title.count("“") + title.count("”")) <= 2
        and re.search(r"[\"”]\W*$", title)
    ):
        return re.sub(r"[\"“”]", "", title)
    return title


# "Lemon squares. 350 oven."
_HEAT_BEHIND = re.compile(r"[.,]\s+\d{3}\s*(?:°|degrees)?\s*[CF]?\s*oven\W*$", re.I)
# "you asked for the flapjack recipe"
ASKED_ABOUT = re.compile(
    r"\b(?:(?:asked|wanted) (?:me )?(?:about|for)|you (?:want|wanted|are after|were after))\s+(?:(?:the|my|our|that)\s+|(?=(?-i:[A-Z])[a-z]+['’]s\s))((?:[a-z'’-]+\s+){0,3}[a-z-]{3,})(?=\s*[.,!?:;]|\s+so\b|\s*$)",
    re.I,
)
# "here's the flapjack one you asked for"
THE_ONE = re.compile(
    r"\b(?:the|my|that)\s+((?:[a-z-]+\s+){1,3})one\s+(?:that\s+)?you\s+(?:asked|wanted|liked|loved|were after)\b", re.I
)
# "I never measure but here's roughly what's in my bread pudding"
_WHAT_IS_IN = re.compile(
    r"\bwhat(?:['’]?s| is| goes| I put) in(?:to)?\s+(?:my|our|the)\s+((?:[a-z-]+\s+){0,3}[a-z-]{3,})\W*$", re.I
)
# "does anyone have the sticky toffee pud recipe from last year?"
_IN_A_QUESTION = re.compile(
    r"^(?:q:\s*)?(?:please\s+|hi\W+)?(?:does|do|has|have|can|could|would|who|is|any)\b[^?]*?\b(?:the|an?|your|my|her|his|that)\s+((?:[^\W\d_][\w'’-]*\s+){1,5}?)recipe\b[^?]*\?.*$",
    re.I,
)
# "How do you make your fruit scones so light?"
_HOW_ONE_MAKES = re.compile(
    r"^(?:q\s*[:.]\s*)?how (?:do|did|can|would|should) (?:you|i|we|one) (?:make|bake|do|get)\s+(?:your|my|the|a|an|good|such)\s+((?:[^\W\d_][\w'’-]*\s+){0,3}?[^\W\d_][\w'’-]*)(?:\s+(?:so|that|this)\s+[^?]{3,40}|\s+without\s+[^?]{3,40})?\?.*$",
    re.I,
)
# "Does anyone have a reliable sticky pear pudding?"
_ASKED_FOR_ONE = re.compile(
    r"^(?:q:\s*)?(?:please\s+|hi\W+)?(?:does|do|has|have|can|could|would|is|any)\b[^?]*?\b(?:have|got|know|share|seen)\s+(?:an?|the|some)\s+(?:(?:really|very)\s+)?(?:(?:reliable|good|nice|decent|simple|easy|quick|great|foolproof|favourite|favorite|proper)\s+)*((?:[^\W\d_][\w'’-]*\s+){1,4}[^\W\d_][\w'’-]*)\?.*$",
    re.I,
)
_AFTER_A_QUESTION = re.compile(r"^([A-Z][^?.!]{3,40})\?\s+([A-Z].{3,60})$")
# "Here you go - lemon bars as requested!!"
_HERE_IT_IS = re.compile(
    r"^(?:here (?:you (?:go|are)|it is|we go|goes)|as (?:promised|requested)|as you asked)\s*[-–—:,!.]+\s*", re.I
)
# "..., written down at last", "..., as promised"
_TALK_BEHIND = re.compile(
    r"\s+as (?:promised|requested|asked)\W*$|,\s+(?:written|typed|copied|finally|at last|as (?:promised|requested|asked)|from memory)\b[^,]*$|,\s+as (?:I|we|you|she|he|they)\b[^,]*$|\s+(?:everybody|everyone|you all|they all|people)\s+(?:asked|asks|keeps?|wanted|loves?)\b.*$",
    re.I,
)
_OF_MY_ONE = re.compile(r"(?:My|Our) ([a-z])(?=[a-z]+['’]s )")
# "Ingredients for Oat & raisin cookies"
_LIST_OF = re.compile(
    r"^(?:(?:key |main )?ingredients|(?:what )?you(?:['’]ll| will)? need|what goes in(?:to)?|shopping(?: list)?|recipe|zutaten|ingr[eé]dients|ingredienti|ingredientes)\s+(?:for|für|pour|per|para)\s+(?!the\b|an?\b|\d)([A-Z])",
    re.I,
)
# "Title: Carrot halwa"
FIELD = re.compile(
    r"^title\s+(?=[A-Z])|^(?:(?:to|from|cc|date):\s*\S+\s+)+subject:\s*(?:re:\s*|fwd?:\s*)*|^\[recipe\]:?\s*|^(?:[^\W\d_]{3,12}\s*/\s*(?=recipe\s*:))?(?:\d\s*[.)]\s+)?(?:(?:title|recipe(?: for)?|name|"
    + ASKS_THE_NAME
    + r"|result|what|to make|making|re|fwd?|subj(?:ect)?|ricetta|rezept|recept|przepis|oppskrift|opskrift|receita|recette|receta)\s*:\s*)+(?=\S)|^\(?\d{1,2}\s*[.)]\s+(?=[A-Z])|^(?:№|no\.|nr\.|\#)\s*\d{1,4}\s*[.:)–-]*\s+(?=[\"“]?[A-Z])",
    re.I,
)


# "Dundee cake. This fills a deep": a sentence behind the name.
_THEN_TALK = re.compile(
    r"^([A-Z][^.!?:\d]{3,50})\.\s+(?:this|it|these|they|a|an|the|my|our|we|i|from|makes)\b.*$", re.I
)
# "Peach melba roll ⟡"
_SIGNS_AROUND = re.compile(r"\s+[^\w\s()\[\]!?.,'\"’”%&+°-]+$|^[^\w\s()\[\]¡¿'\"‘“#&+-]+\s+")


def _about(title: str) -> str:
    """Return the dessert that a subject names behind a dash: "yesterday — carrot halwa cake?"."""
    first, dash, rest = title.partition(" — ")
    rest = rest.rstrip(" ?!.")
    is_named = dash and first[:1].islower() and not holds_a_dessert(first) and holds_a_dessert(rest)
    return rest[:1].upper() + rest[1:] if is_named else title


# "Hey Lou, the apple strudel:"
GREETED = re.compile(
    r"^(?:hey|hi|hello|hiya|dear|morning)\b[^,:!.]{0,24}[,!:–—-]+\s*(?:here(?:['’]s| is| are)\s+)?(?:the|my|our|that|your)\s+([^:.,!?\d]{3,40}?)\s*[:.!–—-]*$",
    re.I,
)
# "Do you have a recipe for a low-sugar banana cake?"
_ASKED_WITHOUT = re.compile(
    r"^(?:do|does|has|have|can|could|would|is|any)\b[^?]*?\brecipe for\s+(?:an?\s+|the\s+|some\s+)?([^?]{4,60})\?.*$",
    re.I,
)
# "so here's how i do my banana pancakes"
_LEADS_IN = re.compile(
    r"^how\s+(?:i|we)\s+(?:make|do|bake)\s+(?:(?:my|our|the)\s+)?(?=[^\W\d_]{3})|^(?:(?:so|ok|okay|well|right)\W+)?(?:so\s+)?(?:here(?:['’]s| is)|this is|(?<=ok )(?=the\b)|(?<=okay )(?=the\b)|(?<=so )(?=the\b)|(?<=right )(?=the\b))\s*(?:how\s+(?:i|we)\s+(?:do|make|bake)\s+|the recipe for\s+|(?=(?:my|our|the)\b))(?:(?:my|our|the)\s+(?:famous\s+)?)?(?=[^\W\d_]{3})",
    re.I,
)
# "Banana muffins *** now with less sugar ***"
_SHOUTED = re.compile(r"\s\*+\s[^*]+\*+\s*$")
