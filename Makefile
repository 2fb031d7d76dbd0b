# Two commands for everyone: make demo, make test. Each installs what it needs and is quick the second time.
SHELL := /bin/bash
.DELETE_ON_ERROR:
PY := .venv/bin/python
NPM := npm --prefix web
WEB_SOURCES := $(shell find web/src web/public -type f 2>/dev/null) web/index.html web/vite.config.ts

.PHONY: demo serve test test-slowly check bench fuzz gen setup develop build chromium screenshots lock help

help:
	@echo "make demo    start Sun Crumb with demo data"
	@echo "make serve   start Sun Crumb over your own data"
	@echo "make test    run all tests"
	@echo "make check   lint, types, import rules, generated files"
	@echo "make bench   times of reading, analysing, reworking and of the shelf"
	@echo "make fuzz    attack every endpoint and import format at length (about an hour)"
	@echo "make gen     write the pantry tables, the OpenAPI document and the TypeScript types"

demo: setup build
	@trap 'kill $$(jobs -p) 2>/dev/null' EXIT; \
		$(PY) -m simulators.scale --port 8721 --page 8722 & \
		$(PY) -m simulators.probe --port 8723 --page 8724 --faster 20 & \
		.venv/bin/sun-crumb demo --scale 127.0.0.1:8721 --probe 127.0.0.1:8723

serve: setup build
	@.venv/bin/sun-crumb serve

test: develop build chromium
	@$(PY) tests/run.py

test-slowly: develop build chromium
	SUN_CRUMB_SLOWER=4 $(PY) -m unittest discover -t . -s tests/web -v

check: develop web/node_modules/.stamp
	.venv/bin/ruff check .
	.venv/bin/ruff format --check .
	.venv/bin/mypy
	.venv/bin/lint-imports --no-cache
	$(PY) tools/make_pantry.py --check
	$(PY) -m tools.make_real_words --check
	$(PY) -m tools.make_figures --check
	@.venv/bin/sun-crumb openapi | diff -q - docs/openapi.json || { echo "docs/openapi.json is out of date: make gen"; exit 1; }
	@cd web && npx openapi-typescript ../docs/openapi.json --default-non-nullable=false 2>/dev/null | diff -q - gen/contract.d.ts \
		|| { echo "web/gen/contract.d.ts is out of date: make gen"; exit 1; }
	$(NPM) run check

bench: develop build chromium
	$(PY) -m bench.run
	$(PY) -m bench.reading
	$(PY) -m bench.method
	$(PY) -m bench.golden
	$(PY) -m bench.believed
	$(PY) -m bench.recasting
	$(PY) -m bench.shelf
	$(PY) -m bench.diary
	$(PY) -m bench.screens
	$(PY) -m bench.scale

fuzz: develop
	$(PY) -m tests.fuzz

gen: develop web/node_modules/.stamp
	$(PY) tools/make_pantry.py
	$(PY) -m tools.make_real_words
	$(PY) -m tools.make_figures
	.venv/bin/sun-crumb openapi > docs/openapi.json
	$(NPM) run types

screenshots: develop build chromium
	$(PY) tools/screenshots.py

lock:
	@for kind in "" dev; do \
		rm -rf .lock && python3 -m venv .lock && \
		.lock/bin/pip install -q --disable-pip-version-check ".$${kind:+[$$kind]}" && .lock/bin/pip uninstall -q -y sun-crumb && \
		(echo "# Every package for $${kind:+developing and }running Sun Crumb, pinned; made by make lock."; \
			.lock/bin/pip freeze) > requirements$${kind:+-$$kind}.lock; \
	done; rm -rf .lock build src/*.egg-info

setup: .venv/.stamp

develop: .venv/.developing

.venv/.stamp: pyproject.toml requirements.lock
	@echo "Setting up Python packages in .venv (half a minute the first time) ..."
	@test -x $(PY) || python3 -m venv .venv
	@.venv/bin/pip install -q --disable-pip-version-check --no-deps -r requirements.lock
	@.venv/bin/pip install -q --disable-pip-version-check --no-deps -e .
	@touch $@

.venv/.developing: .venv/.stamp requirements-dev.lock
	@echo "Adding the packages for tests and checks (about a minute the first time) ..."
	@.venv/bin/pip install -q --disable-pip-version-check --no-deps -r requirements-dev.lock
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
