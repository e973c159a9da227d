# make demo        a feast to look at, on http://127.0.0.1:8080/ (PORT=..., DATA_DIR=... to change)
# make serve       the same with an empty book of feasts, for your own kitchen
# make test        style, static analysis, core, application and browser tests
PORT ?= 8080
DATA_DIR ?= $(CURDIR)/var/data
DEMO_DIR ?= $(CURDIR)/var/demo
# on every core of the machine
PHP_TEST = vendor/bin/paratest -p $(shell nproc) \
	--passthru-php="'-d' 'memory_limit=1G' '-d' 'opcache.enable_cli=1' '-d' 'date.timezone=UTC'"

.PHONY: demo demo-reset serve test setup style stan test-core test-app test-kill test-browser bench bench-day bench-load mutation check-plans \
	screenshots fix

demo: setup
	@PORT=$(PORT) DATA_DIR=$(DEMO_DIR) bin/serve demo

demo-reset: setup
	@rm -rf "$(DEMO_DIR)" && echo 'The demo starts over.'
	@PORT=$(PORT) DATA_DIR=$(DEMO_DIR) bin/serve demo

serve: setup
	@PORT=$(PORT) DATA_DIR=$(DATA_DIR) bin/serve

setup:
	@bin/setup

test:
	@bin/setup test
	@$(MAKE) --no-print-directory style stan test-core test-app test-kill test-browser

style:
	@rm -rf var/cache/test
	vendor/bin/php-cs-fixer check --show-progress=none
	APP_ENV=test php bin/console lint:twig templates --quiet
	APP_ENV=test php bin/console lint:yaml config --quiet

stan:
	@APP_ENV=test APP_DEBUG=1 php bin/console cache:warmup --quiet
	vendor/bin/phpstan analyse --memory-limit=1G --no-progress

test-core:
	$(PHP_TEST) --testsuite core

test-app:
	$(PHP_TEST) --testsuite app

test-kill:
	bin/kill-day 20

test-browser:
	npx playwright test

bench: setup
	@php -d opcache.enable_cli=1 -d date.timezone=UTC bin/bench

# which small faults the tests notice; takes half an hour, most of it finding out which tests touch which line
mutation: setup
	@php bin/mutation

# every shipped recipe, by every option of its schools for 12 to 1,800 guests and by all choices together for 60, before the
# independent checker of plans
check-plans: setup
	@CHECK_PLANS=all $(PHP_TEST) --functional --testsuite app --filter PlanCheckTest

# days of the three demos cooked through by simulated cooks, with the day planned anew and without; half an hour
bench-day: setup
	bin/console ladle:day:simulate data/feasts/new-roof.json --runs=1000 --format=text
	bin/console ladle:day:simulate data/feasts/boat-lamp.json --runs=100 --format=text
	bin/console ladle:day:simulate data/feasts/bell-raising.json --runs=20 --format=text

# 50 phones that poll and 10 that tick, for a minute
bench-load: setup
	@node bin/bench-load.mjs

screenshots: setup
	npx playwright test --config e2e/screenshots.config.js

fix:
	vendor/bin/php-cs-fixer fix --show-progress=none
