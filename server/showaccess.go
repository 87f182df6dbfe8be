package server

import (
	"crypto/rand"
	"encoding/base64"
	"fmt"
	"sync"
	"time"

	"github.com/gofiber/fiber/v3"

	"yembra/server/gate"
	"yembra/server/texts"
	"yembra/store"
)

// AccessView is who can reach the kitchen, as its page shows it.
type AccessView struct {
	Open        bool            `json:"open"`
	Addresses   []string        `json:"addresses"`
	Fingerprint string          `json:"fingerprint"`
	Screens     []store.Session `json:"screens"`
	Links       []store.Link    `json:"links"`
	// Own is the session of the screen that asks.
	Own string `json:"own"`
}

func (k *Kitchen) showAccess(c fiber.Ctx) error {
	v := AccessView{Addresses: []string{k.base(c)}, Screens: []store.Session{}}
	var err error
	if k.access != nil {
		v.Open, v.Addresses, v.Fingerprint = true, k.access.Addresses, k.access.Fingerprint()
		if v.Screens, err = k.Store.Sessions(c.Context()); err != nil {
			return err
		}
		own, _ := c.Locals(sessionKey{}).(store.Session)
		v.Own = own.ID
	}
	if v.Links, err = k.Store.Links(c.Context()); err != nil {
		return err
	}
	return c.JSON(v)
}

// base is the address under which other screens find the kitchen.
func (k *Kitchen) base(c fiber.Ctx) string {
	if k.access != nil && len(k.access.Addresses) > 0 {
		return k.access.Addresses[0]
	}
	return "http://" + c.Host()
}

// ShownCode is an address with the picture to scan it by.
type ShownCode struct {
	URL   string `json:"url"`
	Until int64  `json:"until"`
	// Rows are those of the code to scan: 1 for dark.
	Rows []string    `json:"rows"`
	Link *store.Link `json:"link" jsonschema:"nullable"`
}

// codeFor is how long a code to sign in by is good.
const codeFor = 3 * time.Minute

// showCode draws a code by which another screen signs in once.
func (k *Kitchen) showCode(c fiber.Ctx) error {
	if k.access == nil {
		return unprocessable(texts.Say("thisKitchenCanOnlyBeReached"), fieldError{"code", texts.Say("hasNothingToOpen")})
	}
	now := time.Now()
	code, err := k.access.codes.draw(now)
	if err != nil {
		return err
	}
	return answerCode(c, k.base(c)+"/enter#"+code, now.Add(codeFor), nil)
}

func answerCode(c fiber.Ctx, url string, until time.Time, link *store.Link) error {
	rows, err := gate.Picture(url)
	if err != nil {
		return err
	}
	return c.Status(fiber.StatusCreated).JSON(ShownCode{url, until.UnixMilli(), rows, link})
}

// codes are those by which a screen signs in once, by when they end.
type codes struct {
	sync.Mutex
	good map[string]time.Time
}

func (x *codes) draw(now time.Time) (string, error) {
	raw := make([]byte, 16)
	if _, err := rand.Read(raw); err != nil {
		return "", fmt.Errorf("draw a code: %w", err)
	}
	code := base64.RawURLEncoding.EncodeToString(raw)
	x.Lock()
	defer x.Unlock()
	if x.good == nil {
		x.good = map[string]time.Time{}
	}
	for c, until := range x.good {
		if !now.Before(until) {
			delete(x.good, c)
		}
	}
	x.good[code] = now.Add(codeFor)
	return code, nil
}

// take uses a code up.
func (x *codes) take(code string, now time.Time) bool {
	x.Lock()
	defer x.Unlock()
	until, known := x.good[code]
	delete(x.good, code)
	return known && now.Before(until)
}
