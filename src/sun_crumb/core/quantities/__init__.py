"""Measures, cups, numbers as bakers write them, and amounts rounded to what a kitchen can measure. Knows no ingredient."""
