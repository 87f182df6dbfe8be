package server_test

import (
	"context"
	"net"
	"net/http"
	"os"
	"strings"
	"sync"
	"testing"
	"testing/fstest"
	"time"

	"github.com/gofiber/fiber/v3"
	"github.com/stretchr/testify/require"

	"yembra/server"
	"yembra/server/gate"
	"yembra/store"
)

const phrase = "tide and thyme"

// guarded opens a kitchen that other machines can reach.
func guarded(t *testing.T) app {
	t.Helper()
	l, err := server.Shipped()
	require.NoError(t, err)
	k := server.NewKitchen(l)
	k.Store, err = store.Open(context.Background(), t.TempDir(), time.Now)
	require.NoError(t, err)
	t.Cleanup(func() { require.NoError(t, k.Store.Close()) })
	hash, err := gate.Hash(phrase)
	require.NoError(t, err)
	k.Guard(&server.Access{Passphrase: func() (string, error) { return hash, nil }, Names: []string{"kitchen.local"}, Addresses: []string{"https://kitchen.local:8765"}, Fingerprint: func() string { return "AA:BB" }})
	return app{t, server.New(k, server.Pages{Files: fstest.MapFS{"index.html": {Data: []byte("__NONCE__")}, "assets/a.js": {Data: []byte("let a")}}}), k}
}

// screen is a screen that has signed in: its cookie and token.
type screen struct{ id, cookie, token string }

func (s screen) headers() []string {
	return []string{"Cookie", s.cookie, "X-Yembra-Screen", s.token}
}

func (a app) enter(name string) screen {
	a.t.Helper()
	status, head, data := a.ask("POST", "/api/session", server.SignInRequest{Passphrase: phrase, Name: name})
	require.Equal(a.t, 201, status, string(data))
	return screenOf(a.t, head, data)
}

func screenOf(t *testing.T, head http.Header, data []byte) screen {
	t.Helper()
	cookie := head.Get("Set-Cookie")
	for _, flag := range []string{"HttpOnly", "secure", "SameSite=Strict", "path=/"} {
		require.Contains(t, cookie, flag)
	}
	v := into[server.SessionView](t, data)
	return screen{v.ID, strings.SplitN(cookie, ";", 2)[0], v.Token}
}

func TestASignedOutScreenHearsNoMore(t *testing.T) {
	a := guarded(t)
	l, err := net.Listen("tcp", "127.0.0.1:0")
	require.NoError(t, err)
	go func() { _ = a.App.Listener(l, fiber.ListenConfig{DisableStartupMessage: true}) }() // it ends with the listener
	t.Cleanup(func() { l.Close() })
	stays, goes := a.enter("tablet"), a.enter("phone")
	url := "http://" + l.Addr().String()
	here, gone := listen(t, url, stays.headers()...), listen(t, url, goes.headers()...)
	status, _, data := a.ask("DELETE", "/api/sessions/"+goes.id, nil, stays.headers()...)
	require.Equal(t, 204, status, string(data))
	ends := func(heard chan string) bool {
		for range 2 { // what it was told last may still come
			select {
			case _, open := <-heard:
				if !open {
					return true
				}
			case <-time.After(time.Second):
				return false
			}
		}
		return false
	}
	require.True(t, ends(gone), "signed out")
	require.False(t, ends(here), "still in")
}

// who may call a route: anyone, a guest with a link, or a screen that is in. A
// new route stands here or fails the test below.
var who = map[string]string{
	"DELETE /api/taught/:tasting/:letter/:trait": "screen", "POST /api/taught/:tasting/:letter/:trait": "screen", "GET /api/pictures/:id": "screen", "POST /api/pictures/:kind/:id": "screen", "DELETE /api/pictures/:id": "screen", "PUT /api/pictures/:id": "screen", "POST /api/dishes/:id/trials/:trial/return": "screen", "GET /api/dishes/:id/trials/:trial/card/:format": "screen", "POST /api/dishes/:id/variants": "screen", "POST /api/tastings/:id/next": "screen", "GET /api/shelf": "screen", "POST /api/shelf": "screen", "GET /api/dishes/:id/needs": "screen", "POST /api/dishes/:id/copy": "screen", "GET /api/dishes/:id/variants": "screen", "GET /api/shelf/cards": "screen", "POST /api/shelf/examples": "screen", "GET /api/dishes/:id/near": "screen", "GET /api/pictures/:kind/:id": "screen", "GET /api/todo": "screen", "POST /api/todo/:key": "screen", "PUT /api/todo/:key": "screen",
	"GET /api/health": "anyone", "GET /api/session": "anyone", "POST /api/session": "anyone",
	"GET /api/guest/:token": "guest", "POST /api/guest/:token/tick": "guest",
	"POST /api/read": "screen", "POST /api/lines": "screen", "POST /api/steps": "screen", "POST /api/convert": "screen", "POST /api/adapt": "screen", "POST /api/plan": "screen", "POST /api/analyse": "screen",
	"GET /api/larder/foods": "screen", "GET /api/larder/foods/:id": "screen", "PUT /api/larder/foods/:id": "screen", "DELETE /api/larder/foods/:id": "screen", "GET /api/larder/shelves": "screen",
	"GET /api/kitchen": "screen", "PUT /api/kitchen": "screen", "GET /api/prices": "screen", "GET /api/archive": "screen", "POST /api/archive": "screen",
	"GET /api/days": "screen", "POST /api/days": "screen", "GET /api/days/:id": "screen", "PUT /api/days/:id": "screen", "POST /api/days/:id/undo": "screen", "POST /api/days/:id/tick": "screen", "DELETE /api/days/:id": "screen",
	"GET /api/days/:id/calendar": "screen", "GET /api/days/:id/shopping": "screen",
	"GET /api/stream": "screen", "GET /api/stove": "screen", "POST /api/stove": "screen", "GET /api/stove/:id": "screen", "DELETE /api/stove/:id": "screen", "POST /api/stove/:id": "screen", "POST /api/stove/:id/events": "screen",
	"GET /api/stove/:id/different": "screen", "GET /api/stove/:id/summary": "screen", "POST /api/stove/:id/keep": "screen",
	"GET /api/learned": "screen", "DELETE /api/learned/:cook/:number": "screen", "POST /api/learned/:cook/:number": "screen",
	"GET /api/bench": "screen", "POST /api/bench": "screen", "POST /api/bench/scale": "screen", "POST /api/bench/probe": "screen",
	"DELETE /api/session": "screen", "POST /api/session/codes": "screen", "GET /api/access": "screen", "DELETE /api/sessions/:id": "screen", "POST /api/links": "screen", "DELETE /api/links/:id": "screen",
	"GET /api/dishes/:id/trials": "screen", "POST /api/dishes/:id/trials": "screen", "GET /api/dishes/:id/trials/between": "screen", "GET /api/dishes/:id/tastings": "screen", "POST /api/dishes/:id/tastings": "screen",
	"GET /api/tastings/:id": "screen", "GET /api/tastings/:id/csv": "screen", "GET /api/tastings/:id/next": "screen", "POST /api/tastings/:id/close": "screen", "POST /api/guest/:token/sheet": "guest",
	"GET /api/rules": "screen", "GET /api/dishes": "screen", "POST /api/dishes": "screen", "GET /api/dishes/:id": "screen", "PUT /api/dishes/:id": "screen", "GET /api/dishes/:id/past": "screen",
	"GET /api/dishes/:id/original/:format": "screen", "POST /api/dishes/:id/undo": "screen", "POST /api/dishes/:id/redo": "screen", "GET /api/dishes/:id/candidates": "screen",
	"POST /api/dishes/:id/proposals": "screen", "POST /api/dishes/:id/preview": "screen", "GET /api/dishes/:id/boosters": "screen", "GET /api/dishes/:id/balance": "screen",
	"GET /api/dishes/:id/card": "screen", "GET /api/dishes/:id/card/:format": "screen",
}

func TestNothingIsGivenToWhoIsNotIn(t *testing.T) {
	a := guarded(t)
	in := a.enter("tablet")
	status, _, data := a.ask("POST", "/api/dishes", map[string]string{"text": skink}, in.headers()...)
	require.Equal(t, 201, status, string(data))
	dish := into[server.DishView](t, data)
	status, _, data = a.ask("POST", "/api/links", server.LinkRequest{Kind: "card", About: dish.ID}, in.headers()...)
	require.Equal(t, 201, status, string(data))
	guest := into[server.ShownCode](t, data)
	token := guest.URL[strings.LastIndex(guest.URL, "/")+1:]

	gone := a.enter("old phone")
	status, _, _ = a.ask("DELETE", "/api/session", nil, gone.headers()...)
	require.Equal(t, 204, status)

	seen := 0
	for _, r := range a.App.GetRoutes(true) {
		if !strings.HasPrefix(r.Path, "/api/") || r.Path == "/api/*" || r.Method == "HEAD" || r.Method == "OPTIONS" || r.Method == "CONNECT" || r.Method == "TRACE" {
			continue
		}
		route := r.Method + " " + r.Path
		by, decided := who[route]
		require.True(t, decided, "decide who may call %s", route)
		seen++
		path := strings.NewReplacer(":id", dish.ID, ":token", "forged", ":format", "pdf", ":cook", dish.ID, ":number", "1", ":tasting", dish.ID, ":letter", "A", ":trait", "smoke", ":trial", dish.ID, ":kind", "dish", ":key", "none").Replace(r.Path)
		for name, headers := range map[string][]string{
			"no session":      nil,
			"guest's link":    {"Cookie", "__Host-yembra=" + token},
			"forged cookie":   {"Cookie", "__Host-yembra=AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA"},
			"old cookie":      gone.headers(),
			"foreign origin":  append([]string{"Origin", "https://evil.example"}, in.headers()...),
			"foreign site":    append([]string{"Sec-Fetch-Site", "cross-site"}, in.headers()...),
			"wrong host":      append([]string{"Host", "evil.example"}, in.headers()...),
			"no token":        {"Cookie", in.cookie},
			"another's token": {"Cookie", in.cookie, "X-Yembra-Screen", "x" + in.token},
		} {
			reads := r.Method == "GET"
			if reads && (name == "foreign origin" || name == "no token" || name == "another's token") {
				continue // reading needs none of these; what a foreign page reads it cannot see
			}
			if by != "screen" && name != "wrong host" && name != "foreign site" && (name != "foreign origin" || reads) {
				continue
			}
			status, _, data := a.ask(r.Method, path, nil, headers...)
			require.Contains(t, []int{401, 403}, status, "%s with %s: %d %s", route, name, status, data)
			require.NotContains(t, string(data), "haddock")
		}
	}
	require.Equal(t, len(who), seen, "a route of the table is gone")
	told, err := os.ReadFile("../docs/security.md")
	require.NoError(t, err)
	for route, by := range who {
		require.Contains(t, string(told), "| `"+route+"` | "+by+" |", "docs/security.md tells who may call each route")
	}

	// The guest's link opens its card, and is counted.
	status, _, data = a.ask("GET", "/api/guest/"+token, nil)
	require.Equal(t, 200, status)
	require.Equal(t, dish.Document.Name, into[server.GuestView](t, data).Card.Name)
	status, _, _ = a.ask("POST", "/api/guest/"+token+"/tick", server.TickRequest{Item: "x", On: true})
	require.Equal(t, 403, status, "a card is to read")
	_, _, data = a.ask("GET", "/api/access", nil, in.headers()...)
	access := into[server.AccessView](t, data)
	require.Equal(t, int64(1), access.Links[0].Used)
	require.Len(t, access.Screens, 1)
	status, _, _ = a.ask("DELETE", "/api/links/"+guest.Link.ID, nil, in.headers()...)
	require.Equal(t, 204, status)
	status, _, _ = a.ask("GET", "/api/guest/"+token, nil)
	require.Equal(t, 404, status, "taken back")
	status, _, _ = a.ask("GET", "/enter", nil)
	require.Equal(t, 200, status, "the page to sign in by holds nothing of the kitchen")
	status, _, _ = a.ask("GET", "/api/dishes", nil, append([]string{"Host", "kitchen.local:8765"}, in.headers()...)...)
	require.Equal(t, 200, status, "its own names are answered")
}

func TestScreensAreLetInAndSignedOut(t *testing.T) {
	a := guarded(t)
	tablet := a.enter("kitchen tablet")
	status, _, data := a.ask("POST", "/api/session", server.SignInRequest{Passphrase: phrase})
	require.Equal(t, 422, status, "a screen has a name: %s", data)
	_, _, data = a.ask("POST", "/api/session", server.SignInRequest{Passphrase: phrase, Name: "kitchen tablet"})
	require.Equal(t, "kitchen tablet 2", into[server.SessionView](t, data).Name, "names are told apart")
	status, _, data = a.ask("POST", "/api/session/codes", nil, tablet.headers()...)
	require.Equal(t, 201, status, string(data))
	code := into[server.ShownCode](t, data)
	require.True(t, strings.HasPrefix(code.URL, "https://kitchen.local:8765/enter#"))
	require.Greater(t, len(code.Rows), 20)
	once := code.URL[strings.Index(code.URL, "#")+1:]
	status, head, data := a.ask("POST", "/api/session", server.SignInRequest{Code: once, Name: "phone"})
	require.Equal(t, 201, status, string(data))
	phone := screenOf(t, head, data)
	status, _, _ = a.ask("POST", "/api/session", server.SignInRequest{Code: once, Name: "thief"})
	require.Equal(t, 401, status, "a code is good once")

	status, _, data = a.ask("POST", "/api/dishes", map[string]string{"text": skink}, phone.headers()...)
	require.Equal(t, 201, status, string(data))
	dish := into[server.DishView](t, data)
	require.Equal(t, "phone", dish.Screen)
	status, _, data = a.ask("PUT", "/api/dishes/"+dish.ID, `{"what": "renamed", "name": "Skink"}`, append([]string{"If-Match", `"1"`}, tablet.headers()...)...)
	require.Equal(t, 200, status, string(data))
	_, _, data = a.ask("GET", "/api/dishes/"+dish.ID+"/past", nil, tablet.headers()...)
	past := into[[]store.Past](t, data)
	require.Equal(t, []string{"kitchen tablet", "phone"}, []string{past[0].Screen, past[1].Screen})

	status, _, _ = a.ask("DELETE", "/api/sessions/"+phone.id, nil, tablet.headers()...)
	require.Equal(t, 204, status)
	status, _, _ = a.ask("GET", "/api/dishes", nil, phone.headers()...)
	require.Equal(t, 401, status, "signed out from elsewhere")
	other := a.enter("other")
	status, _, _ = a.ask("DELETE", "/api/sessions/all", nil, tablet.headers()...)
	require.Equal(t, 204, status)
	for _, s := range []screen{tablet, other} {
		status, _, _ = a.ask("GET", "/api/dishes", nil, s.headers()...)
		require.Equal(t, 401, status)
	}
}

func TestAThousandGuessesGetTwentyTries(t *testing.T) {
	a := guarded(t)
	var tried, held int
	var mu sync.Mutex
	var all sync.WaitGroup
	for range 20 {
		all.Go(func() {
			for range 50 {
				status, _, _ := a.ask("POST", "/api/session", server.SignInRequest{Passphrase: "wrong and wrong", Name: "thief"})
				mu.Lock()
				switch status {
				case 401:
					tried++
				case 429:
					held++
				}
				mu.Unlock()
			}
		})
	}
	all.Wait()
	require.Equal(t, 1000, tried+held)
	require.LessOrEqual(t, tried, gate.MostTries)
	status, _, data := a.ask("POST", "/api/session", server.SignInRequest{Passphrase: phrase, Name: "cook"})
	require.Equal(t, 429, status, "the right one waits too: %s", data)
	require.Contains(t, string(data), "scan a code")
}

func TestSessionsCostLittle(t *testing.T) {
	a := guarded(t)
	in := a.enter("tablet")
	measure := func(path string, headers []string) time.Duration {
		best := time.Hour
		for range 60 {
			start := time.Now()
			status, _, _ := a.ask("GET", path, nil, headers...)
			best = min(best, time.Since(start))
			require.Equal(t, 200, status)
		}
		return best
	}
	open, checked := measure("/api/health", nil), measure("/api/rules", in.headers())
	bare := measure("/api/session", nil)
	t.Logf("open %v, with a session %v, one that looks for none %v", open, checked, bare)
	require.Less(t, measure("/api/session", in.headers())-bare, time.Millisecond)
}

func TestTwoPeopleTickOneList(t *testing.T) {
	a := open(t)
	day, _ := a.supper()
	status, _, data := a.ask("POST", "/api/links", server.LinkRequest{Kind: "shopping", About: day.ID, Hours: 2})
	require.Equal(t, 201, status, string(data))
	url := into[server.ShownCode](t, data).URL
	token := url[strings.LastIndex(url, "/")+1:]
	var all sync.WaitGroup
	for i, path := range []string{"/api/days/" + day.ID + "/tick", "/api/guest/" + token + "/tick"} {
		all.Go(func() {
			for n := range 10 {
				status, _, data := a.ask("POST", path, server.TickRequest{Item: string(rune('a'+i)) + string(rune('0'+n)), On: true})
				require.Equal(t, 200, status, string(data))
			}
		})
	}
	all.Wait()
	_, _, data = a.ask("GET", "/api/guest/"+token, nil)
	require.Len(t, into[server.GuestView](t, data).Ticked, 20, "nothing ticked is lost")
	status, _, _ = a.ask("POST", "/api/days/"+day.ID+"/tick", server.TickRequest{Item: "a0"})
	require.Equal(t, 200, status)
	_, _, data = a.ask("GET", "/api/days/"+day.ID, nil)
	require.Len(t, into[server.DayView](t, data).Document.Ticked, 19)
	for _, bad := range []struct {
		path   string
		body   any
		status int
	}{
		{"/api/days/" + day.ID + "/tick", server.TickRequest{}, 422}, {"/api/days/none/tick", server.TickRequest{Item: "a"}, 404},
		{"/api/links", server.LinkRequest{Kind: "archive", About: day.ID}, 422}, {"/api/links", server.LinkRequest{Kind: "day", About: day.ID, Hours: 9999}, 422},
		{"/api/links", server.LinkRequest{Kind: "card", About: "none"}, 404}, {"/api/session", server.SignInRequest{Passphrase: phrase, Name: "x"}, 422}, {"/api/session/codes", nil, 422},
	} {
		status, _, data := a.ask("POST", bad.path, bad.body)
		require.Equal(t, bad.status, status, "%s %s", bad.path, data)
	}
	status, _, data = a.ask("POST", "/api/links", server.LinkRequest{Kind: "day", About: day.ID})
	require.Equal(t, 201, status)
	url = into[server.ShownCode](t, data).URL
	_, _, data = a.ask("GET", "/api/guest/"+url[strings.LastIndex(url, "/")+1:], nil)
	require.Len(t, into[server.GuestView](t, data).Tasks, len(day.Jobs))
}
