"""The worktop: what is made before a bake and what it holds, tins, ovens, candy, and when to begin.

Mass balances and clocks; knows no recipe's text, no shelf and no device.
"""
