"""Requests made from the OpenAPI document by schemathesis, right ones and wrong ones."""

from __future__ import annotations

import tempfile
import unittest
from pathlib import Path
from typing import Any

from hypothesis import HealthCheck, Phase, given, seed, settings
from hypothesis.errors import Unsatisfiable
from schemathesis import GenerationMode
from schemathesis import openapi as documents

from sun_crumb.api.contract import openapi
from sun_crumb.app import create_app


def attack_by_schema(requests: int, number: int) -> tuple[int, list[str]]:
    """Send about *requests* requests; return how many were sent, and the faults: answers of 500 or more."""
    with tempfile.TemporaryDirectory() as folder:
        app = create_app(Path(folder) / "attacked.db")
        schema = documents.from_dict(openapi())
        schema.app = app
        operations = [found.ok() for found in schema.get_all_operations()]
        each = max(requests // (2 * len(operations)), 1)
        sent, faults = [0], []
        for operation in operations:
            for mode in (GenerationMode.POSITIVE, GenerationMode.NEGATIVE):

                @seed(number)
                @settings(
                    max_examples=each,
                    deadline=None,
                    database=None,
                    suppress_health_check=list(HealthCheck),
                    phases=[Phase.generate],
                )
                @given(operation.as_strategy(generation_mode=mode))
                def send(case: Any) -> None:
                    sent[0] += 1
                    answer = case.call()
                    if answer.status_code >= 500:
                        faults.append(
                            f"{answer.status_code} {case.method} {case.formatted_path} {case.body!r}: {answer.text[:300]}"
                        )

                try:
                    send()
                except Unsatisfiable:
                    continue  # an operation without parameters can't be asked wrongly
        app.extensions["database"].close()
        return sent[0], faults


class BySchema(unittest.TestCase):
    def test_no_request_made_from_the_document_breaks_the_server(self) -> None:
        sent, faults = attack_by_schema(900, 7)
        self.assertGreater(sent, 500)
        self.assertEqual(faults, [])
