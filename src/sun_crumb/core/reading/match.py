"""Names -> pantry entries, with a confidence that means something."""

from __future__ import annotations

import re
import weakref
from dataclasses import dataclass
from functools import cache, lru_cache

from rapidfuzz import process
from rapidfuzz.distance import OSA

from sun_crumb.core.pantry import Pantry
from sun_crumb.core.pantry.names import fold, singular, words_of
from sun_crumb.core.reading.records import Candidate
from sun_crumb.core.reading.words import real_words, word_list
from sun_crumb.core.reference import table

SURE = 0.88
MOST_CANDIDATES = 12
# A grain or pulse as it is stored [g in 100 g]; cooked, it holds several times the water.
DRY_STARCH_G, DRY_WATER_G = 40.0, 16.0
COOKED_PRICE = 0.3
# What one edit costs in trust, where it is likely a slip of the finger and where it may be another word; two edits are a slip
# in words of this many letters and more.
SLIP_PRICE, DOUBT_PRICE = 0.03, 0.13
TWO_EDITS_FROM = 8
# What a word for less fat costs a food of this much fat [g in 100 g] and more; what words in another order cost
# ("chocolate milk", "milk chocolate").
LEAN_PRICE, FATTY_G = 0.2, 8.0
TURNED_PRICE = 0.012
# Juice "from concentrate" is juice again.
_FROM_CONCENTRATE = re.compile(r"\b(?:made )?from concentrate\b", re.I)
_LIES_IN = re.compile(
    r"\b(?:in|with) (?:(?:its|their|own|natural|light|heavy|extra|thick|fruit|grape|apple) )*(juice|syrup)\b"
)
_JOINERS = frozenset({"of", "the", "and", "or", "a", "an", "&", "with", "in", "for", "to"})
_TELLING = frozenset(
    {
        "ground",
        "dried",
        "puree",
        "zest",
        "juice",
        "powdered",
        "powder",
        "tinned",
        "canned",
        "desiccated",
        "sweetened",
        "unsweetened",
        "frozen",
        "concentrate",
    }
)


# What is done to a food after it is weighed, whatever the food that comes of it is called.
_DONE_TO_IT = frozenset(
    {
        *("browned", "whipped", "cooked", "roasted", "toasted", "soaked", "melted", "beaten", "boiled", "steamed"),
        *("mashed", "pureed", "caramelised", "caramelized", "candied", "squeezed", "drained", "separated", "chopped"),
        *("sliced", "grated", "crushed", "rendered", "reduced", "clarified", "strained", "baked", "popped", "juiced"),
    }
)


def _words(text: str) -> list[str]:
    """Return the words of a name, what a food lies in as one of them: pineapple in juice is no pineapple juice."""
    return words_of(_LIES_IN.sub(r"in\1", fold(text)))


@dataclass(frozen=True, slots=True)
class _Name:
    key: str
    words: tuple[str, ...]
    wordset: frozenset[str]
    is_shown: bool


@cache
def in_a_metric_kitchen() -> dict[str, str]:
    """Return what some ambiguous names mean first where cups are metric, by the name."""
    return {row["name"]: row["metric"] for row in table("ambiguous_names") if row["metric"]}


@cache
def told_beside() -> dict[str, tuple[tuple[str, re.Pattern[str]], ...]]:
    """Return which other foods of a list decide what an ambiguous name means, by the name: a food's key and the words that speak for it."""
    return {
        row["name"]: tuple(
            (key, re.compile(rf"\b(?:{words})\b", re.I))
            for key, words in (part.split(":") for part in row["beside"].split(";"))
        )
        for row in table("ambiguous_names")
        if row["beside"]
    }


class NameIndex:
    """The names of one pantry, found by the words they hold."""

    def __init__(self, pantry: Pantry) -> None:
        self.names: list[_Name] = []
        self.by_word: dict[str, list[int]] = {}
        self.shown = {i.key: i.name for i in pantry}
        for key, name in pantry.names:
            words = tuple(w for w in _words(name) if w not in _JOINERS)
            if not words:
                continue
            entry = _Name(key, words, frozenset(words), name == self.shown[key].lower())
            for word in entry.wordset:
                self.by_word.setdefault(word, []).append(len(self.names))
            self.names.append(entry)
        # What is weighed dry: where it is said to be cooked it is another food.
        self.dry = frozenset(
            i.key for i in pantry if i.per_100g.starch_g >= DRY_STARCH_G and i.per_100g.water_g <= DRY_WATER_G
        )
        self.fatty = frozenset(i.key for i in pantry if i.per_100g.fat_g >= FATTY_G)
        self.exact = frozenset(entry.wordset for entry in self.names)
        self.vocabulary = sorted(set(self.by_word) | {w for w in word_list("neutral") if len(w) > 3})
        self.known = frozenset(self.vocabulary) | word_list("neutral") | word_list("changing")
        self.ambiguous = {
            tuple(w for w in _words(row["name"]) if w not in _JOINERS): tuple(
                k for k in row["keys"].split(";") if k in pantry
            )
            for row in table("ambiguous_names")
            if row["asked"] == "always"
        }
        # Names whose pieces differ so much in weight that a bare count must be asked.
        self.by_count = {
            tuple(_words(row["name"])): tuple(k for k in row["keys"].split(";") if k in pantry)
            for row in table("ambiguous_names")
            if row["asked"] == "count"
        }
        self._ranked = lru_cache(maxsize=8192)(self._rank)
        self._correct = lru_cache(maxsize=4096)(self._slips_of)

    def _slips_of(self, word: str) -> tuple[tuple[str, float], ...]:
        """Return the known words that *word* may be a slip of, each with what it costs in trust.

        A word of its own that lies near a food's ("batter", "chicken") is at most asked about.
        """
        is_real = word in real_words()
        found = []
        for near, edits in self.nearest(word):
            is_plain = word[0] == near[0] or sorted(word[:2]) == sorted(near[:2])
            if is_real and edits > 1:
                continue
            is_trusted = is_plain and not is_real and (edits == 1 or len(word) >= TWO_EDITS_FROM)
            found.append((near, edits * (SLIP_PRICE if is_trusted else DOUBT_PRICE)))
        return tuple(found)

    def nearest(self, word: str) -> tuple[tuple[str, int], ...]:
        """Return the known words that *word* may be a slip of, each with the number of edits, the nearest only."""
        allowed = 0 if len(word) < 4 else 1 if len(word) < 7 else 2
        if not allowed:
            return ()
        found = process.extract(word, self.vocabulary, scorer=OSA.distance, score_cutoff=allowed, limit=6)
        if len(word) == 4:
            # Four letters are near to too many words: only a lost or doubled letter in the middle counts.
            found = [f for f in found if f[0][0] == word[0] and f[0][-1] == word[-1] and len(f[0]) != 4]
        least = min((f[1] for f in found), default=0)
        return tuple((f[0], int(f[1])) for f in sorted(found, key=lambda f: f[0]) if f[1] == least)

    def match(self, name: str, preparation: str = "", limit: int = 5) -> list[Candidate]:
        """Return what *name* may stand for, the likeliest first; empty where nothing comes near.

        A candidate of SURE or more may be taken without asking, unless a second one comes close.
        """
        raw = [
            w
            for w in _words(_FROM_CONCENTRATE.sub("", name))
            if (w not in _JOINERS and not w.replace("%", "").isdigit()) or w.endswith("%")
        ]
        if not raw:
            return []
        if preparation:
            raw = self._turned(raw, preparation)
        telling = [w for w in _words(preparation) if w in _TELLING and w not in raw] if preparation else []
        return list(self._ranked(tuple(raw), tuple(telling))[:limit])

    def _turned(self, raw: list[str], preparation: str) -> list[str]:
        """Return the words of a name with its kind that stands behind a comma: "flour, self-raising"."""
        for part in preparation.split(","):
            if part.strip().lower().startswith("for "):
                continue  # "sugar for the fruit" is no fruit sugar
            kind = [w for w in _words(part) if w not in _JOINERS]
            if kind == ["vanilla"] and raw[-1] == "sugar":
                continue  # "30 g sugar, vanilla": both
            if kind and not set(kind) & (_DONE_TO_IT | set(raw)) and frozenset((*kind, *raw)) in self.exact:
                return [*kind, *raw]
        return raw

    def is_name(self, name: str) -> bool:
        """Return whether *name* is all of a food's name, whatever neutral words stand beside it."""
        words = [w for w in _words(name) if w not in _JOINERS]
        return frozenset(words) in self.exact or frozenset(set(words) - word_list("neutral")) in self.exact

    def is_ambiguous(self, name: str) -> bool:
        """Return whether bakers use *name* for unlike things, so that what it is sold in may tell them apart."""
        return tuple(w for w in _words(name) if w not in _JOINERS) in self.ambiguous

    def doubtful_by_count(self, name: str) -> tuple[str, ...]:
        """Return the foods that a count of *name* may mean where their pieces differ much in weight, or none."""
        raw = tuple(w for w in _words(name) if w not in _JOINERS)
        return self.by_count.get(raw) or self.by_count.get(tuple(w for w in raw if w not in word_list("neutral")), ())

    def shared_head(self, name: str, other: str) -> str:
        """Return *name* with the head word it shares with *other* ("lemon" or "lime juice" -> "lemon juice"), or "".

        Only where that makes a known name and *name* is not a food that stands alone beside it ("dates or date syrup").
        """
        words = other.split()
        bare = [w for w in _words(name) if w not in _JOINERS]
        if (
            not bare
            or len(bare) > 2
            or bare == ["butter"]
            or singular(fold(words[0])) in bare
            or re.split(r"[\s-]+", fold(name)) != bare
        ):
            return ""
        if told := [w for w in bare if w not in word_list("neutral")]:
            # "packed light or dark brown sugar"
            name, bare = " ".join(told), told
        tails = [f"{name} {' '.join(words[start:])}" for start in range(1, len(words))]
        for joined in tails:
            if frozenset(w for w in _words(joined) if w not in word_list("neutral") or w in bare) in self.exact:
                return joined
        for joined in tails:
            plain = frozenset(w for w in _words(joined) if w not in word_list("neutral"))
            if plain in self.exact and not plain & set(bare):
                return joined
        return ""

    def _rank(self, raw: tuple[str, ...], telling: tuple[str, ...]) -> tuple[Candidate, ...]:
        known_phrase = self.ambiguous.get(raw)
        if known_phrase and telling and frozenset((*raw, *telling)) in self.exact:
            known_phrase, raw = None, (*telling, *raw)
        elif known_phrase is None and frozenset(raw) not in self.exact:
            known_phrase = self.ambiguous.get(tuple(w for w in raw if w not in word_list("neutral")))
        scores: dict[str, float] = {}
        spellings = self._spellings(raw)
        if known_phrase is None and len(spellings) == 1:
            known_phrase = self.ambiguous.get(tuple(spellings[0][0]))  # "choclate" may be any chocolate
        for words, penalty in spellings:
            for key, score in self._score(words, telling, penalty).items():
                scores[key] = max(score, scores.get(key, 0.0))
        if known_phrase:
            ranked = {key: 0.7 - 0.05 * n for n, key in enumerate(known_phrase)}
            scores = ranked | {k: min(s, 0.5) for k, s in scores.items() if k not in ranked}
        best = sorted(scores.items(), key=lambda item: (-item[1], item[0]))[:MOST_CANDIDATES]
        return tuple(Candidate(key, self.shown[key], round(max(score, 0.05), 3)) for key, score in best if score > 0.15)

    def _spellings(self, raw: tuple[str, ...]) -> list[tuple[list[str], float]]:
        """Return *raw* with its unknown words corrected, once per likely correction, and what that costs in trust."""
        found: list[tuple[list[str], float]] = [([], 0.0)]
        for word in raw:
            slips = () if word in self.known else self._correct(word)
            if slips and len(found) * len(slips) <= 6:
                found = [([*w, slip], cost + price) for w, cost in found for slip, price in slips]
            else:
                found = [([*w, word], cost) for w, cost in found]
        return found

    def _score(self, words: list[str], telling: tuple[str, ...], penalty: float) -> dict[str, float]:
        """Return, for each food that shares its words with *words*, how well its best name fits (up to 1)."""
        hits: dict[int, int] = {}
        for word in {*words, *telling}:
            for index in self.by_word.get(word, ()):
                hits[index] = hits.get(index, 0) + 1
        # What each word costs a name that does not hold it: before the food's own words, and after them.
        prices = [self._prices(word) for word in words]
        scores: dict[str, float] = {}
        for index, count in hits.items():
            entry = self.names[index]
            missing = len(entry.wordset) - count
            if len(entry.words) > len(entry.wordset):
                # "half and half" is no "halves"
                missing = max(missing, len(entry.words) - sum(word in entry.wordset for word in words))
            if missing <= 1:
                score = self._fit(entry, words, prices) - penalty - 0.35 * missing
                score -= 0.03 * sum(word not in entry.wordset for word in telling)
                scores[entry.key] = max(score, scores.get(entry.key, 0.0))
        return {key: score for key, score in scores.items() if score > 0}

    def _fit(self, entry: _Name, words: list[str], prices: list[tuple[float, float]]) -> float:
        """Return how well a name fits *words* (up to 1), by the words that it lacks; 0 where it shares none of them."""
        held = [position for position, word in enumerate(words) if word in entry.wordset]
        if not held:
            return 0.0
        last = held[-1]
        cost = 0.0
        for position, word in enumerate(words):
            if word not in entry.wordset:
                cost += prices[position][position > last]
                cost += COOKED_PRICE if word in word_list("cooked") and entry.key in self.dry else 0.0
                if word == "free" and position and words[position - 1] in entry.wordset:
                    return 0.0  # "sugar-free" holds none
                if entry.key in self.fatty and _is_lean(word, words[position - 1] if position else ""):
                    cost += LEAN_PRICE
        if [w for w in words if w in entry.wordset] != [w for w in entry.words if w in words]:
            cost += TURNED_PRICE
        # Of two names that fit equally, the longer says more, and the one at the end names the food.
        cost += 0.012 * max(4 - len(held), 0) + 0.02 * (len(words) - 1 - last)
        return 1.0 - cost - (0.0 if entry.is_shown else 0.005)

    def _prices(self, word: str) -> tuple[float, float]:
        if word in word_list("neutral") or (word.endswith("%") and word not in self.by_word):
            return 0.004, 0.004
        if word in word_list("changing"):
            return 0.3, 0.4
        return (0.16, 0.16) if word in self.by_word else (0.1, 0.16)


def _is_lean(word: str, before: str) -> bool:
    """Return whether *word*, behind *before*, says that a food holds less fat than the usual."""
    return word in {"nonfat", "lowfat", "lite"} or (word == "fat" and before not in {"full", "high", "whole"})


_indexes: weakref.WeakKeyDictionary[Pantry, NameIndex] = weakref.WeakKeyDictionary()


def name_index(pantry: Pantry) -> NameIndex:
    """Return the index of *pantry*, built once per pantry."""
    index = _indexes.get(pantry)
    if index is None:
        index = _indexes[pantry] = NameIndex(pantry)
    return index


def is_sure(candidates: list[Candidate]) -> bool:
    """Return whether the first candidate may be taken without asking."""
    if not candidates or candidates[0].confidence < SURE:
        return False
    return len(candidates) == 1 or candidates[0].confidence - candidates[1].confidence >= 0.01
