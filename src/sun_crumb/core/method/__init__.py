"""The method as data: steps with what they use, wait for and need, and what comes before what; and the method of a plan.

Reads no text of a recipe beyond its steps, knows no clock and no kitchen: times are spans of minutes, ovens are temperatures.
"""

from sun_crumb.core.method.read import read_method
from sun_crumb.core.method.records import MethodLine, MethodRead, MethodStep, Reached, Use, Wait

__all__ = ["MethodLine", "MethodRead", "MethodStep", "Reached", "Use", "Wait", "read_method"]
