package server

import (
	"crypto/subtle"
	"errors"
	"fmt"
	"net"
	"slices"
	"strings"
	"sync"
	"time"

	"github.com/gofiber/fiber/v3"

	"yembra/server/gate"
	"yembra/server/texts"
	"yembra/store"
)

// Access is how a kitchen that other machines can reach is guarded. Without it
// the kitchen answers only on its own machine, and nobody signs in.
type Access struct {
	// Passphrase reads the hash of the kitchen's passphrase.
	Passphrase func() (string, error)
	// Names are the hosts that it answers to, beside those of this machine;
	// Addresses where a screen finds it, the likeliest first.
	Names     []string
	Addresses []string
	// Fingerprint is that of its certificate as it is now.
	Fingerprint func() string
	tries       gate.Tries
	codes       codes
	checking    sync.Mutex
}

// Guard makes the kitchen one that other machines can reach.
func (k *Kitchen) Guard(a *Access) { k.access = a }

// The cookie of a screen that has signed in, and the header that proves that a
// change comes from its own page.
const (
	sessionCookie = "__Host-yembra"
	csrfHeader    = "X-Yembra-Screen"
	mostScreen    = 60
)

// openRoutes answer without a session: to sign in, and for guests,
// whose link is looked at there. Everything else under /api needs a session.
var openRoutes = []string{"GET /api/health", "HEAD /api/health", "GET /api/session", "HEAD /api/session", "POST /api/session", "GET /api/guest/", "HEAD /api/guest/", "POST /api/guest/"}

func opens(method, path string) bool {
	return slices.ContainsFunc(openRoutes, func(r string) bool {
		if strings.HasSuffix(r, "/") {
			return strings.HasPrefix(method+" "+path, r)
		}
		return method+" "+path == r
	})
}

// sessionKey is under which a request carries the screen that has signed in.
type sessionKey struct{}

// signedIn lets only screens that have signed in past it, and changes only with
// the token that their own page was given. The machine's own kitchen, which no
// other machine can reach, asks nobody.
func (k *Kitchen) signedIn(c fiber.Ctx) error {
	if site := c.Get("Sec-Fetch-Site"); site == "cross-site" || site == "same-site" {
		return problem{Title: texts.Say("refused"), Status: fiber.StatusForbidden, Detail: texts.Say("theRequestComesFromAnotherSite")}
	}
	if k.access == nil || opens(c.Method(), c.Path()) {
		return c.Next()
	}
	s, err := k.Store.SessionOf(c.Context(), c.Cookies(sessionCookie))
	if errors.Is(err, store.ErrNoEntry) {
		return problem{Title: texts.Say("notSignedIn"), Status: fiber.StatusUnauthorized, Detail: texts.Say("signInWithTheKitchensPassphrase")}
	}
	if err != nil {
		return err
	}
	if c.Method() != fiber.MethodGet && c.Method() != fiber.MethodHead && subtle.ConstantTimeCompare([]byte(c.Get(csrfHeader)), []byte(s.CSRF)) != 1 {
		return problem{Title: texts.Say("refused"), Status: fiber.StatusForbidden, Detail: texts.Say("theChangeDoesNotComeFrom")}
	}
	c.Locals(sessionKey{}, s)
	c.SetContext(store.WithScreen(c.Context(), s.Name))
	return c.Next()
}

// SessionView is what a screen is told of itself.
type SessionView struct {
	// Needed tells that screens sign in here, SignedIn that this one has.
	Needed   bool   `json:"needed"`
	SignedIn bool   `json:"signedIn"`
	ID       string `json:"id"`
	Name     string `json:"name"`
	// Token goes with every change.
	Token string `json:"token"`
}

// SignInRequest signs a screen in by the passphrase or by a code.
type SignInRequest struct {
	Passphrase string `json:"passphrase"`
	Code       string `json:"code"`
	Name       string `json:"name"`
}

func (k *Kitchen) showSession(c fiber.Ctx) error {
	v := SessionView{Needed: k.access != nil}
	if v.Needed {
		s, err := k.Store.SessionOf(c.Context(), c.Cookies(sessionCookie))
		if err != nil && !errors.Is(err, store.ErrNoEntry) {
			return err
		}
		if err == nil {
			v.SignedIn, v.ID, v.Name, v.Token = true, s.ID, s.Name, s.CSRF
		}
	}
	return c.JSON(v)
}

// signIn makes a session for a screen that knows the passphrase, or has a code
// that a screen that is in has shown it.
func (k *Kitchen) signIn(c fiber.Ctx) error {
	var r SignInRequest
	if err := decode(c, &r); err != nil {
		return err
	}
	if k.access == nil {
		return unprocessable(texts.Say("nobodySignsInToAKitchen"), fieldError{"passphrase", texts.Say("isNotAskedFor")})
	}
	if r.Name = strings.TrimSpace(r.Name); r.Name == "" || len(r.Name) > mostScreen {
		return unprocessable(texts.Say("aScreenNeedsAName"), fieldError{"name", texts.Say("isEmptyOrLongerThanLetters", mostScreen)})
	}
	if err := k.access.let(r); err != nil {
		return err
	}
	name, err := k.freeName(c, r.Name)
	if err != nil {
		return err
	}
	s, token, err := k.Store.SignIn(c.Context(), name)
	if err != nil {
		return err
	}
	c.Cookie(&fiber.Cookie{Name: sessionCookie, Value: token, Path: "/", Secure: true, HTTPOnly: true, SameSite: fiber.CookieSameSiteStrictMode, MaxAge: int(store.SessionFor.Seconds())})
	k.hearth.broadcast("kept", map[string]any{"kind": "screens", "key": s.ID})
	return c.Status(fiber.StatusCreated).JSON(SessionView{Needed: true, SignedIn: true, ID: s.ID, Name: s.Name, Token: s.CSRF})
}

// freeName is a screen's name, numbered where another has it already.
func (k *Kitchen) freeName(c fiber.Ctx, name string) (string, error) {
	screens, err := k.Store.Sessions(c.Context())
	if err != nil {
		return "", err
	}
	free := name
	for n := 2; slices.ContainsFunc(screens, func(s store.Session) bool { return s.Name == free }); n++ {
		free = fmt.Sprintf("%s %d", name, n)
	}
	return free, nil
}

// screenName is what the screen of a request is called: as it signed in, or where
// nobody signs in as it calls itself.
func screenName(c fiber.Ctx, itself string) string {
	if s, ok := c.Locals(sessionKey{}).(store.Session); ok {
		return s.Name
	}
	return itself
}

// let tells whether a screen may sign in.
func (a *Access) let(r SignInRequest) error {
	if r.Code != "" {
		if !a.codes.take(r.Code, time.Now()) {
			return problem{Title: texts.Say("notSignedIn"), Status: fiber.StatusUnauthorized, Detail: texts.Say("thisCodeWasUsedOrIts")}
		}
		return nil
	}
	// One after the other: what a try costs in memory is never taken twice.
	a.checking.Lock()
	defer a.checking.Unlock()
	now := time.Now()
	if wait := a.tries.Wait(now); wait > 0 {
		return problem{Title: texts.Say("wait"), Status: fiber.StatusTooManyRequests, Detail: texts.Say("afterWrongTriesTheKitchenWaits", int(wait.Seconds())+1)}
	}
	hash, err := a.Passphrase()
	if err != nil {
		return err
	}
	if !gate.Matches(hash, r.Passphrase) {
		a.tries.Wrong(now)
		return problem{Title: texts.Say("notSignedIn"), Status: fiber.StatusUnauthorized, Detail: texts.Say("thatIsNotThePassphraseOf")}
	}
	a.tries.Right()
	return nil
}

// signOut ends this screen's own session, another's, or all.
func (k *Kitchen) signOut(c fiber.Ctx) error {
	id := c.Params("id")
	own, _ := c.Locals(sessionKey{}).(store.Session)
	switch id {
	case "":
		id = own.ID
	case "all":
		id = ""
	}
	if k.access == nil {
		return problem{Title: texts.Say("notFound"), Status: fiber.StatusNotFound, Detail: texts.Say("nobodyIsSignedInToA")}
	}
	if err := k.Store.SignOut(c.Context(), id); err != nil {
		return err
	}
	if id == "" || id == own.ID {
		c.Cookie(&fiber.Cookie{Name: sessionCookie, Path: "/", Secure: true, HTTPOnly: true, SameSite: fiber.CookieSameSiteStrictMode, MaxAge: -1, Expires: time.Unix(1, 0)})
		c.Set("Clear-Site-Data", `"cache", "storage"`)
	}
	k.hearth.broadcast("kept", map[string]any{"kind": "screens", "key": id})
	k.hearth.signedOut(id)
	return c.SendStatus(fiber.StatusNoContent)
}

// named tells whether the kitchen answers to a host, with or without a port.
func (k *Kitchen) named(host string) bool {
	if ownName(host) {
		return true
	}
	if k.access == nil {
		return false
	}
	name := host
	if h, port, err := net.SplitHostPort(host); err == nil {
		if strings.Trim(port, "0123456789") != "" {
			return false
		}
		name = h
	}
	return slices.ContainsFunc(k.access.Names, func(n string) bool { return strings.EqualFold(n, strings.Trim(name, "[]")) })
}
