"""All tests; run them with make test, or one file with python -m unittest tests.core.test_reading.

Properties are tried on the same inputs each time: what fails here fails everywhere.
"""

from hypothesis import settings

settings.register_profile("steady", derandomize=True, deadline=None)
settings.load_profile("steady")
