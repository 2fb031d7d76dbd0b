"""Names -> pantry entries, with a confidence that means something."""

from __future__ import annotations

import weakref
from dataclasses import dataclass
from functools import lru_cache

from rapidfuzz import process
from rapidfuzz.distance import OSA

from sun_crumb.core.pantry import Pantry
from sun_crumb.core.pantry.names import words_of
from sun_crumb.core.reading.records import Candidate
from sun_crumb.core.reading.words import word_list
from sun_crumb.core.reference import table

SURE = 0.88
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


@dataclass(frozen=True, slots=True)
class _Name:
    key: str
    words: tuple[str, ...]
    wordset: frozenset[str]
    is_shown: bool


class NameIndex:
    """The names of one pantry, found by the words they hold."""

    def __init__(self, pantry: Pantry) -> None:
        self.names: list[_Name] = []
        self.by_word: dict[str, list[int]] = {}
        self.shown = {i.key: i.name for i in pantry}
        for key, name in pantry.names:
            words = tuple(w for w in words_of(name) if w not in _JOINERS)
            if not words:
                continue
            entry = _Name(key, words, frozenset(words), name == self.shown[key].lower())
            for word in entry.wordset:
                self.by_word.setdefault(word, []).append(len(self.names))
            self.names.append(entry)
        self.exact = frozenset(entry.wordset for entry in self.names)
        self.vocabulary = sorted(set(self.by_word) | {w for w in word_list("neutral") if len(w) > 3})
        self.known = frozenset(self.vocabulary) | word_list("neutral") | word_list("changing")
        self.ambiguous = {
            tuple(words_of(row["name"])): tuple(k for k in row["keys"].split(";") if k in pantry)
            for row in table("ambiguous_names")
        }
        self._correct = lru_cache(maxsize=4096)(self._nearest_words)

    def _nearest_words(self, word: str) -> tuple[tuple[str, int], ...]:
        """Return the known words that *word* may be a slip of, each with the number of edits, the nearest only."""
        allowed = 0 if len(word) < 5 else 1 if len(word) < 7 else 2
        if not allowed:
            return ()
        found = process.extract(word, self.vocabulary, scorer=OSA.distance, score_cutoff=allowed, limit=6)
        least = min((f[1] for f in found), default=0)
        return tuple((f[0], int(f[1])) for f in sorted(found, key=lambda f: f[0]) if f[1] == least)

    def match(self, name: str, preparation: str = "", limit: int = 5) -> list[Candidate]:
        """Return what *name* may stand for, the likeliest first; empty where nothing comes near.

        A candidate of SURE or more may be taken without asking, unless a second one comes close.
        """
        raw = [w for w in words_of(name) if (w not in _JOINERS and not w.replace("%", "").isdigit()) or w.endswith("%")]
        if not raw:
            return []
        known_phrase = self.ambiguous.get(tuple(raw))
        if known_phrase is None and frozenset(raw) not in self.exact:
            known_phrase = self.ambiguous.get(tuple(w for w in raw if w not in word_list("neutral")))
        telling = [w for w in words_of(preparation) if w in _TELLING and w not in raw] if preparation else []
        scores: dict[str, float] = {}
        for words, penalty in self._spellings(raw):
            for key, score in self._score(words, telling, penalty).items():
                scores[key] = max(score, scores.get(key, 0.0))
        if known_phrase:
            ranked = {key: 0.7 - 0.05 * n for n, key in enumerate(known_phrase)}
            scores = ranked | {k: min(s, 0.5) for k, s in scores.items() if k not in ranked}
        best = sorted(scores.items(), key=lambda item: (-item[1], item[0]))[:limit]
        return [Candidate(key, self.shown[key], round(max(score, 0.05), 3)) for key, score in best if score > 0.15]

    def _spellings(self, raw: list[str]) -> list[tuple[list[str], float]]:
        """Return *raw* with its unknown words corrected, once per likely correction, and what that costs in trust."""
        found: list[tuple[list[str], float]] = [([], 0.0)]
        for word in raw:
            slips = () if word in self.known else self._correct(word)
            if slips and len(found) * len(slips) <= 6:
                found = [([*w, slip], cost + 0.03 * edits) for w, cost in found for slip, edits in slips]
            else:
                found = [([*w, word], cost) for w, cost in found]
        return found

    def _score(self, words: list[str], telling: list[str], penalty: float) -> dict[str, float]:
        have = set(words) | set(telling)
        hits: dict[int, int] = {}
        for word in have:
            for index in self.by_word.get(word, ()):
                hits[index] = hits.get(index, 0) + 1
        neutral, changing = word_list("neutral"), word_list("changing")
        scores: dict[str, float] = {}
        for index, count in hits.items():
            entry = self.names[index]
            missing = len(entry.wordset) - count
            if missing and (missing > 1 or count < 1):
                continue
            rest = [w for w in words if w not in entry.wordset]
            last = max((i for i, w in enumerate(words) if w in entry.wordset), default=-1)
            if last < 0:
                continue
            cost = penalty + 0.35 * missing
            for position, word in enumerate(words):
                if word in entry.wordset:
                    continue
                if word in changing and word not in neutral:
                    cost += 0.4 if position > last else 0.3
                elif word in neutral:
                    cost += 0.004
                elif word in self.by_word:
                    cost += 0.16
                else:
                    cost += 0.1 if position < last else 0.16
            # Of two names that fit equally, the longer says more, and the one at the end names the food.
            covered = len(words) - len(rest)
            score = (
                1.0 - cost - 0.02 * (len(words) - 1 - last) - 0.012 * max(0, 4 - covered) - 0.005 * (not entry.is_shown)
            )
            unused = [w for w in telling if w not in entry.wordset]
            score -= 0.03 * len(unused)
            if score > scores.get(entry.key, 0.0):
                scores[entry.key] = score
        return scores


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
