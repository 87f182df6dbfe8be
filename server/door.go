package server

import (
	"bytes"
	"io"
	"net"
	"net/url"
	"strings"
	"time"

	"github.com/gofiber/fiber/v3"

	"yembra/formats"
	"yembra/server/texts"
)

// What a request may hold and how long it may take. Nothing of a body is read
// before host and origin are known to be right, and no more of it than its route
// takes.
const (
	// BodyLimit is the most a request may hold: 2 MiB.
	BodyLimit = 2 << 20
	// mostArchiveUpload is the most that an archive may hold, which goes to a file.
	mostArchiveUpload = 1 << 30
	// readAtOnce is how much of a body is taken in with its head.
	readAtOnce = 64 << 10
	// drained is how much of a refused body is still let through, so that whoever
	// is sending gets to read why.
	drained = 16 << 20

	readWithin  = 60 * time.Second
	writeWithin = 60 * time.Second
	idleFor     = 90 * time.Second
)

// archivePath takes longer bodies than all else.
const archivePath = "/api/archive"

// bodyOf is what is still to be read of a request.
func bodyOf(c fiber.Ctx) io.Reader {
	if stream := c.Request().BodyStream(); stream != nil {
		return stream
	}
	return bytes.NewReader(c.Request().Body())
}

func tooLarge(most int64) problem {
	return problem{Title: texts.Say("tooLarge"), Status: fiber.StatusRequestEntityTooLarge, Detail: texts.Say("aRequestMayHoldMibAt", most>>20)}
}

// bounded takes a body in, never more of it than the limit, and none that is
// packed: what it would unpack to is not known before.
func bounded(c fiber.Ctx) error {
	most := int64(BodyLimit)
	switch {
	case c.Path() == archivePath:
		most = mostArchiveUpload
	case strings.HasPrefix(c.Path(), picturesPath):
		most = formats.MostPictureBytes
	}
	refuse := func(p problem) error {
		if stream := c.Request().BodyStream(); stream != nil {
			_, _ = io.CopyN(io.Discard, stream, drained) // whatever comes of it, the answer is the same
		}
		c.Response().SetConnectionClose()
		return p
	}
	if packed := c.Get("Content-Encoding"); packed != "" && !strings.EqualFold(packed, "identity") {
		return refuse(problem{Title: texts.Say("packed"), Status: fiber.StatusUnsupportedMediaType, Detail: texts.Say("aRequestIsTakenOnlyAs")})
	}
	stream := c.Request().BodyStream()
	if length := c.Request().Header.ContentLength(); int64(length) > most || stream == nil && int64(len(c.Request().Body())) > most {
		return refuse(tooLarge(most))
	}
	if stream == nil || c.Path() == archivePath {
		return c.Next()
	}
	body, err := io.ReadAll(io.LimitReader(stream, most+1))
	if err != nil {
		c.Response().SetConnectionClose()
		return badRequest(texts.Say("theRequestBrokeOff"))
	}
	if int64(len(body)) > most {
		return refuse(tooLarge(most))
	}
	c.Request().SetBodyRaw(body)
	return c.Next()
}

// secure sets what every answer carries.
func secure(c fiber.Ctx) error {
	c.Set("X-Content-Type-Options", "nosniff")
	c.Set("Referrer-Policy", "no-referrer")
	c.Set("X-Frame-Options", "DENY")
	c.Set("Cross-Origin-Opener-Policy", "same-origin")
	c.Set("Cross-Origin-Resource-Policy", "same-origin")
	c.Set("Content-Security-Policy", "default-src 'none'; frame-ancestors 'none'")
	return c.Next()
}

// fresh keeps answers about the kitchen from being kept anywhere.
func fresh(c fiber.Ctx) error {
	c.Set("Cache-Control", "no-store")
	return c.Next()
}

// sameOrigin answers only to the names of the kitchen, so that no foreign name
// can be pointed at it, and refuses changes that another site's page asks for.
func (k *Kitchen) sameOrigin(c fiber.Ctx) error {
	refused := func(why string) error {
		c.Response().SetConnectionClose()
		return problem{Title: texts.Say("refused"), Status: fiber.StatusForbidden, Detail: why}
	}
	if hosts(c) > 1 || !k.named(string(c.Request().Header.Host())) || !k.named(c.Host()) {
		return refused(texts.Say("thisKitchenAnswersOnlyToIts"))
	}
	origin := c.Get("Origin")
	if origin == "" || c.Method() == fiber.MethodGet || c.Method() == fiber.MethodHead {
		return c.Next()
	}
	u, err := url.Parse(origin)
	if err != nil || u.User != nil || u.Host != c.Host() {
		return refused(texts.Say("theRequestComesFromAnotherSite"))
	}
	return c.Next()
}

// hosts counts the Host headers of a request.
func hosts(c fiber.Ctx) int {
	n := 0
	for line := range bytes.Lines(c.Request().Header.RawHeaders()) {
		if name, _, ok := bytes.Cut(line, []byte(":")); ok && strings.EqualFold(string(bytes.TrimSpace(name)), "host") {
			n++
		}
	}
	return n
}

// ownName tells whether a host, with or without a port, names this machine.
func ownName(host string) bool {
	name := host
	if h, port, err := net.SplitHostPort(host); err == nil {
		if strings.Trim(port, "0123456789") != "" {
			return false
		}
		name = h
	}
	switch strings.ToLower(name) {
	case "localhost", "127.0.0.1", "::1", "[::1]":
		return true
	}
	return false
}
