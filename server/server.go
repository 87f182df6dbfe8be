// Package server is the HTTP side of Yembra: routes, problem answers and the
// embedded interface. It holds no rules of the job.
package server

import (
	"bytes"
	"context"
	"encoding/json"
	"errors"
	"io"
	"strings"
	"sync"
	"sync/atomic"

	"github.com/gofiber/fiber/v3"
	"github.com/gofiber/fiber/v3/middleware/compress"
	recoverer "github.com/gofiber/fiber/v3/middleware/recover"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/method"
	"yembra/core/stove"
	"yembra/core/swap"
	"yembra/core/tasting"
	"yembra/server/texts"
	"yembra/store"
)

// Kitchen is everything the routes work with, handed in by main.
type Kitchen struct {
	Version   string
	Knowledge string
	Store     *store.Store
	// Examples lays out dishes to look at, for a kitchen that has none.
	Examples func(context.Context, *Kitchen) error
	// shipped is the larder as the knowledge has it; core is built from it and
	// from what the cook has said about foods, and replaced whole.
	shipped *larder.Larder
	core    *atomic.Pointer[Core]
	// pinned is what one request computes with, however the larder changes
	// meanwhile; nil for the kitchen itself.
	pinned *Core
	// changing is held while foods and settings change, one after the other.
	changing *sync.Mutex
	plans    *planCache
	flights  *flights
	// archives are the turns of those that go out or come in.
	archives chan struct{}
	hearth   *hearth
	shelf    *shelfWork
	views    *viewCache
	// access guards it where other machines can reach it; nil where they cannot.
	access *Access
}

// Core is everything that is computed from a larder. It is never changed.
type Core struct {
	Larder  *larder.Larder
	Reader  *flow.Reader
	Book    *swap.Book
	Carrier *method.Carrier
	// Unfit are foods of the kitchen's own that are left out, and why.
	Unfit []string
	// Learned is what the kitchen's own weighings say, Tasted what its tables do.
	Learned []stove.Factor
	Tasted  []tasting.Learned
	// Stamp names what the kitchen has said of foods and learned; schools are the rules
	// of each school alone.
	Stamp   string
	schools []school
	// Foretold is the same without what tables have taught, Plain without anything
	// that the kitchen has learned.
	Foretold, Plain *Core
}

// school is a school's rules by its name.
type school struct {
	name  string
	rules swap.Rules
}

func coreOf(l *larder.Larder) *Core {
	r, b := flow.NewReader(l), swap.NewBook(l)
	c := &Core{Larder: l, Reader: r, Book: b, Carrier: method.NewCarrier(b, r)}
	c.Foretold, c.Plain = c, c
	for _, p := range l.Presets() {
		if rules, err := swap.NewRules(l, swap.HouseRules{Preset: p.ID}); err == nil {
			c.schools = append(c.schools, school{p.Name, rules})
		}
	}
	return c
}

// NewKitchen returns a kitchen over the larder, as yet without a store.
func NewKitchen(l *larder.Larder) *Kitchen {
	k := &Kitchen{shipped: l, core: &atomic.Pointer[Core]{}, changing: &sync.Mutex{}, plans: &planCache{}, flights: &flights{}, archives: make(chan struct{}, mostArchives), hearth: newHearth(), shelf: newShelfWork(), views: &viewCache{}}
	k.core.Store(coreOf(l))
	return k
}

// Core is what the kitchen computes with now.
func (k *Kitchen) Core() *Core {
	if k.pinned != nil {
		return k.pinned
	}
	return k.core.Load()
}

// answering is a route's handler on a kitchen whose larder stays the same
// throughout the request.
func (k *Kitchen) answering(handle func(*Kitchen, fiber.Ctx) error) fiber.Handler {
	return func(c fiber.Ctx) error {
		now := *k
		now.pinned = k.core.Load()
		if c.Query("by") == "book" {
			now.pinned = now.pinned.Plain
		}
		return handle(&now, c)
	}
}

// New returns the application with all routes.
func New(k *Kitchen, pages Pages) *fiber.App {
	app := fiber.New(fiber.Config{
		AppName: "yembra", Immutable: true, ErrorHandler: answerProblem,
		StreamRequestBody: true, BodyLimit: readAtOnce,
		ReadTimeout: readWithin, WriteTimeout: writeWithin, IdleTimeout: idleFor,
	})
	app.Use(recoverer.New())
	app.Use(secure)
	app.Use(k.sameOrigin)
	app.Use(bounded)
	app.Use(compress.New(compress.Config{Next: packed}))
	if k.Store != nil {
		k.Store.OnKept(k.kept)
		k.Store.Summarise(k.Summary)
	}
	api := app.Group("/api", fresh, k.signedIn)
	r := routes{k, api}
	r.stateless()
	r.house()
	r.days()
	r.stove()
	r.table()
	r.shelf()
	r.dishes()
	api.All("/*", func(fiber.Ctx) error {
		return problem{Title: texts.Say("notFound"), Status: fiber.StatusNotFound, Detail: texts.Say("thereIsNoSuchPlaceIn")}
	})
	pages.register(app)
	return app
}

// packed tells that an answer gains nothing from being packed, or is written while it
// is read.
func packed(c fiber.Ctx) bool {
	return c.Path() == streamPath || c.Path() == archivePath || strings.HasPrefix(c.Path(), picturesPath)
}

// decode reads a JSON body strictly: unknown fields and anything after the
// value are errors.
func decode(c fiber.Ctx, into any) error {
	return DecodeStrict(c.Request().Body(), into)
}

// DecodeStrict reads one JSON value; unknown fields, wrong types and anything
// after it are refused with the field they stand in.
func DecodeStrict(body []byte, into any) error {
	d := json.NewDecoder(bytes.NewReader(body))
	d.DisallowUnknownFields()
	err := d.Decode(into)
	var wrongType *json.UnmarshalTypeError
	switch {
	case err == nil:
		if _, err := d.Token(); !errors.Is(err, io.EOF) {
			return badRequest(texts.Say("thereIsSomethingAfterTheJson"))
		}
		return nil
	case errors.As(err, &wrongType):
		return badRequest(texts.Say("aFieldHasTheWrongType"), fieldError{wrongType.Field, texts.Say("mustBe") + wrongType.Type.String()})
	case strings.HasPrefix(err.Error(), "json: unknown field "):
		name := strings.Trim(strings.TrimPrefix(err.Error(), "json: unknown field "), `"`)
		return badRequest(texts.Say("theRequestHoldsAFieldThat"), fieldError{name, texts.Say("isNotKnown2")})
	}
	return badRequest(texts.Say("theRequestIsNotValidJson") + err.Error() + ".")
}
