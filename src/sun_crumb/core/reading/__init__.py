"""Pasted text -> title, yield, oven, components and lines in grams, with doubts and conflicts kept visible.

Asks where it is unsure; never guesses in silence.
"""

from sun_crumb.core.reading.reader import read_recipe
from sun_crumb.core.reading.records import Candidate, Conflict, Oven, Reading, ReadLine, Yield

__all__ = ["Candidate", "Conflict", "Oven", "ReadLine", "Reading", "Yield", "read_recipe"]
