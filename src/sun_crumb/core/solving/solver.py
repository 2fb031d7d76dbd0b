"""A small mixed-integer linear model and HiGHS, the only place that knows the solver."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field

import highspy
import numpy as np

INFINITY = float(highspy.kHighsInf)
# An absolute gap: near an objective of 0 a relative one never closes. One thread and a fixed seed: the same plan each time.
OPTIONS = {
    "output_flag": False,
    "log_to_console": False,
    "threads": 1,
    "random_seed": 7,
    "mip_abs_gap": 0.04,
    "mip_rel_gap": 0.0,
    "mip_max_nodes": 1500,
    # It looks for a first solution where the relaxed one leads to good ones anyway: a fifth to a third of the time.
    "mip_heuristic_run_feasibility_jump": False,
}


@dataclass(frozen=True, slots=True)
class Solution:
    """Values by variable; ``is_proven`` when within the gap of the best there is."""

    values: list[float]
    objective: float
    is_proven: bool


@dataclass(slots=True)
class LinearModel:
    """Variables with bounds and costs, rows with bounds; minimised."""

    lower: list[float] = field(default_factory=list)
    upper: list[float] = field(default_factory=list)
    cost: list[float] = field(default_factory=list)
    is_integer: list[bool] = field(default_factory=list)
    # The rows one after the other: where each starts, its variables and factors, and its bounds.
    starts: list[int] = field(default_factory=lambda: [0])
    variables: list[int] = field(default_factory=list)
    factors: list[float] = field(default_factory=list)
    row_lower: list[float] = field(default_factory=list)
    row_upper: list[float] = field(default_factory=list)

    def add(self, lower: float = 0.0, upper: float = INFINITY, cost: float = 0.0, *, is_integer: bool = False) -> int:
        """Add a variable and return its number."""
        self.lower.append(lower)
        self.upper.append(upper)
        self.cost.append(cost)
        self.is_integer.append(is_integer)
        return len(self.lower) - 1

    def binary(self, cost: float = 0.0) -> int:
        """Add a yes-or-no variable and return its number."""
        return self.add(0.0, 1.0, cost, is_integer=True)

    def require(self, terms: Mapping[int, float], lower: float = -INFINITY, upper: float = INFINITY) -> None:
        """Add the row ``lower <= sum of terms <= upper``."""
        self.variables += terms
        self.factors += terms.values()
        self.starts.append(len(self.variables))
        self.row_lower.append(lower)
        self.row_upper.append(upper)

    def solve(self, nodes: int | None = None) -> Solution | None:
        """Return the cheapest solution, or None where there is none or none was found in so many *nodes* of the search."""
        highs = self._passed(self.lower, self.upper, self.is_integer)
        if nodes is not None:
            highs.setOptionValue("mip_max_nodes", nodes)
        highs.run()
        info = highs.getInfo()
        # An infeasible or stopped run may report an objective of 0: the primal status alone says there is a solution.
        if info.primal_solution_status != int(highspy.SolutionStatus.kSolutionStatusFeasible):
            return None
        is_proven = highs.getModelStatus() == highspy.HighsModelStatus.kOptimal
        return Solution(list(highs.getSolution().col_value), float(info.objective_function_value), is_proven)

    def solve_relaxed(self, fixed: Mapping[int, float], start: WarmStart | None = None) -> list[float] | None:
        """Return the values of the model with whole numbers let go, but for the *fixed* ones; None where there are none.

        The search begins at *start*, where that is of the same shape.
        """
        highs = self._relaxed(fixed)
        if start is not None and start.shape == self.shape:
            highs.setBasis(start.basis)
        highs.run()
        if highs.getInfo().primal_solution_status != int(highspy.SolutionStatus.kSolutionStatusFeasible):
            return None
        return list(highs.getSolution().col_value)

    def cost_of(self, values: list[float]) -> float:
        """Return what a solution costs."""
        return float(np.dot(self.cost, values))

    @property
    def shape(self) -> tuple[int, int]:
        """How many variables and rows there are."""
        return len(self.lower), len(self.row_lower)

    def _relaxed(self, fixed: Mapping[int, float]) -> highspy.Highs:
        lower, upper = list(self.lower), list(self.upper)
        for k, value in fixed.items():
            lower[k] = upper[k] = value
        return self._passed(lower, upper, [False] * len(lower))

    def solve_around(self, choices: list[int], most: int) -> list[float] | None:
        """Return a good solution without a search: the *most* choices that the relaxed model uses most, the rest solved.

        Other whole numbers are rounded down, and let go one after the other where that leaves no solution.
        """
        relaxed = self.solve_relaxed({})
        if relaxed is None:
            return None
        best = set(sorted(choices, key=lambda k: -relaxed[k])[:most])
        fixed = {k: 1.0 if k in best and relaxed[k] > 1e-6 else 0.0 for k in choices}
        others = {
            k: float(int(relaxed[k] + 1e-6)) for k, whole in enumerate(self.is_integer) if whole and k not in fixed
        }
        return self.solve_relaxed(fixed | others) or self.solve_relaxed(fixed)

    def _passed(self, lower: list[float], upper: list[float], is_integer: list[bool]) -> highspy.Highs:
        lp = highspy.HighsLp()
        lp.num_col_, lp.num_row_ = len(lower), len(self.row_lower)
        lp.col_cost_, lp.col_lower_, lp.col_upper_ = np.array(self.cost), np.array(lower), np.array(upper)
        lp.row_lower_, lp.row_upper_ = np.array(self.row_lower), np.array(self.row_upper)
        matrix = lp.a_matrix_
        matrix.format_ = highspy.MatrixFormat.kRowwise
        matrix.start_ = np.array(self.starts, dtype=np.int32)
        matrix.index_ = np.array(self.variables, dtype=np.int32)
        matrix.value_ = np.array(self.factors)
        if any(is_integer):
            kinds = highspy.HighsVarType
            lp.integrality_ = [kinds.kInteger if integer else kinds.kContinuous for integer in is_integer]
        # A new one for each model: one that is used again takes half a millisecond less, and gives other plans.
        highs = highspy.Highs()  # type: ignore[no-untyped-call]
        for name, value in OPTIONS.items():
            highs.setOptionValue(name, value)
        if not any(is_integer):
            # A linear program of this size is solved sooner than it is made smaller.
            highs.setOptionValue("presolve", "off")
        highs.passModel(lp)
        return highs


class WarmStart:
    """Where the relaxed search of one model ended, for models of the same shape to begin at."""

    def __init__(self, model: LinearModel, fixed: Mapping[int, float]) -> None:
        highs = model._relaxed(fixed)
        highs.run()
        self.shape, self.basis = model.shape, highs.getBasis()
