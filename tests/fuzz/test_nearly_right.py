"""Requests and files that are nearly right: nothing breaks the server, and what is taken breaks no screen."""

from __future__ import annotations

import logging
import unittest
from collections.abc import Iterator
from contextlib import contextmanager

from tests.fuzz.kitchen import Attacked, attack_endpoints, attack_with_files


@contextmanager
def attacked(seed: int) -> Iterator[Attacked]:
    logging.disable(logging.ERROR)
    kitchen = Attacked(seed)
    try:
        yield kitchen
    finally:
        kitchen.close()
        logging.disable(logging.NOTSET)


class NearlyRight(unittest.TestCase):
    def test_no_request_breaks_the_server(self) -> None:
        with attacked(11) as kitchen:
            attack_endpoints(kitchen, 1500)
            kitchen.look()
            self.assertEqual(kitchen.faults, [])

    def test_no_file_that_is_taken_breaks_a_screen(self) -> None:
        with attacked(13) as kitchen:
            taken = attack_with_files(kitchen, 300)
            self.assertEqual(kitchen.faults, [])
            self.assertGreater(taken, 30)
