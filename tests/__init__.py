"""All tests; run them with make test, or one file with python -m unittest tests.core.test_reading."""
