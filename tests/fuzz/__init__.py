"""Fuzzing of every endpoint and every import format: short with fixed seeds in the tests, at length by ``make fuzz``."""
