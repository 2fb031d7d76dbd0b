"""Tastings: the score sheet, what a household learns from it, what caused what, the next trial, and a taper.

Computes from numbers that are given: knows no bake as it is kept, no clock, and changes no recipe itself.
"""
