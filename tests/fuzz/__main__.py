"""Fuzz at length: ``python -m tests.fuzz [requests] [files] [seed]``; ends non-zero when a fault was found."""

from __future__ import annotations

import logging
import sys
import time

from tests.fuzz.kitchen import Attacked, attack_endpoints, attack_with_files
from tests.fuzz.test_schema import attack_by_schema


def main() -> int:
    requests, files, seed = (int(x) for x in (*sys.argv[1:], "50000", "10000", "1")[:3])
    logging.disable(logging.WARNING)
    start, kitchen = time.monotonic(), Attacked(seed)
    sent, faults = attack_by_schema(requests // 2, seed)
    print(f"{sent} requests made from the document, {len(faults)} faults, {time.monotonic() - start:.0f} s", flush=True)
    before = kitchen.requests
    attack_endpoints(kitchen, requests - sent)
    nearly = kitchen.requests - before
    print(f"{nearly} requests nearly right, {len(kitchen.faults)} faults, {time.monotonic() - start:.0f} s", flush=True)
    kitchen.faults += faults
    before = len(kitchen.faults)
    taken = attack_with_files(kitchen, files)
    print(
        f"{files} files, {taken} taken, {len(kitchen.faults) - before} faults, {time.monotonic() - start:.0f} s",
        flush=True,
    )
    for fault in kitchen.faults[:40]:
        print(fault[:1500])
    return 1 if kitchen.faults else 0


if __name__ == "__main__":
    sys.exit(main())
