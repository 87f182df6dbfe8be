// Package server is the HTTP side of Yembra: routes, problem answers and the
// embedded interface. It holds no rules of the job.
package server

import (
	"bytes"
	"encoding/json"
	"errors"
	"io"
	"net/url"
	"strings"
	"sync/atomic"

	"github.com/gofiber/fiber/v3"
	"github.com/gofiber/fiber/v3/middleware/compress"
	recoverer "github.com/gofiber/fiber/v3/middleware/recover"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/method"
	"yembra/core/swap"
	"yembra/store"
)

// BodyLimit is the most a request may hold: 2 MiB.
const BodyLimit = 2 << 20

// wireLimit is how much is taken off the wire at all. It lies above BodyLimit
// because a connection cut while the client still sends would hide the answer
// that says why.
const wireLimit = 16 << 20

// archivePath takes longer bodies than all else.
const archivePath = "/api/archive"

// Kitchen is everything the routes work with, handed in by main.
type Kitchen struct {
	Version   string
	Knowledge string
	Store     *store.Store
	// shipped is the larder as the knowledge has it; core is built from it and
	// from what the cook has said about foods, and replaced whole.
	shipped *larder.Larder
	core    atomic.Pointer[Core]
	plans   planCache
}

// Core is everything that is computed from a larder. It is never changed.
type Core struct {
	Larder  *larder.Larder
	Reader  *flow.Reader
	Book    *swap.Book
	Carrier *method.Carrier
}

func coreOf(l *larder.Larder) *Core {
	r, b := flow.NewReader(l), swap.NewBook(l)
	return &Core{Larder: l, Reader: r, Book: b, Carrier: method.NewCarrier(b, r)}
}

// NewKitchen returns a kitchen over the larder, as yet without a store.
func NewKitchen(l *larder.Larder) *Kitchen {
	k := &Kitchen{shipped: l}
	k.core.Store(coreOf(l))
	return k
}

// Core is what the kitchen computes with now.
func (k *Kitchen) Core() *Core { return k.core.Load() }

// New returns the application with all routes.
func New(k *Kitchen, pages Pages) *fiber.App {
	app := fiber.New(fiber.Config{
		AppName: "yembra", Immutable: true, BodyLimit: wireLimit, ErrorHandler: answerProblem,
	})
	app.Use(recoverer.New())
	app.Use(secure)
	app.Use(bounded)
	app.Use(compress.New())
	api := app.Group("/api", sameOrigin)
	api.Get("/health", k.health)
	api.Post("/read", k.read)
	api.Post("/lines", k.readLine)
	api.Post("/steps", k.readStep)
	api.Post("/convert", k.convert)
	api.Post("/adapt", k.adapt)
	api.Post("/plan", plan)
	api.Get("/larder/foods", k.foods)
	api.Get("/larder/foods/:id", k.food)
	api.Put("/larder/foods/:id", k.saveFood)
	api.Delete("/larder/foods/:id", k.takeBackFood)
	api.Get("/larder/shelves", k.shelves)
	api.Get("/kitchen", k.settings)
	api.Put("/kitchen", k.saveSettings)
	api.Get("/prices", k.prices)
	api.Get("/archive", k.backup)
	api.Post("/archive", k.restore)
	api.Get("/days", k.days)
	api.Post("/days", k.createDay)
	api.Get("/days/:id", k.showDay)
	api.Put("/days/:id", k.saveDay)
	api.Post("/days/:id/undo", k.undoDay)
	api.Delete("/days/:id", k.removeDay)
	api.Get("/days/:id/calendar", k.exportCalendar)
	api.Get("/days/:id/shopping", k.exportShopping)
	api.Get("/rules", k.rules)
	api.Get("/dishes", k.dishes)
	api.Post("/dishes", k.createDish)
	api.Get("/dishes/:id", k.dish)
	api.Get("/dishes/:id/original/:format", k.exportOriginal)
	api.Put("/dishes/:id", k.saveDish)
	api.Post("/dishes/:id/undo", k.undo)
	api.Post("/dishes/:id/redo", k.redo)
	api.Get("/dishes/:id/candidates", k.candidates)
	api.Post("/dishes/:id/proposals", k.proposals)
	api.Post("/dishes/:id/preview", k.preview)
	api.Get("/dishes/:id/boosters", k.tray)
	api.Get("/dishes/:id/balance", k.balance)
	api.Get("/dishes/:id/card", k.showCard)
	api.Get("/dishes/:id/card/:format", k.exportCard)
	api.All("/*", func(fiber.Ctx) error {
		return problem{Title: "Not found", Status: fiber.StatusNotFound, Detail: "There is no such place in the interface of this program."}
	})
	pages.register(app)
	return app
}

// bounded refuses bodies over the limit; an archive may be as long as what is
// taken off the wire.
func bounded(c fiber.Ctx) error {
	if len(c.Body()) > BodyLimit && c.Path() != archivePath {
		return fiber.ErrRequestEntityTooLarge
	}
	return c.Next()
}

// secure sets what every answer carries.
func secure(c fiber.Ctx) error {
	c.Set("X-Content-Type-Options", "nosniff")
	c.Set("Referrer-Policy", "no-referrer")
	c.Set("X-Frame-Options", "DENY")
	c.Set("Cross-Origin-Opener-Policy", "same-origin")
	return c.Next()
}

// sameOrigin refuses changes that another site's page asks for, and answers
// only to the names of this machine, so that no foreign name can be pointed
// at it.
func sameOrigin(c fiber.Ctx) error {
	host := c.Hostname()
	if host != "localhost" && host != "127.0.0.1" && host != "::1" && host != "[::1]" {
		return problem{Title: "Refused", Status: fiber.StatusForbidden, Detail: "This kitchen answers only on its own machine."}
	}
	origin := c.Get("Origin")
	if origin == "" || c.Method() == fiber.MethodGet {
		return c.Next()
	}
	u, err := url.Parse(origin)
	if err != nil || u.Host != c.Host() {
		return problem{Title: "Refused", Status: fiber.StatusForbidden, Detail: "The request comes from another site."}
	}
	return c.Next()
}

// decode reads a JSON body strictly: unknown fields and anything after the
// value are errors.
func decode(c fiber.Ctx, into any) error {
	return DecodeStrict(c.Body(), into)
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
			return badRequest("There is something after the JSON value.")
		}
		return nil
	case errors.As(err, &wrongType):
		return badRequest("A field has the wrong type.", fieldError{wrongType.Field, "must be " + wrongType.Type.String()})
	case strings.HasPrefix(err.Error(), "json: unknown field "):
		name := strings.Trim(strings.TrimPrefix(err.Error(), "json: unknown field "), `"`)
		return badRequest("The request holds a field that is not known here.", fieldError{name, "is not known"})
	}
	return badRequest("The request is not valid JSON: " + err.Error() + ".")
}
