"""The job itself: reading, weighing, balancing, reworking, saving sugar.

Deterministic and self-contained: no web framework, no database, no network, no clock and no randomness. The
only files it reads are the tables shipped in ``reference``.
"""
