"""Amounts: one component as a problem, its penalties and bounds, the linear model, rounding. Says nothing in words.

Only solver.py knows the solver's library.
"""
