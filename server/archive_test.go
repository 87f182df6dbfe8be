package server_test

import (
	"bytes"
	"encoding/json"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"yembra/formats"
	"yembra/server"
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
	var list []dishAnswer
	require.NoError(a.t, json.Unmarshal(data, &list))
	return list
}

func TestAKitchenGoesOutAndInWithoutLoss(t *testing.T) {
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
	_, _, before := a.ask("GET", "/api/dishes/"+made.ID, nil)

	status, head, archive := a.ask("GET", "/api/archive", nil)
	require.Equal(t, 200, status)
	require.Equal(t, "application/zip", head.Get("Content-Type"))

	b := open(t)
	status, _, data = b.ask("POST", "/api/archive", string(archive))
	require.Equal(t, 200, status, string(data))
	require.JSONEq(t, `{"added": 1, "same": 0, "longer": 0, "copied": 0, "entries": 2}`, string(data))
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

	// Out again, the archive is the same but for the time it was made.
	_, _, again := b.ask("GET", "/api/archive", nil)
	_, one, err := formats.ReadArchive(archive)
	require.NoError(t, err)
	_, two, err := formats.ReadArchive(again)
	require.NoError(t, err)
	require.Equal(t, one, two)

	// A second time nothing changes; a dish that went another way is copied.
	_, _, data = b.ask("POST", "/api/archive", string(archive))
	require.JSONEq(t, `{"added": 0, "same": 1, "longer": 0, "copied": 0, "entries": 0}`, string(data))
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
	const id = "01890a5d-ac96-774b-bcce-b302099a8057"
	dish := func(body string) []formats.ArchiveFile {
		return []formats.ArchiveFile{{Name: "dishes/" + id + "/dish.json", Data: []byte(`{"id": "` + id + `", "created": "2026-01-01T00:00:00Z", "changed": "2026-01-01T00:00:00Z", "edit": 1, "revision": 1,
			"revisions": [{"number": 1, "parent": null, "made": "2026-01-01T00:00:00Z", "what": "", "body": ` + body + `}]}`)}}
	}
	cases := map[string]struct {
		files []formats.ArchiveFile
		words string
	}{
		"a stranger's file":  {[]formats.ArchiveFile{{Name: "run.sh", Data: []byte("x")}}, "not a file of a kitchen"},
		"wrong type":         {[]formats.ArchiveFile{{Name: "entries.json", Data: []byte(`{"a": 1}`)}}, "entries.json"},
		"unknown kind":       {[]formats.ArchiveFile{{Name: "entries.json", Data: []byte(`[{"kind": "spell", "key": "x", "made": "2026-01-01T00:00:00Z", "body": {}}]`)}}, "spell"},
		"settings":           {[]formats.ArchiveFile{{Name: "entries.json", Data: []byte(`[{"kind": "kitchen", "key": "settings", "made": "2026-01-01T00:00:00Z", "body": {"measures": "cubits"}}]`)}}, "measures"},
		"a dish of numbers":  {dish(`7`), "does not hold a dish"},
		"an unknown food":    {dish(`{"name": "x", "place": "", "country": "", "source": "", "original": {"name": "", "components": [{"name": "", "lines": [{"food": "unobtainium", "origin": "plant"}], "steps": []}]}, "decisions": {}}`), "food"},
		"another dish's id":  {[]formats.ArchiveFile{{Name: "dishes/" + id + "/dish.json", Data: []byte(`{"id": "x"}`)}}, "another dish"},
		"no revision at all": {[]formats.ArchiveFile{{Name: "dishes/" + id + "/dish.json", Data: []byte(`{"id": "` + id + `", "created": "2026-01-01T00:00:00Z", "changed": "2026-01-01T00:00:00Z", "edit": 1, "revision": 1, "revisions": []}`)}}, "revision"},
	}
	for name, c := range cases {
		a := open(t)
		var out bytes.Buffer
		require.NoError(t, formats.WriteArchive(&out, formats.Manifest{Made: time.Now()}, append(c.files, formats.ArchiveFile{Name: "dishes/" + id + "/original.jsonld", Data: []byte("{}")})))
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
		`{"measures": "metric", "houseRules": {"preset": "whole-food"}, "kit": {"cooks": -1}}`:                                          "kitchen.cooks",
		`{"measures": "metric", "houseRules": {"preset": "whole-food"}, "kit": {"cooks": 1, "awake": {"from": "late", "to": "later"}}}`: "kitchen.awake.from",
	} {
		status, _, data := a.ask("PUT", "/api/kitchen", body)
		require.Equal(t, 422, status, string(data))
		require.Contains(t, string(data), field)
	}
}
