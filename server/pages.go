package server

import (
	"bytes"
	"crypto/rand"
	"encoding/base64"
	"fmt"
	"io/fs"
	"mime"
	"path"
	"strings"

	"yembra/server/texts"

	"github.com/gofiber/fiber/v3"
)

// Pages serves the built interface from a file system that holds index.html
// and assets/.
type Pages struct{ Files fs.FS }

// nonceMark is what the built index.html holds where the nonce belongs.
const nonceMark = "__NONCE__"

func (p Pages) register(app *fiber.App) {
	app.Add([]string{fiber.MethodGet, fiber.MethodHead}, "/assets/*", p.asset)
	for name, kind := range shipped {
		app.Add([]string{fiber.MethodGet, fiber.MethodHead}, "/"+name, p.file(name, kind))
	}
	app.Add([]string{fiber.MethodGet, fiber.MethodHead}, "/*", p.index)
}

// shipped are files that keep their names, so that a browser asks for them anew.
var shipped = map[string]string{
	"offline.js": "text/javascript; charset=utf-8", "manifest.webmanifest": "application/manifest+json",
	"icon.svg": "image/svg+xml", "icon-192.png": "image/png", "icon-512.png": "image/png",
}

func (p Pages) file(name, kind string) fiber.Handler {
	return func(c fiber.Ctx) error {
		data, err := fs.ReadFile(p.Files, name)
		if err != nil {
			return problem{Title: texts.Say("notFound"), Status: fiber.StatusNotFound, Detail: texts.Say("thereIsNoSuchFile")}
		}
		c.Set("Content-Type", kind)
		c.Set("Cache-Control", "no-cache")
		c.Set("Content-Security-Policy", "default-src 'none'; connect-src 'self'; font-src 'self'; style-src 'self'; script-src 'self'; img-src 'self'")
		return c.Send(data)
	}
}

// asset serves a built file; their names change with their content, so they
// may be kept for good.
func (p Pages) asset(c fiber.Ctx) error {
	name := path.Clean("assets/" + c.Params("*"))
	data, err := fs.ReadFile(p.Files, name)
	if err != nil || !strings.HasPrefix(name, "assets/") {
		return problem{Title: texts.Say("notFound"), Status: fiber.StatusNotFound, Detail: texts.Say("thereIsNoSuchFile")}
	}
	kind := mime.TypeByExtension(path.Ext(name))
	if kind == "" {
		kind = fiber.MIMEOctetStream
	}
	if path.Ext(name) == ".woff2" {
		kind = "font/woff2"
	}
	c.Set("Content-Type", kind)
	c.Set("Cache-Control", "public, max-age=31536000, immutable")
	return c.Send(data)
}

// index serves the one page for every other path, with a fresh nonce for the
// styles that the interface makes at run time.
func (p Pages) index(c fiber.Ctx) error {
	page, err := fs.ReadFile(p.Files, "index.html")
	if err != nil {
		return problem{Title: texts.Say("theInterfaceIsNotBuiltIn"), Status: fiber.StatusNotFound, Detail: texts.Say("thisBinaryWasBuiltWithoutIts")}
	}
	raw := make([]byte, 16)
	if _, err := rand.Read(raw); err != nil {
		return fmt.Errorf("make a nonce: %w", err)
	}
	nonce := base64.StdEncoding.EncodeToString(raw)
	c.Set("Content-Security-Policy", fmt.Sprintf("default-src 'none'; script-src 'self'; style-src 'self' 'nonce-%s'; font-src 'self'; img-src 'self' data:; connect-src 'self'; worker-src 'self'; manifest-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'", nonce))
	c.Set("Content-Type", "text/html; charset=utf-8")
	c.Set("Cache-Control", "no-store")
	return c.Send(bytes.ReplaceAll(page, []byte(nonceMark), []byte(nonce)))
}
