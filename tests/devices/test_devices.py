"""Devices: their words checked, and the stand-ins that ship, each run as the program that it is."""

from __future__ import annotations

import re
import subprocess
import sys
import time
import unittest
from collections.abc import Callable
from pathlib import Path
from typing import Any

from hypothesis import given
from hypothesis import strategies as st

from sun_crumb.core.kitchen.candy import stages
from sun_crumb.devices import BadAddressError, Probe, Scale, devices_at
from sun_crumb.devices.line import LineProbe, LineScale
from sun_crumb.devices.records import GarbledError, heat_of, weight_of

ROOT = Path(__file__).parents[2]
JSON = st.recursive(
    st.none() | st.booleans() | st.floats() | st.text(max_size=8),
    lambda inner: st.lists(inner, max_size=3) | st.dictionaries(st.sampled_from(["kind", "value", "unit", "stable", "battery"]), inner),
    max_leaves=8,
)  # fmt: skip


class StandIn:
    """A stand-in as a process of its own."""

    def __init__(self, what: str, *flags: str) -> None:
        self.process = subprocess.Popen(
            [sys.executable, "-m", f"simulators.{what}", "--port", "0", "--page", "0", *flags],
            cwd=ROOT,
            stdout=subprocess.PIPE,
            text=True,
        )
        assert self.process.stdout is not None
        said = self.process.stdout.readline()
        found = re.search(r"127\.0\.0\.1:(\d+), knobs at (\S+)", said)
        assert found, said
        self.port, self.page = int(found[1]), found[2]

    def close(self) -> None:
        self.process.terminate()
        self.process.wait(10)
        if self.process.stdout:
            self.process.stdout.close()


def until(true: Callable[[], Any], seconds: float = 30.0) -> bool:
    """Wait until something is so: a busy machine takes its time."""
    end = time.monotonic() + seconds
    while time.monotonic() < end:
        if true():
            return True
        time.sleep(0.02)
    return False


class Words(unittest.TestCase):
    def test_units_become_grams_and_celsius(self) -> None:
        """1 oz is 28.349523125 g, 1 lb 453.59237 g (NIST SP 811, appendix B.8)."""
        for value, unit, grams in ((1, "oz", 28.35), (2, "lb", 907.18), (0.25, "kg", 250.0), (-3, "g", -3.0)):
            self.assertAlmostEqual(weight_of({"value": value, "unit": unit}).grams, grams, places=2)
        self.assertEqual(heat_of({"value": 350, "unit": "F"}).celsius, 176.7)

    @given(JSON)
    def test_garbage_is_garbage_and_nothing_else(self, told: object) -> None:
        for read in (weight_of, heat_of):
            try:
                word = read(told)
            except GarbledError:
                continue
            self.assertTrue(abs(getattr(word, "grams", 0.0)) <= 25_000)

    def test_an_address_is_a_host_and_a_port(self) -> None:
        for wrong in ("scale", ":8721", "127.0.0.1:", "127.0.0.1:0", "127.0.0.1:70000", "127.0.0.1:x"):
            with self.subTest(wrong), self.assertRaises(BadAddressError) as caught:
                devices_at(wrong, None)
            self.assertEqual(caught.exception.field, "scale")
        self.assertEqual(devices_at(None, None).all(), {})


class SimulatedScale(unittest.TestCase):
    def setUp(self) -> None:
        self.stand = StandIn("scale")
        self.addCleanup(self.stand.close)
        self.scale = LineScale("127.0.0.1", self.stand.port)
        self.addCleanup(self.scale.close)
        self.assertTrue(until(lambda: self.scale.state == "live"))

    def grams(self) -> float:
        word = self.scale.latest()
        return word.grams if word else 0.0

    def stands_at(self, grams: float) -> bool:
        word = self.scale.latest()
        return bool(word and word.is_stable and abs(word.grams - grams) < 1.5)

    def test_it_is_a_scale(self) -> None:
        self.assertIsInstance(self.scale, Scale)

    def test_a_stream_settles_tare_is_nothing_and_ounces_are_grams(self) -> None:
        self.scale.say({"do": "put", "grams": 412})
        self.assertTrue(until(lambda: self.stands_at(412)))
        self.assertTrue(self.scale.tare())
        self.assertTrue(until(lambda: self.stands_at(0)))
        self.scale.say({"do": "pour", "grams": 120, "seconds": 1})
        self.assertTrue(
            until(lambda: self.grams() > 20 and not (self.scale.latest() or weight_of({"value": 0})).is_stable)
        )
        self.assertTrue(until(lambda: self.stands_at(120)))
        self.scale.say({"do": "unit", "unit": "oz"})
        time.sleep(0.3)
        self.assertTrue(until(lambda: self.stands_at(120)))

    def test_what_is_lost_comes_back_and_garbage_is_told(self) -> None:
        self.scale.say({"do": "put", "grams": 80})
        self.assertTrue(until(lambda: self.stands_at(80)))
        before = self.scale.count
        self.scale.say({"do": "garble", "lines": 60})
        self.assertTrue(until(lambda: self.scale.state == "garbled"))
        self.assertGreater(self.scale.count, before)
        self.assertTrue(until(lambda: self.scale.state == "live"))
        self.scale.say({"do": "lose", "seconds": 1})
        self.assertTrue(until(lambda: self.scale.state == "gone"))
        self.assertFalse(self.scale.tare())
        self.assertEqual(round(self.grams()), 80)  # the last word is kept, and said to be old
        self.assertTrue(until(lambda: self.scale.state == "live"))
        self.stand.close()
        self.assertTrue(until(lambda: self.scale.state == "gone"))


class SimulatedProbe(unittest.TestCase):
    def probe(self, *flags: str) -> LineProbe:
        stand = StandIn("probe", *flags)
        self.addCleanup(stand.close)
        probe = LineProbe("127.0.0.1", stand.port)
        self.addCleanup(probe.close)
        self.assertTrue(until(lambda: probe.state == "live"))
        self.assertIsInstance(probe, Probe)
        return probe

    def test_a_cake_halts_below_boiling(self) -> None:
        """A crumb is done at about 96 to 99 °C and gets no hotter than its water (common practice, no published source)."""
        probe = self.probe("--faster", "900")
        probe.say({"do": "cake", "oven_c": 175, "minutes": 40})
        self.assertTrue(until(lambda: (w := probe.latest()) and w.celsius > 90))
        self.assertTrue(until(lambda: (w := probe.latest()) and 93 < w.celsius < 115))

    def test_a_syrup_goes_through_the_stages(self) -> None:
        """Soft ball 112 to 116 °C, hard crack 146 to 154 (confectioners' tables, as in candy_stages.csv)."""
        probe = self.probe("--faster", "60")
        probe.say({"do": "syrup", "sugar_g": 300, "water_g": 100, "watts": 900})
        soft = next(stage for stage in stages() if stage.key == "soft_ball")
        self.assertTrue(until(lambda: (w := probe.latest()) and w.celsius >= soft.low_c))
        self.assertTrue(until(lambda: (w := probe.latest()) and w.celsius >= 140))
        probe.say({"do": "unit", "unit": "F"})
        self.assertTrue(until(lambda: (w := probe.latest()) and 130 < w.celsius < 165))


class Apart(unittest.TestCase):
    def test_the_stand_ins_share_no_code_with_the_product(self) -> None:
        for path in (ROOT / "simulators").glob("*.py"):
            self.assertNotRegex(path.read_text(encoding="utf-8"), r"(?:import|from)\s+sun_crumb")
        for path in (ROOT / "src").rglob("*.py"):
            self.assertNotRegex(path.read_text(encoding="utf-8"), r"(?:import|from)\s+simulators")


if __name__ == "__main__":
    unittest.main()
