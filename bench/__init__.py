"""Benchmarks: times as ratios within one run, never tests."""
