package server_test

import (
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"net/http"
	"strings"
	"sync"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"yembra/formats"
	"yembra/server"
	"yembra/store"
)

type dishAnswer struct {
	ID       string `json:"id"`
	Document struct {
		Name      string          `json:"name"`
		Decisions json.RawMessage `json:"decisions"`
	} `json:"document"`
}

func (a app) dishes() []dishAnswer {
	a.t.Helper()
	_, _, data := a.ask("GET", "/api/dishes", nil)
	var list struct{ Dishes []dishAnswer }
	require.NoError(a.t, json.Unmarshal(data, &list))
	return list.Dishes
}

type archiveFile struct {
	Name string
	Data []byte
}

func filesOf(t *testing.T, archive []byte) (files []archiveFile) {
	t.Helper()
	a, err := formats.OpenArchive(bytes.NewReader(archive), int64(len(archive)))
	require.NoError(t, err)
	for _, f := range a.Manifest.Files {
		data, err := a.Read(f)
		require.NoError(t, err)
		files = append(files, archiveFile{f.Name, data})
	}
	return files
}

func TestAKitchenGoesOutAndInWithoutLoss(t *testing.T) {
	t.Parallel()
	a := open(t)
	status, head, data := a.ask("POST", "/api/dishes", map[string]string{"text": skink, "place": "Scotland"})
	require.Equal(t, 201, status, string(data))
	var made struct{ ID string }
	require.NoError(t, json.Unmarshal(data, &made))
	status, _, data = a.ask("PUT", "/api/dishes/"+made.ID, `{"place": "Moray <Firth>", "what": "moved it"}`, "If-Match", head.Get("ETag"))
	require.Equal(t, 200, status, string(data))
	status, _, data = a.ask("PUT", "/api/larder/foods/onion", `{"note": "from the plot"}`)
	require.Equal(t, 200, status, string(data))
	status, _, data = a.ask("PUT", "/api/kitchen", `{"measures": "us", "diners": [], "houseRules": {"preset": "fasting-day", "off": []}, "prices": {"aisle:nuts": 17}}`)
	require.Equal(t, 200, status, string(data))
	shot := a.photograph("dish", made.ID)
	_, _, before := a.ask("GET", "/api/dishes/"+made.ID, nil)

	status, head, archive := a.ask("GET", "/api/archive", nil)
	require.Equal(t, 200, status)
	require.Equal(t, "application/zip", head.Get("Content-Type"))

	b := open(t)
	status, _, data = b.ask("POST", "/api/archive", string(archive))
	require.Equal(t, 200, status, string(data))
	require.JSONEq(t, `{"added": 1, "same": 0, "longer": 0, "copied": 0, "entries": 2, "pictures": 1}`, string(data))
	_, _, after := b.ask("GET", "/api/dishes/"+made.ID, nil)
	var x, y dishAnswer
	require.NoError(t, json.Unmarshal(before, &x))
	require.NoError(t, json.Unmarshal(after, &y))
	require.Equal(t, string(x.Document.Decisions), string(y.Document.Decisions))
	require.Equal(t, string(before), string(after))
	_, _, data = b.ask("GET", "/api/kitchen", nil)
	require.Contains(t, string(data), `"aisle:nuts":17`)
	_, _, data = b.ask("GET", "/api/larder/foods/onion", nil)
	require.Contains(t, string(data), `"corrected"`)

	_, _, points := a.ask("GET", "/api/pictures/"+shot, nil)
	status, _, same := b.ask("GET", "/api/pictures/"+shot, nil)
	require.Equal(t, 200, status)
	require.Equal(t, points, same)

	// Out again, the archive is the same but for the time it was made.
	_, _, again := b.ask("GET", "/api/archive", nil)
	require.Equal(t, filesOf(t, archive), filesOf(t, again))

	// A second time nothing changes; a dish that went another way is copied.
	_, _, data = b.ask("POST", "/api/archive", string(archive))
	require.JSONEq(t, `{"added": 0, "same": 1, "longer": 0, "copied": 0, "entries": 0, "pictures": 0}`, string(data))
	_, head, _ = b.ask("POST", "/api/dishes/"+made.ID+"/undo", nil, "If-Match", `"2"`)
	status, _, data = b.ask("PUT", "/api/dishes/"+made.ID, `{"name": "Another skink", "what": "named it"}`, "If-Match", head.Get("ETag"))
	require.Equal(t, 200, status, string(data))
	status, _, data = a.ask("PUT", "/api/dishes/"+made.ID, `{"name": "Third skink", "what": "named it"}`, "If-Match", `"2"`)
	require.Equal(t, 200, status, string(data))
	_, _, archive = a.ask("GET", "/api/archive", nil)
	_, _, data = b.ask("POST", "/api/archive", string(archive))
	require.Contains(t, string(data), `"copied":1`)
	require.Len(t, b.dishes(), 2)
}

func TestAnArchiveThatIsNotAKitchensIsRefusedWhole(t *testing.T) {
	t.Parallel()
	const id = "01890a5d-ac96-774b-bcce-b302099a8057"
	dish := func(body string) []archiveFile {
		return []archiveFile{{Name: "dishes/" + id + "/dish.json", Data: []byte(`{"id": "` + id + `", "created": "2026-01-01T00:00:00Z", "changed": "2026-01-01T00:00:00Z", "edit": 1, "revision": 1,
			"revisions": [{"number": 1, "parent": null, "made": "2026-01-01T00:00:00Z", "what": "", "body": ` + body + `}]}`)}}
	}
	cases := map[string]struct {
		files []archiveFile
		words string
	}{
		"a stranger's file":  {[]archiveFile{{Name: "run.sh", Data: []byte("x")}}, "not a file of a kitchen"},
		"wrong type":         {[]archiveFile{{Name: "entries.json", Data: []byte(`{"a": 1}`)}}, "entries.json"},
		"unknown kind":       {[]archiveFile{{Name: "entries.json", Data: []byte(`[{"kind": "spell", "key": "x", "made": "2026-01-01T00:00:00Z", "body": {}}]`)}}, "spell"},
		"settings":           {[]archiveFile{{Name: "entries.json", Data: []byte(`[{"kind": "kitchen", "key": "settings", "made": "2026-01-01T00:00:00Z", "body": {"measures": "cubits"}}]`)}}, "measures"},
		"a dish of numbers":  {dish(`7`), "does not hold a dish"},
		"an unknown food":    {dish(`{"name": "x", "place": "", "country": "", "source": "", "original": {"name": "", "components": [{"name": "", "lines": [{"food": "unobtainium", "origin": "plant"}], "steps": []}]}, "decisions": {}}`), "food"},
		"another dish's id":  {[]archiveFile{{Name: "dishes/" + id + "/dish.json", Data: []byte(`{"id": "x"}`)}}, "another dish"},
		"no revision at all": {[]archiveFile{{Name: "dishes/" + id + "/dish.json", Data: []byte(`{"id": "` + id + `", "created": "2026-01-01T00:00:00Z", "changed": "2026-01-01T00:00:00Z", "edit": 1, "revision": 1, "revisions": []}`)}}, "revision"},
	}
	for name, c := range cases {
		a := open(t)
		var out bytes.Buffer
		w := formats.NewArchive(&out, formats.Manifest{Made: time.Now()})
		for _, f := range append(c.files, archiveFile{"dishes/" + id + "/original.jsonld", []byte("{}")}) {
			require.NoError(t, w.Add(f.Name, f.Data))
		}
		require.NoError(t, w.Close())
		status, _, data := a.ask("POST", "/api/archive", out.String())
		require.Equal(t, 422, status, name+": "+string(data))
		require.Contains(t, string(data), c.words, name)
		require.Empty(t, a.dishes(), name)
	}
}

func TestThePriceListIsTheKitchensOwn(t *testing.T) {
	a := open(t)
	list := func() map[string]server.PriceView {
		_, _, data := a.ask("GET", "/api/prices", nil)
		var got []server.PriceView
		require.NoError(t, json.Unmarshal(data, &got))
		byKey := map[string]server.PriceView{}
		for _, p := range got {
			byKey[p.Key] = p
		}
		return byKey
	}
	require.False(t, list()["aisle:nuts"].Own)
	status, _, data := a.ask("PUT", "/api/kitchen", `{"measures": "metric", "houseRules": {"preset": "whole-food", "off": []}, "prices": {"aisle:nuts": 99, "walnut": 3}}`)
	require.Equal(t, 200, status, string(data))
	require.Contains(t, string(data), `"rings":4`, "the kit is as it was preset")
	nuts, walnut := list()["aisle:nuts"], list()["walnut"]
	require.True(t, nuts.Own)
	require.InDelta(t, 99, nuts.PerKg, 0)
	require.InDelta(t, 3, walnut.PerKg, 0)
	for body, field := range map[string]string{
		`{"measures": "metric", "houseRules": {"preset": "whole-food"}, "prices": {"unobtainium": 1}}`:                                  "prices.unobtainium",
		`{"measures": "metric", "houseRules": {"preset": "whole-food"}, "prices": {"walnut": -1}}`:                                      "prices.walnut",
		`{"measures": "metric", "houseRules": {"preset": "whole-food"}, "prices": {"walnut": 100000.01}}`:                               "prices.walnut",
		`{"measures": "metric", "houseRules": {"preset": "whole-food"}, "kit": {"cooks": -1}}`:                                          "kitchen.cooks",
		`{"measures": "metric", "houseRules": {"preset": "whole-food"}, "kit": {"cooks": 1, "awake": {"from": "late", "to": "later"}}}`: "kitchen.awake.from",
	} {
		status, _, data := a.ask("PUT", "/api/kitchen", body)
		require.Equal(t, 422, status, string(data))
		require.Contains(t, string(data), field)
	}
	status, _, data = a.ask("PUT", "/api/kitchen", `{"measures": "metric", "houseRules": {"preset": "whole-food"}, "prices": {"walnut": 100000, "aisle:nuts": 0}}`)
	require.Equal(t, 200, status, string(data))
}

// A backup of a kitchen is one that its restore takes: with an own food that has
// a price, one that only an earlier state of a dish used, and a long page that
// was changed many times.
func TestABackupIsAlwaysTaken(t *testing.T) {
	t.Parallel()
	a := open(t)
	sure := func(status int, _ http.Header, body []byte) []byte {
		t.Helper()
		require.Less(t, status, 300, "%.300s", body)
		return body
	}
	sure(a.ask("PUT", "/api/larder/foods/sea-crumb", `{"name":"sea crumb","origin":"plant","density":0.3}`))
	sure(a.ask("PUT", "/api/larder/foods/dune-root", `{"name":"dune root","origin":"plant"}`))
	sure(a.ask("PUT", "/api/kitchen", `{"measures":"metric","houseRules":{"preset":"whole-food","off":[]},"prices":{"sea-crumb":4}}`))
	text := strings.Repeat("My aunt tells it otherwise, at length.\n\n", 4000) + "# Stew\n\nServes 2\n\n200 g dune root\n100 g onion\n\nMethod\n1. Cook it all for 20 minutes."
	d := into[server.DishView](t, sure(a.ask("POST", "/api/dishes", map[string]string{"text": text})))
	original := d.Document.Original
	original.Components[0].Lines = original.Components[0].Lines[1:]
	for i := range original.Components[0].Steps {
		original.Components[0].Steps[i].Lines = []int{}
	}
	d = into[server.DishView](t, sure(a.ask("PUT", "/api/dishes/"+d.ID, server.SaveRequest{Original: &original}, "If-Match", "1")))
	for n := range 70 {
		place := fmt.Sprint("place ", n)
		d = into[server.DishView](t, sure(a.ask("PUT", "/api/dishes/"+d.ID, server.SaveRequest{Place: &place}, "If-Match", fmt.Sprint(d.Edit))))
	}
	sure(a.ask("DELETE", "/api/larder/foods/dune-root", nil))
	archive := sure(a.ask("GET", "/api/archive", nil))
	for _, f := range filesOf(t, archive) {
		require.Less(t, len(f.Data), 1<<20, "%s: the text stands once", f.Name)
	}
	b := open(t)
	require.Contains(t, string(sure(b.ask("POST", "/api/archive", string(archive)))), `"added":1`)
	require.Contains(t, string(sure(b.ask("POST", "/api/archive", string(archive)))), `"same":1,"longer":0,"copied":0,"entries":0`)

	// What this program cannot carry out does not come in.
	for _, f := range filesOf(t, archive) {
		if !strings.HasSuffix(f.Name, "dish.json") {
			continue
		}
		for _, odd := range []string{`"preset":"witchcraft"`, `"saltPerServing":1e300`} {
			was := map[bool]string{true: `"preset":"whole-food"`, false: `"saltPerServing":0`}[strings.Contains(odd, "preset")]
			var out bytes.Buffer
			w := formats.NewArchive(&out, formats.Manifest{Made: time.Now()})
			require.NoError(t, w.Add(f.Name, bytes.ReplaceAll(f.Data, []byte(was), []byte(odd))))
			require.NoError(t, w.Close())
			c := open(t)
			status, _, body := c.ask("POST", "/api/archive", out.String())
			require.Equal(t, 422, status, "%.300s", body)
			require.Empty(t, c.dishes())
		}
	}
}

// A food that no longer fits the knowledge is left out and said; the kitchen
// opens all the same.
func TestAnOwnFoodThatNoLongerFitsIsLeftOut(t *testing.T) {
	l, err := server.Shipped()
	require.NoError(t, err)
	k := server.NewKitchen(l)
	k.Store, err = store.Open(context.Background(), t.TempDir(), time.Now)
	require.NoError(t, err)
	t.Cleanup(func() { require.NoError(t, k.Store.Close()) })
	ctx := context.Background()
	require.NoError(t, k.Store.SaveEntry(ctx, store.FoodEntry, "good-root", []byte(`{"id":"good-root","name":"good root","origin":"plant"}`)))
	require.NoError(t, k.Store.SaveEntry(ctx, store.FoodEntry, "odd-root", []byte(`{"id":"odd-root","name":"odd root","origin":"moon"}`)))
	require.NoError(t, k.Store.SaveEntry(ctx, store.FoodEntry, "cut-root", []byte(`{"id":"cut-root","na`)))
	require.NoError(t, k.Refresh(ctx))
	a := app{t, server.New(k, server.Pages{}), k}
	status, _, _ := a.ask("GET", "/api/larder/foods/good-root", nil)
	require.Equal(t, 200, status)
	_, _, body := a.ask("GET", "/api/kitchen", nil)
	settings := into[server.Settings](t, body)
	require.Len(t, settings.Unfit, 2)
	require.Contains(t, strings.Join(settings.Unfit, " "), "odd root")
}

// Foods and settings that two windows change at once: the later one is told, and
// what was kept counts in every answer.
func TestChangesOfTheKitchenComeOneAfterTheOther(t *testing.T) {
	t.Parallel()
	a := open(t)
	var all sync.WaitGroup
	for n := range 16 {
		all.Add(1)
		go func() {
			defer all.Done()
			id := fmt.Sprintf("root-%c", 'a'+n)
			status, _, body := a.ask("PUT", "/api/larder/foods/"+id, fmt.Sprintf(`{"name":"root %c","origin":"plant"}`, 'a'+n), "If-Match", "0")
			if status != 200 {
				t.Errorf("%s: %d %.200s", id, status, body)
			}
		}()
	}
	all.Wait()
	for n := range 16 {
		status, _, _ := a.ask("GET", fmt.Sprintf("/api/larder/foods/root-%c", 'a'+n), nil)
		require.Equal(t, 200, status)
	}
	status, _, _ := a.ask("PUT", "/api/larder/foods/root-a", `{"name":"root a","origin":"plant","note":"mine"}`, "If-Match", "0")
	require.Equal(t, 412, status, "it was there before")
	_, head, _ := a.ask("GET", "/api/kitchen", nil)
	for _, want := range []int{200, 412} {
		status, _, body := a.ask("PUT", "/api/kitchen", `{"measures":"us","houseRules":{"preset":"whole-food","off":[]}}`, "If-Match", head.Get("ETag"))
		require.Equal(t, want, status, "%.200s", body)
	}
	status, _, _ = a.ask("PUT", "/api/kitchen", `{"measures":"us","houseRules":{"preset":"whole-food","off":[]}}`, "If-Match", "")
	require.Equal(t, 428, status)
	for _, search := range []string{"%00", "a%00b", "%22", "%22%22*", "OR", "NEAR(", "-", "*", "a:b", strings.Repeat("x%20", 500)} {
		status, _, body := a.ask("GET", "/api/dishes?q="+search, nil)
		require.Equal(t, 200, status, "%s %.200s", search, body)
	}
}
