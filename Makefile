# Two commands for everyone: make demo, make test. Each installs what it needs and is quick the second time.
SHELL := /bin/bash
.DELETE_ON_ERROR:
PY := .venv/bin/python
NPM := npm --prefix web
WEB_SOURCES := $(shell find web/src web/public -type f 2>/dev/null) web/index.html web/vite.config.ts

.PHONY: demo serve test check bench gen setup build chromium screenshots lock help

help:
	@echo "make demo    start Sun Crumb with demo data"
	@echo "make serve   start Sun Crumb over your own data"
	@echo "make test    run all tests"
	@echo "make check   lint, types, import rules, generated files"
	@echo "make bench   times of reading, analysing and reworking"
	@echo "make gen     write the pantry tables, the OpenAPI document and the TypeScript types"

demo: setup build
	@.venv/bin/sun-crumb demo

serve: setup build
	@.venv/bin/sun-crumb serve

test: setup build chromium
	@$(PY) tests/run.py

check: setup web/node_modules/.stamp
	.venv/bin/ruff check .
	.venv/bin/ruff format --check .
	.venv/bin/mypy
	.venv/bin/lint-imports --no-cache
	$(PY) tools/make_pantry.py --check
	@.venv/bin/sun-crumb openapi | diff -q - docs/openapi.json || { echo "docs/openapi.json is out of date: make gen"; exit 1; }
	@cd web && npx openapi-typescript ../docs/openapi.json --default-non-nullable=false 2>/dev/null | diff -q - gen/contract.d.ts \
		|| { echo "web/gen/contract.d.ts is out of date: make gen"; exit 1; }
	$(NPM) run check

bench: setup
	$(PY) -m bench.run
	$(PY) -m bench.reading
	$(PY) -m bench.golden

gen: setup web/node_modules/.stamp
	$(PY) tools/make_pantry.py
	.venv/bin/sun-crumb openapi > docs/openapi.json
	$(NPM) run types

screenshots: setup build chromium
	$(PY) tools/screenshots.py

lock: setup
	@(echo "# Every package of the development environment, pinned; made by make lock."; \
		.venv/bin/pip freeze --exclude-editable) > requirements.lock

setup: .venv/.stamp

.venv/.stamp: pyproject.toml requirements.lock
	@echo "Setting up Python packages in .venv (about a minute the first time) ..."
	@test -x $(PY) || python3 -m venv .venv
	@.venv/bin/pip install -q --disable-pip-version-check -r requirements.lock
	@.venv/bin/pip install -q --disable-pip-version-check --no-deps -e .
	@touch $@

build: src/sun_crumb/webroot/index.html

web/node_modules/.stamp: web/package-lock.json
	@echo "Installing the front end's packages (about half a minute the first time) ..."
	@$(NPM) ci --silent --no-audit --no-fund
	@touch $@

src/sun_crumb/webroot/index.html: web/node_modules/.stamp $(WEB_SOURCES)
	@echo "Building the screens ..."
	@$(NPM) run build --silent -- --logLevel warn
	@touch $@

chromium:
	@command -v chromium >/dev/null || { \
		echo "Installing Debian's chromium for the interface tests ..."; \
		$$(command -v sudo) apt-get update -qq && \
		$$(command -v sudo) apt-get install -y -qq --no-install-recommends chromium fonts-dejavu-core >/dev/null; }
