"""Stand-ins for devices that a kitchen has and this machine has not: programs of their own, sharing no code with Sun Crumb.

Each answers at a port with lines of JSON (docs/devices.md) and shows a page of knobs at another.
"""
