package server_test

import (
	"bytes"
	"cmp"
	"context"
	"encoding/json"
	"fmt"
	"io"
	"net"
	"net/http"
	"net/http/httptest"
	"slices"
	"strings"
	"testing"
	"testing/fstest"
	"time"

	"github.com/gofiber/fiber/v3"
	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/spent"
	"yembra/core/swap"
	"yembra/server"
	"yembra/store"
)

const skink = "Cullen skink\nServes 4\n\n500 g smoked haddock\n600 ml whole milk\n50 g butter\n1 onion\n\nMethod\n1. Sweat the onion in the butter for 10 minutes.\n2. Poach the haddock in the milk for 5 minutes until it flakes."

type app struct {
	t *testing.T
	*fiber.App
	kitchen *server.Kitchen
}

func open(t *testing.T) app {
	t.Helper()
	l, err := server.Shipped()
	require.NoError(t, err)
	k := server.NewKitchen(l)
	k.Version = "test"
	k.Store, err = store.Open(context.Background(), t.TempDir(), time.Now)
	require.NoError(t, err)
	t.Cleanup(func() { require.NoError(t, k.Store.Close()) })
	pages := fstest.MapFS{"index.html": {Data: []byte(`<meta content="__NONCE__">`)}, "assets/a.js": {Data: []byte("let a")}}
	return app{t, server.New(k, server.Pages{Files: pages}), k}
}

func (a app) ask(method, path string, body any, headers ...string) (int, http.Header, []byte) {
	a.t.Helper()
	var r io.Reader
	switch b := body.(type) {
	case nil:
	case string:
		r = strings.NewReader(b)
	default:
		data, err := json.Marshal(b)
		require.NoError(a.t, err)
		r = bytes.NewReader(data)
	}
	shared := path == "/api/kitchen" || strings.HasPrefix(path, "/api/larder/foods/")
	if match := slices.Contains(headers, "If-Match"); shared && !match && (method == "PUT" || method == "DELETE") {
		_, head, _ := a.ask("GET", path, nil)
		headers = append(headers, "If-Match", cmp.Or(head.Get("ETag"), "0"))
	}
	req := httptest.NewRequest(method, path, r)
	req.Host = "127.0.0.1:8765"
	req.Header.Set("Content-Type", "application/json")
	for i := 0; i+1 < len(headers); i += 2 {
		req.Header.Set(headers[i], headers[i+1])
		if headers[i] == "Host" {
			req.Host = headers[i+1]
		}
	}
	res, err := a.Test(req, fiber.TestConfig{Timeout: 0})
	require.NoError(a.t, err)
	defer res.Body.Close()
	data, err := io.ReadAll(res.Body)
	require.NoError(a.t, err)
	return res.StatusCode, res.Header, data
}

func into[T any](t *testing.T, data []byte) T {
	t.Helper()
	var v T
	require.NoError(t, json.Unmarshal(data, &v), string(data))
	return v
}

func TestHealth(t *testing.T) {
	status, _, body := open(t).ask("GET", "/api/health", nil)
	require.Equal(t, 200, status)
	require.JSONEq(t, `{"status":"ok","version":"test","knowledge":""}`, string(body))
}

func TestBadRequestsAreProblems(t *testing.T) {
	a := open(t)
	for _, c := range []struct {
		name, path, body string
		status           int
		field            string
	}{
		{"wrong JSON", "/api/read", `{"text": `, 400, ""},
		{"something after", "/api/read", `{"text": "x"} {}`, 400, ""},
		{"unknown field", "/api/read", `{"text": "x", "colour": 1}`, 400, "colour"},
		{"no text", "/api/read", `{}`, 400, "text"},
		{"wrong type", "/api/read", `{"text": 7}`, 400, "text"},
		{"unknown measures", "/api/read", `{"text": "x", "measures": "cubits"}`, 400, "measures"},
		{"unknown format", "/api/read", `{"text": "x", "format": "pdf"}`, 400, "format"},
		{"no amount", "/api/convert", `{"food": "onion", "to": "g"}`, 400, "amount"},
		{"unknown unit", "/api/convert", `{"food": "onion", "amount": {"low": 1, "high": 1, "unit": "firkin"}, "to": "g"}`, 400, "amount.unit"},
		{"no density", "/api/convert", `{"food": "dragon", "amount": {"low": 1, "high": 1, "unit": "cup"}, "to": "g"}`, 422, "food"},
		{"no original", "/api/adapt", `{"aim": "closest"}`, 400, "original"},
		{"unknown aim", "/api/adapt", `{"original": {"name": "", "serves": null, "components": [], "notices": []}, "aim": "tastiest"}`, 422, "aim"},
		{"unknown pin", "/api/adapt", `{"original": {"name": "", "serves": null, "components": [], "notices": []}, "pins": ["luck"]}`, 422, "pins[0]"},
		{"unknown preset", "/api/adapt", `{"original": {"name": "", "serves": null, "components": [], "notices": []}, "houseRules": {"preset": "raw"}}`, 422, "houseRules.preset"},
		{"unknown food", "/api/adapt", `{"original": {"components": [{"lines": [{"food": "dragon"}]}]}}`, 422, "original.components[0].lines[0].food"},
		{"step off the list", "/api/adapt", `{"original": {"components": [{"lines": [], "steps": [{"lines": [3]}]}]}}`, 422, "original.components[0].steps[0].lines"},
		{"step right behind the list", "/api/adapt", `{"original": {"components": [{"lines": [{"text": "1 egg"}], "steps": [{"lines": [1]}]}]}}`, 422, "original.components[0].steps[0].lines"},
		{"empty dish", "/api/dishes", `{"text": "  "}`, 422, "text"},
		{"a novel", "/api/dishes", `{"text": "` + strings.Repeat("It rained, and nobody cooked. ", 50) + `"}`, 422, "text"},
	} {
		t.Run(c.name, func(t *testing.T) {
			status, header, body := a.ask("POST", c.path, c.body)
			require.Equal(t, c.status, status, string(body))
			require.Equal(t, "application/problem+json", header.Get("Content-Type"))
			p := into[struct {
				Type, Title, Detail string
				Status              int
				Errors              []struct{ Field, Detail string }
			}](t, body)
			require.Equal(t, c.status, p.Status)
			require.NotEmpty(t, p.Title)
			require.NotEmpty(t, p.Detail)
			if c.field != "" {
				require.Equal(t, c.field, p.Errors[0].Field)
			}
		})
	}
}

func TestTextWithoutARecipeIsReadWithNotices(t *testing.T) {
	status, _, body := open(t).ask("POST", "/api/read", `{"text": "Nothing to eat here."}`)
	require.Equal(t, 200, status)
	require.Equal(t, recipe.NoRecipe, into[recipe.Dish](t, body).Notices[0].Kind)
}

func TestConvert(t *testing.T) {
	status, _, body := open(t).ask("POST", "/api/convert", `{"food": "plain-flour", "form": "raw", "amount": {"low": 2, "high": 3, "unit": "cup"}, "to": "g", "measures": "us"}`)
	require.Equal(t, 200, status)
	got := into[server.ConvertAnswer](t, body)
	require.Equal(t, "250-375 g", got.Shown)
	require.NotEmpty(t, got.Source)
	require.False(t, got.Estimate)
}

func TestReadThenAdapt(t *testing.T) {
	a := open(t)
	_, _, read := a.ask("POST", "/api/read", map[string]string{"text": skink, "measures": "metric"})
	so := spent.Start()
	status, _, body := a.ask("POST", "/api/adapt", fmt.Sprintf(`{"original": %s, "houseRules": {"preset": "whole-food", "off": ["soy"], "saltPerServing": 2.0}, "pins": ["smoke"], "aim": "closest"}`, read))
	require.Equal(t, 200, status, string(body))
	require.Less(t, so(), 2*time.Second)
	got := into[swap.Adaptation](t, body)
	require.Len(t, got.Swaps, 3)
	require.Empty(t, got.Unresolved)
	require.Equal(t, "components[0].lines[0]", got.Swaps[0].Replaces)
	for _, x := range got.Swaps[0].Lines {
		require.Equal(t, swap.Swapped, got.Components[0].Lines[x].Change)
		require.Equal(t, "components[0].lines[0]", *got.Components[0].Lines[x].From)
	}
	require.NotContains(t, string(body), "null,\"traits\"", "lists are never null")
	smoke := false
	for _, tr := range got.Traits {
		smoke = smoke || tr.Trait == "smoke" && tr.Pinned && len(tr.From) > 0
	}
	require.True(t, smoke)
}

func TestADishIsMadeChangedAndUndone(t *testing.T) {
	a := open(t)
	status, header, body := a.ask("POST", "/api/dishes", map[string]string{"text": skink, "measures": "metric", "place": "Scotland"})
	require.Equal(t, 201, status, string(body))
	made := into[server.DishView](t, body)
	require.Len(t, made.Slots, 3)
	require.Len(t, made.Adaptation.Unresolved, 3, "nothing is chosen yet")
	path := "/api/dishes/" + made.ID

	status, _, body = a.ask("GET", path+"/candidates?line=components%5B0%5D.lines%5B0%5D", nil)
	require.Equal(t, 200, status)
	list := into[server.CandidatesView](t, body)
	require.NotEmpty(t, list.Candidates)

	status, _, _ = a.ask("PUT", path, `{"what": "x"}`)
	require.Equal(t, 428, status, "a change must say what it changes")

	dec := made.Document.Decisions
	dec.Swaps = map[string]string{"components[0].lines[0]": list.Candidates[0].Swap.ID}
	change := server.SaveRequest{What: "used a swap", Decisions: &dec}
	status, header, body = a.ask("PUT", path, change, "If-Match", header.Get("ETag"))
	require.Equal(t, 200, status, string(body))
	require.Len(t, into[server.DishView](t, body).Adaptation.Swaps, 1)

	status, _, body = a.ask("PUT", path, change, "If-Match", `"1"`)
	require.Equal(t, 412, status)
	late := into[struct{ Current server.DishView }](t, body)
	require.Equal(t, "used a swap", late.Current.What, "the newer one is shown")

	status, _, body = a.ask("POST", path+"/undo", nil, "If-Match", header.Get("ETag"))
	require.Equal(t, 200, status)
	require.Empty(t, into[server.DishView](t, body).Adaptation.Swaps)

	_, _, body = a.ask("GET", "/api/dishes?q=haddo", nil)
	require.Len(t, into[server.ShelfView](t, body).Dishes, 1)
	status, _, body = a.ask("POST", path+"/proposals", nil)
	require.Equal(t, 200, status)
	require.Len(t, into[[]server.Proposal](t, body), 4)
	status, _, _ = a.ask("GET", "/api/dishes/nobody", nil)
	require.Equal(t, 404, status)
}

func TestALineIsMendedByNamingItsFood(t *testing.T) {
	a := open(t)
	_, _, body := a.ask("POST", "/api/lines", `{"text": "200 g dragon scales"}`)
	require.Nil(t, into[recipe.Line](t, body).Food)
	_, _, body = a.ask("POST", "/api/lines", `{"text": "200 g dragon scales", "food": "smoked-haddock"}`)
	line := into[recipe.Line](t, body)
	require.Equal(t, "smoked-haddock", line.FoodID())
	require.Equal(t, larder.FromAnimal, line.Origin)
	require.Equal(t, 200.0, line.Mass())
}

func TestBodiesOverTheLimitAreRefused(t *testing.T) {
	l, err := server.Shipped()
	require.NoError(t, err)
	srv := server.New(server.NewKitchen(l), server.Pages{Files: fstest.MapFS{}})
	listening := make(chan string, 1)
	go func() {
		_ = srv.Listen("127.0.0.1:0", fiber.ListenConfig{DisableStartupMessage: true, ListenerAddrFunc: func(addr net.Addr) { listening <- addr.String() }})
	}()
	addr := <-listening
	defer func() { require.NoError(t, srv.Shutdown()) }()
	res, err := http.Post("http://"+addr+"/api/read", "application/json", strings.NewReader(`{"text": "`+strings.Repeat("x", 3<<20)+`"}`))
	require.NoError(t, err)
	defer res.Body.Close()
	require.Equal(t, 413, res.StatusCode)
	body, err := io.ReadAll(res.Body)
	require.NoError(t, err)
	require.Contains(t, string(body), "2 MiB")
}

func TestForeignSitesAreRefused(t *testing.T) {
	a := open(t)
	status, _, _ := a.ask("POST", "/api/read", `{"text":"x"}`, "Origin", "https://elsewhere.test")
	require.Equal(t, 403, status)
	status, _, _ = a.ask("GET", "/api/dishes", nil, "Host", "rebound.test")
	require.Equal(t, 403, status)
	status, _, _ = a.ask("POST", "/api/read", `{"text":"x"}`, "Origin", "http://127.0.0.1:8765")
	require.Equal(t, 200, status)
}

func TestPagesCarryAStrictPolicy(t *testing.T) {
	a := open(t)
	for _, path := range []string{"/", "/dishes/x/swaps"} {
		status, header, body := a.ask("GET", path, nil)
		require.Equal(t, 200, status)
		policy := header.Get("Content-Security-Policy")
		require.Contains(t, policy, "default-src 'none'")
		require.NotContains(t, policy, "unsafe")
		nonce := policy[strings.Index(policy, "nonce-")+6 : strings.Index(policy, "'; font")]
		require.Contains(t, string(body), nonce)
	}
	status, header, _ := a.ask("GET", "/assets/a.js", nil)
	require.Equal(t, 200, status)
	require.Contains(t, header.Get("Cache-Control"), "immutable")
	for _, path := range []string{"/assets/gone.js", "/assets/../index.html", "/api/nowhere"} {
		status, _, _ = a.ask("GET", path, nil)
		require.NotEqual(t, 500, status)
	}
	status, _, _ = a.ask("GET", "/assets/gone.js", nil)
	require.Equal(t, 404, status)
	status, _, _ = a.ask("GET", "/api/nowhere", nil)
	require.Equal(t, 404, status)
}

func TestOriginalsAreGivenOutAndReadInAgain(t *testing.T) {
	a := open(t)
	text, err := json.Marshal(server.CreateRequest{Text: skink})
	require.NoError(t, err)
	_, _, data := a.ask("POST", "/api/dishes", string(text))
	d := into[server.DishView](t, data)
	first, err := json.Marshal(map[string]string{"text": skink, "measures": "metric"})
	require.NoError(t, err)
	_, _, data = a.ask("POST", "/api/read", string(first))
	original := into[recipe.Dish](t, data)
	for format, kind := range map[string]string{"markdown": "text/markdown", "jsonld": "application/ld+json", "csv": "text/csv"} {
		status, head, body := a.ask("GET", "/api/dishes/"+d.ID+"/original/"+format, nil)
		require.Equal(t, 200, status)
		require.Contains(t, head.Get("Content-Type"), kind)
		require.Contains(t, head.Get("Content-Disposition"), "cullen-skink")
		again, err := json.Marshal(map[string]string{"text": string(body), "measures": "metric"})
		require.NoError(t, err)
		_, _, data := a.ask("POST", "/api/read", string(again))
		read := into[recipe.Dish](t, data)
		require.Equal(t, original.Components[0].Steps, read.Components[0].Steps, format)
		require.Len(t, read.Components[0].Lines, 4, format)
	}
	status, _, _ := a.ask("GET", "/api/dishes/"+d.ID+"/original/pdf", nil)
	require.Equal(t, 404, status)
}

func TestOneStepIsReadAgainstItsLines(t *testing.T) {
	a := open(t)
	status, _, data := a.ask("POST", "/api/steps", `{"text":"Fry the onion for 5 minutes.","lines":[{"text":"1 onion","food":"onion","name":"onion","origin":"plant"}]}`)
	require.Equal(t, 200, status, string(data))
	require.Equal(t, []int{0}, into[recipe.Step](t, data).Lines)
	status, _, _ = a.ask("POST", "/api/steps", `{"text":" "}`)
	require.Equal(t, 422, status)
}
