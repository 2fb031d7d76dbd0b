"""What may move and what may come in: moves, additions, candidates, stand-ins, flavour. Chooses no amount."""
