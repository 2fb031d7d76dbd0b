"""What a plan asks of a baker that gains nobody anything: put back, or left out."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass

from sun_crumb.core.solving.problem import Problem
from sun_crumb.core.solving.true_penalty import MASS, NEAR, TruePenalty

# An amount of one row, by its position, as it can be told [g].
Snap = Callable[[int, float], float]
# An amount [g] that is none, and a change, as a share of a line, that is none.
LEAST_G, UNTOUCHED = 0.02, 0.004
# What a change must gain in texture, as a share of what touching its line costs: of any line, and of what goes by pieces;
# and at least so much of any: most of a band's width (judgement).
LEAST_GAIN, PIECE_GAIN, TOLD_GAIN = 0.25, 1.0, 0.3
# What a change is for it must bring nearer by so much of how far that is off, and by so much where it is told in milder words for it [share] (judgement).
LEAST_MENDED, LEAST_MENDED_IN_WORDS = 0.2, 0.15
# What comes in for the texture and mends nothing that is told must gain so much (judgement).
FETCHED_GAIN = 0.6
# From so many bands a plan fails, and so far at most a failing one may lie without a change [bands] (judgement).
OFF, MOST_OFF = 2.001, 2.6
# What a line that moves must gain where the words for the texture are the same without it: most of a band (judgement).
SAME_WORDS_GAIN = 1.8
# So much of the sugar at most is given back for a line that stays as it is, where a plan is as sweet as asked, and where it is not [share], and so many times what is hardly missed, where the cut is short anyway (judgement).
GIVEN_BACK_SWEET, GIVEN_BACK, SHORT_ANYWAY = 0.021, 0.045, 2.0
# Of the whole recipe's sugar so much is hardly missed [share] (judgement).
HARDLY_MISSED = 0.012
# A change of less than this share of its line, or of the batter, is fussy unless it gains so much (judgement).
FUSSY, FUSSY_PART, FUSSY_GAIN = 0.105, 0.015, 0.6
# Less than this is nobody's reason to weigh a line anew [g]; and flour and butter nobody changes but for so much (judgement).
TRIFLE_G, BODY_GAIN = 6.0, 1.5
# Of what is told by the spoon half a tablespoon is such a trifle [g] (judgement).
SPOON_TRIFLE_G = 8.5
# Several such changes at once must gain so much together (judgement).
ALL_FUSS_GAIN = 0.55
# A new sweetener that gives less than this share of the sweetness is a dash; so many steps of another may make up for it (judgement).
DASH, DASH_STEPS, MILDER_STEPS = 0.14, 8, 2
# A speck of something strong, less than any spoon but the smallest holds [g], is not worth a jar of it for less than this share (judgement).
SPECK, SPECK_G = 0.16, 0.15
# In one part of several a new sweetener of less than this is such a speck [g]; a part that is less of the whole is one of several (judgement).
LEAST_IN_A_PART_G, WHOLE_SHARE = 22.0, 0.99
# A part may be so much less sweet without it [cost] (judgement).
PART_LESS_SWEET, PART_DASH = 1.6, 0.3
# For a speck of what few spoons measure the whole may be less sweet by so much [cost]: a twelfth (judgement).
SPECK_LESS_SWEET = 2.5


@dataclass(frozen=True, slots=True)
class Fuss:
    """What of a rounded plan is fussy: the problem it solves, how its sums are judged, the rows that may still move with the step of each [g], and how an amount is told."""

    problem: Problem
    penalty: TruePenalty
    free: Mapping[int, float]
    snap: Snap

    def without_dashes(self, grams: list[float]) -> None:
        """Leave out every new sweetener that sweetens next to nothing, where the batter is no worse for it and another can make up for it."""
        new = self._new_sweeteners(grams)
        for i in sorted(new, key=lambda i: grams[i]):
            sums = self.penalty.sums(grams)
            trial = self.penalty.moved(sums, i, -grams[i])
            given = self.penalty.whole_sweetness(sums) - self.penalty.whole_sweetness(trial)
            is_speck = self.problem.rows[i].line.ingredient.is_strong and grams[i] < SPECK_G
            # Two spoons of it in a crust or a topping, beside what the rest takes.
            is_part = self.problem.share < WHOLE_SHARE and grams[i] < LEAST_IN_A_PART_G
            if given > (PART_DASH if is_part else SPECK if is_speck else DASH) * self.problem.before["sweetness"]:
                continue
            without = [*grams[:i], 0.0, *grams[i + 1 :]]
            others = [n for n in new if n != i and without[n] > 0 and n in self.free]
            if self.penalty.is_sweet(sums) and others:
                made_up = list(without)
                sweeter = self._sweeter(made_up, max(others, key=lambda n: without[n]))
                # A limit that it passes by it, as erythritol's, keeps another from making up for it.
                if not is_speck or self.penalty.limits(sweeter) <= self.penalty.limits(sums) + NEAR:
                    without, trial = made_up, sweeter
            is_missed = self.penalty.is_sweet(sums) and not self.penalty.is_sweet(trial)
            less_sweet = self.penalty.sweetness(trial) - self.penalty.sweetness(sums)
            if (is_part and less_sweet < PART_LESS_SWEET) or (is_speck and less_sweet < SPECK_LESS_SWEET):
                is_missed = False  # half a band less sweet: in a part of it, or for a speck that few spoons measure
            worse = self.penalty.of(trial, is_felt=True) - self.penalty.of(sums, is_felt=True)
            worse -= max(less_sweet, 0.0) if is_speck and not is_missed else 0.0
            if not is_missed and self.penalty.told(trial)[0] <= self.penalty.told(sums)[0] and worse < FUSSY_GAIN:
                grams[:] = without

    def without_trifles(self, grams: list[float]) -> list[float]:
        """Put back every touched line, and leave out every adjuster, whose change gains less than it costs.

        What gains nothing but a sweeter taste of what is left goes back too: less butter is no way to be sweet enough.
        """
        sums = self._without_fuss(grams, self.penalty.sums(grams))
        cost = self.penalty.of(sums)
        worths: dict[int, tuple[float, float]] = {}
        brought = set[int]()
        for i, row in enumerate(self.problem.rows):
            addition = row.addition
            if row.set_g is None and row.move is not None and not row.is_cut:
                worths[i] = (row.untouched_g, row.move.penalty)
            elif addition is not None and not (
                addition.is_sweetener or addition.is_required or addition.set_g is not None or addition.kind == "swap"
            ):
                worths[i] = (0.0, addition.penalty)
                brought.add(i)
        for i, (was, worth) in worths.items():
            if grams[i] == was:
                continue
            amounts = [*grams[:i], was, *grams[i + 1 :]]
            trial = self.penalty.moved(sums, i, was - grams[i])
            trial = self._as_sweet_as_asked(amounts, trial, sums)
            trial, given = self._as_sweet_as_any(amounts, trial, sums)
            dearer = self.penalty.of(trial) - given
            move = self.problem.rows[i].move
            least = (PIECE_GAIN if move is not None and move.step_g else LEAST_GAIN) * worth
            # What the household's own flour asks for is no fuss.
            is_asked = bool(self.problem.goals.thirst) and self.problem.rows[i].line.ingredient.has_role("liquid")
            if not is_asked and (self.penalty.is_sweet(trial) or not self.penalty.is_sweet(sums)):
                least = max(least, TOLD_GAIN)
                if self.penalty.told(trial)[0] <= self.penalty.told(sums)[0] or self._is_told_alike(sums, trial):
                    # Something more to fetch for what nobody would notice; or a little more milk, and it is told as dry as before.
                    least = max(least, FETCHED_GAIN if i in brought else SAME_WORDS_GAIN)
            texture = self.penalty.of(trial, is_felt=True) - self.penalty.of(sums, is_felt=True) - given
            breaks = self.penalty.limits(trial) - self.penalty.limits(sums) - given
            # Sweetness aside, putting back never costs more than the change does.
            rest = dearer - cost - self.penalty.sweetness(trial) + self.penalty.sweetness(sums)
            if self._is_told_alike(sums, trial) or (
                i not in brought and self.penalty.told(trial)[0] <= self.penalty.told(sums)[0]
            ):
                # It is told in the same words: what is off counts no more far out than near.
                rest = breaks
            is_little = not is_asked and breaks <= NEAR and self._mends_little(sums, trial)
            if dearer - cost < worth or (texture < least and rest < max(worth, TOLD_GAIN)) or is_little:
                grams[:], sums, cost = amounts, trial, dearer
        return grams

    def _mends_little(self, sums: list[float], without: list[float]) -> bool:
        """Return whether a change leaves what it is for nearly as far off as it is *without*: a spoon of milk powder for an ice that freezes hard all the same."""
        if self.penalty.sweetness(without) > self.penalty.sweetness(sums) + NEAR:
            return False
        is_told_worse = self.penalty.told(without)[0] > self.penalty.told(sums)[0]
        least = LEAST_MENDED_IN_WORDS if is_told_worse else LEAST_MENDED
        pairs = zip(self.penalty.reaches(without), self.penalty.reaches(sums), strict=True)
        return all(after > (1 - least) * before for before, after in pairs if before > 1)

    def _is_fussy(self, position: int, by: float, mass: float) -> bool:
        """Return whether a change *by* so much [g] is so small that a baker would ask what for; leaven and salt are small by nature."""
        row = self.problem.rows[position]
        if self.problem.goals.thirst and row.line.ingredient.has_role("liquid"):
            return False  # what the household's own flour asks for
        is_seasoning = row.line.ingredient.has_role("leaven", "salt") and not row.line.ingredient.has_role("flour")
        if row.is_whole or (row.move is not None and row.move.step_g) or is_seasoning:
            return False
        trifle = SPOON_TRIFLE_G if row.line.is_spooned else TRIFLE_G
        return abs(by) < max(
            trifle if row.untouched_g else 0.0,
            FUSSY * row.untouched_g,
            FUSSY_PART * mass if row.untouched_g and not row.is_cut else 0.0,
        )

    def _without_fuss(self, grams: list[float], sums: list[float]) -> list[float]:
        """Put back every small change whose texture hardly gains by it, and a sugar's that the cut doesn't miss; return the sums.

        One at a time, then all that are left together: less flour for more milk, and more milk for less flour.
        """
        for i in self._fussy(grams, sums[MASS]):
            ingredient = self.problem.rows[i].line.ingredient
            least = (
                BODY_GAIN
                if ingredient.has_role("flour", "starch", "fat") and not self.problem.rows[i].is_cut
                else FUSSY_GAIN
            )
            sums = self._put_back(grams, sums, [i], least)
        left = [i for i in self._fussy(grams, sums[MASS]) if not self.problem.rows[i].is_cut]
        if len(left) < 2:
            return sums
        return self._put_back(grams, sums, left, ALL_FUSS_GAIN)

    def _fussy(self, grams: list[float], mass: float) -> list[int]:
        """Return the rows that are changed by so little that a baker would ask what for."""
        return [
            i
            for i, row in enumerate(self.problem.rows)
            if row.set_g is None
            and (row.addition is None or row.addition.kind == "stand_in")
            and grams[i] > 0
            and (row.move is not None or row.is_cut)
            and abs(row.untouched_g - grams[i]) >= LEAST_G
            and self._is_fussy(i, row.untouched_g - grams[i], mass)
        ]

    def _put_back(self, grams: list[float], sums: list[float], positions: list[int], least_gain: float) -> list[float]:
        """Put some changes back together where they gain less than they should; return the sums.

        Where the batter would be less sweet than asked by it, a sweetener that came in makes up for it.
        """
        amounts = list(grams)
        for i in positions:
            amounts[i] = self.problem.rows[i].untouched_g
        trial = self.penalty.sums(amounts)
        trial = self._as_sweet_as_asked(amounts, trial, sums)
        if self.penalty.is_sweet(sums) and not self.penalty.is_sweet(trial):
            return sums
        if self.penalty.limits(trial) > self.penalty.limits(sums) + NEAR:
            trial = self._milder(amounts, trial, self.penalty.limits(sums))
        trial, given = self._as_sweet_as_any(amounts, trial, sums)
        # So small a change is no way to be sweet enough, and so little sugar is what the whole recipe hardly misses.
        breaks = self.penalty.limits(trial) - self.penalty.limits(sums) - given
        by = sum(
            (self.problem.rows[i].untouched_g - grams[i]) * self.problem.counted[i]
            for i in positions
            if self.problem.rows[i].is_cut
        )
        short = SHORT_ANYWAY if self.penalty.cut(sums) > 0 else 1.0
        if (
            not given
            and by
            and by <= short * HARDLY_MISSED * self.problem.counted_before / max(self.problem.share, NEAR)
        ):
            breaks -= self.penalty.cut(trial) - self.penalty.cut(sums)
        (worse, far), (level, near) = self.penalty.told(trial), self.penalty.told(sums)
        # What is off by a level stays so: a little less flour mends no snap, and where something is off already no cake.
        is_no_worse = worse <= level or (level > 0 and worse == level + 1 and self.penalty.farthest(trial) <= OFF)
        # And a trifle, where something is off already, is nobody's reason to weigh a line anew.
        is_trifle = level > 0 and all(
            abs(amounts[i] - grams[i]) < TRIFLE_G and not self.problem.rows[i].is_cut for i in positions
        )
        gain = 0.0 if is_trifle else far - near
        if not (is_no_worse or is_trifle) or gain + max(breaks, 0.0) >= least_gain:
            return sums
        grams[:] = amounts
        return trial

    def _as_sweet_as_asked(self, grams: list[float], trial: list[float], sums: list[float]) -> list[float]:
        """Let a new sweetener make up for the sweetness of a line put back, where a plan was as sweet as asked with it; return the sums."""
        new = [i for i in self._new_sweeteners(grams) if i in self.free]
        if not new or not self.penalty.is_sweet(sums) or self.penalty.is_sweet(trial):
            return trial
        return self._sweeter(grams, max(new, key=lambda i: grams[i]))

    def _as_sweet_as_any(self, grams: list[float], trial: list[float], sums: list[float]) -> tuple[list[float], float]:
        """Give back a step or two of the sugar that is cut, where a line put back leaves a plan less sweet than any is to be; return the sums, and what that costs of the cut.

        A spoon of sugar for what is hardly sweet anyway is less to ask of a baker than another line weighed anew.
        """
        if self.penalty.limits(trial) <= self.penalty.limits(sums) + NEAR:
            return trial, 0.0
        cut = [
            i
            for i, row in enumerate(self.problem.rows)
            if row.is_cut and i in self.free and 0 < grams[i] < row.untouched_g
        ]
        if not cut:
            return trial, 0.0
        i = max(cut, key=lambda n: grams[n])
        share = GIVEN_BACK_SWEET if self.penalty.is_sweet(sums) else GIVEN_BACK
        most = grams[i] + share * self.problem.counted_before / max(self.problem.counted[i], NEAR)
        was, found = grams[i], trial
        while (more := self.snap(i, grams[i] + self.free[i])) <= most and more > grams[i]:
            found = self.penalty.moved(found, i, more - grams[i])
            grams[i] = more
            if self.penalty.limits(found) - self.penalty.cut(found) <= NEAR:
                return found, self.penalty.cut(found) - self.penalty.cut(sums)
        grams[i] = was
        return trial, 0.0

    def _is_told_alike(self, sums: list[float], trial: list[float]) -> bool:
        """Return whether a plan that fails anyway is told in the same words at other *sums*, and hardly further off."""
        off = self.penalty.off(sums)
        fails = not self.penalty.is_sweet(sums) or self.penalty.farthest(sums) > OFF
        return fails and bool(off) and self.penalty.off(trial) <= off and self.penalty.farthest(trial) <= MOST_OFF

    def _new_sweeteners(self, grams: list[float]) -> list[int]:
        """Return the rows of the sweeteners that come in and that nobody asked for."""
        return [
            i
            for i, row in enumerate(self.problem.rows)
            if row.addition is not None
            and row.addition.is_sweetener
            and row.set_g is None
            and not row.addition.is_wished
            and not row.addition.is_required
            and grams[i] > 0
        ]

    def _sweeter(self, grams: list[float], position: int) -> list[float]:
        """Raise one sweetener by a few steps until the whole is sweet enough; return the sums."""
        sums = self.penalty.sums(grams)
        for _ in range(DASH_STEPS):
            if self.penalty.is_sweet(sums):
                break
            more = self.snap(position, grams[position] + self.free[position])
            sums = self.penalty.moved(sums, position, more - grams[position])
            grams[position] = more
        return sums

    def _milder(self, grams: list[float], sums: list[float], limits: float) -> list[float]:
        """Lower a new sweetener by a few steps, where a limit is passed and the batter stays sweet enough: less erythritol for no more water; return the sums."""
        new = [i for i in self._new_sweeteners(grams) if i in self.free]
        if not new:
            return sums
        i = max(new, key=lambda n: grams[n])
        trial, was = sums, grams[i]
        # What is not sweet enough as it is may lose a step or two of it.
        is_sweet = self.penalty.is_sweet(sums)
        for _ in range(DASH_STEPS if is_sweet else MILDER_STEPS):
            less = self.snap(i, grams[i] - self.free[i])
            trial = self.penalty.moved(trial, i, less - grams[i])
            grams[i] = less
            if less <= 0 or (is_sweet and not self.penalty.is_sweet(trial)):
                break
            if self.penalty.limits(trial) <= limits + NEAR:
                return trial
        grams[i] = was
        return sums
