"""What must stay in balance when sugar goes, and how far each kind of dessert tolerates. Solves nothing."""

from sun_crumb.core.balance.families import Family, families, guess_family
from sun_crumb.core.balance.metrics import (
    METRICS,
    QUANTITIES,
    Metric,
    contribution,
    contribution_row,
    measure,
    sweetened,
)
from sun_crumb.core.balance.verdicts import Gauge, Verdict, gauges, judge, verdicts

__all__ = [
    "METRICS",
    "QUANTITIES",
    "Family",
    "Gauge",
    "Metric",
    "Verdict",
    "contribution",
    "contribution_row",
    "families",
    "gauges",
    "guess_family",
    "judge",
    "measure",
    "sweetened",
    "verdicts",
]
