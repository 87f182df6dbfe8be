# Yembra: build, demo, test, check, bench. Needs Go, Node, npm and make; the
# browser tests install Debian's Chromium where it is missing.
SHELL := /bin/bash
ADDR ?= 127.0.0.1:8765
VERSION := $(shell git describe --always --dirty 2>/dev/null || echo dev)
STATICCHECK := honnef.co/go/tools/cmd/staticcheck@v0.8.2
UI_SOURCES := $(shell find ui/src ui/map ui/public -type f) ui/index.html ui/vite.config.ts ui/package.json

.PHONY: build demo test check bench generate clean fuzz mutants cards

build: bin/yembra

ui/node_modules/.installed: ui/package.json ui/package-lock.json
	cd ui && npm ci --no-fund --no-audit
	touch $@

e2e/node_modules/.installed: e2e/package.json e2e/package-lock.json
	cd e2e && PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1 npm ci --no-fund --no-audit
	touch $@

ui/dist/index.html: ui/node_modules/.installed $(UI_SOURCES)
	rm -rf ui/dist/assets ui/dist/index.html
	cd ui && npm run --silent build

bin/yembra: ui/dist/index.html $(shell find cmd core demo devices formats knowledge replica server store ui/embed.go -type f) go.mod go.sum
	go build -ldflags "-X main.version=$(VERSION)" -o $@ ./cmd/yembra

demo: build
	./bin/yembra demo --addr $(ADDR)

test: build e2e/node_modules/.installed
	GOGC=400 go test -vet=off ./... # make check vets; memory is there, processors are two
	cd ui && npm run --silent test
	.ci/chromium
	cd e2e && npm run --silent test

# The types that cross the border are generated from the Go structs.
generate: ui/node_modules/.installed
	go run ./cmd/apischema > ui/src/api/schema.json
	cd ui && npm run --silent generate

check: ui/node_modules/.installed ui/dist/index.html
	@test -z "$$(gofmt -l cmd core demo devices formats knowledge replica server store ui/*.go)" || { gofmt -l cmd core demo devices formats knowledge replica server store ui/*.go; echo "run gofmt -w"; exit 1; }
	go vet ./...
	go run $(STATICCHECK) ./...
	go run ./cmd/lengths cmd core demo devices formats knowledge replica server store
	go run ./cmd/apischema | diff -q - ui/src/api/schema.json || { echo "ui/src/api is stale: run make generate"; exit 1; }
	cd ui && npm run --silent types && npm run --silent lint

# Makes the cards of all recipes kept under three presets and prints what reading them back finds.
cards:
	CARDS=all go test ./core/method -run TestCardsOfTheCorpusReadBack -v

# Fuzzes what reads input, 60 s each.
fuzz:
	go test ./core/flow -run '^$$' -fuzz FuzzRead -fuzztime 60s -fuzzminimizetime 20x
	go test ./formats -run '^$$' -fuzz FuzzFromHTML -fuzztime 60s -fuzzminimizetime 20x
	go test ./formats -run '^$$' -fuzz FuzzStructured -fuzztime 60s -fuzzminimizetime 20x

# Small wrong changes that the tests should notice; PACKAGES names some, else all, which
# takes hours and can be stopped and gone on with.
mutants:
	.ci/mutants $(PACKAGES)

bench: build
	go test -run '^$$' -bench . -benchtime 1s ./core/...
	.ci/timings

clean:
	rm -rf bin ui/dist/assets ui/dist/index.html ui/node_modules e2e/node_modules
