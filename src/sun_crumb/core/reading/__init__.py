"""Pasted text -> title, yield, oven, components and lines in grams, with doubts and conflicts kept visible.

Asks where it is unsure; never guesses in silence.
"""

from sun_crumb.core.reading.reader import read_recipe
from sun_crumb.core.reading.records import Candidate, Conflict, Method, Oven, Reading, ReadLine, Yield
from sun_crumb.core.reading.steps import method_of

__all__ = ["Candidate", "Conflict", "Method", "Oven", "ReadLine", "Reading", "Yield", "method_of", "read_recipe"]
