"""What must stay in balance when sugar goes, and how far each kind of dessert tolerates. Solves nothing."""

from sun_crumb.core.balance.families import Family, as_mixed, families
from sun_crumb.core.balance.metrics import (
    METRICS,
    QUANTITIES,
    Metric,
    contribution,
    contribution_row,
    measure,
    sweetened,
)
from sun_crumb.core.balance.nature import Nature, nature_of, natures
from sun_crumb.core.balance.verdicts import Gauge, Verdict, gauges, judge, verdicts

__all__ = [
    "METRICS",
    "QUANTITIES",
    "Family",
    "Gauge",
    "Metric",
    "Nature",
    "Verdict",
    "as_mixed",
    "contribution",
    "contribution_row",
    "families",
    "gauges",
    "judge",
    "measure",
    "nature_of",
    "natures",
    "sweetened",
    "verdicts",
]
