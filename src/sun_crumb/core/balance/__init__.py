"""What must stay in balance when sugar goes, and how far each kind of dessert tolerates. Solves nothing."""

from sun_crumb.core.balance.families import Family, families, guess_family
from sun_crumb.core.balance.metrics import METRICS, Metric, contribution, measure
from sun_crumb.core.balance.verdicts import Verdict, judge

__all__ = ["METRICS", "Family", "Metric", "Verdict", "contribution", "families", "guess_family", "judge", "measure"]
