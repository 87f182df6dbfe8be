package server_test

import (
	"archive/zip"
	"bytes"
	"crypto/sha256"
	"encoding/hex"
	"encoding/json"
	"fmt"
	"io"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/swap"
	"yembra/formats"
	"yembra/server"
)

// A day that needs a dish which was taken away is shown, with all else that it plans.
func TestADayOutlivesADishThatWasTakenAway(t *testing.T) {
	a := open(t)
	one, two := a.newDish(skink), a.newDish(strings.ReplaceAll(skink, "Cullen skink", "Second skink"))
	status, head, data := a.ask("POST", "/api/days", server.CreateDayRequest{Name: "Supper", ServeAt: "2026-12-05T19:30:00+01:00", Dishes: []server.DayDish{{ID: one.ID, Servings: 4}, {ID: two.ID, Servings: 4}}})
	require.Equal(t, 201, status, string(data))
	require.NotEmpty(t, head.Get("ETag"))
	day := into[server.DayView](t, data)
	status, _, _ = a.ask("POST", "/api/shelf", server.ManyRequest{Do: "take", IDs: []string{one.ID}})
	require.Equal(t, 204, status)
	for _, path := range []string{"/api/days", "/api/days/" + day.ID, "/api/days/" + day.ID + "/shopping", "/api/days/" + day.ID + "/calendar"} {
		status, _, data = a.ask("GET", path, nil)
		require.Equal(t, 200, status, "%s: %s", path, data)
	}
	_, _, data = a.ask("GET", "/api/days/"+day.ID, nil)
	require.Contains(t, string(data), "Second skink")
}

// Opened again a dish is as it was; when what is known of a food changes it is worked
// out anew.
func TestADishThatIsOpenedAgainIsNeverOld(t *testing.T) {
	a := open(t)
	d := a.adapted(skink)
	_, _, first := a.ask("GET", "/api/dishes/"+d.ID, nil)
	_, _, again := a.ask("GET", "/api/dishes/"+d.ID, nil)
	require.Equal(t, string(first), string(again))
	food := ""
	for _, l := range d.Adaptation.Components[0].Lines {
		if l.Change == swap.Swapped {
			food = l.FoodID()
		}
	}
	status, _, data := a.ask("PUT", "/api/larder/foods/"+food, `{"per100": {"sodium": 2500}}`)
	require.Equal(t, 200, status, string(data))
	now, _ := steps(a.seen(d.ID, ""), "salt")
	was, _ := steps(into[server.DishView](t, first), "salt")
	require.Greater(t, now, was)
	for range 30 { // more than are kept
		a.newDish(skink)
	}
	later, _ := steps(a.seen(d.ID, ""), "salt")
	require.Equal(t, now, later)
}

// repacked is an archive in which a file is another, or gone where it is nil, with a
// manifest that agrees.
func repacked(t *testing.T, archive []byte, change func(name string, data []byte) []byte) string {
	t.Helper()
	r, err := zip.NewReader(bytes.NewReader(archive), int64(len(archive)))
	require.NoError(t, err)
	var out bytes.Buffer
	w := zip.NewWriter(&out)
	write := func(name string, data []byte) {
		f, err := w.Create(name)
		require.NoError(t, err)
		_, err = f.Write(data)
		require.NoError(t, err)
	}
	var m formats.Manifest
	files := []formats.ManifestFile{}
	for _, f := range r.File {
		part, err := f.Open()
		require.NoError(t, err)
		data, err := io.ReadAll(part)
		require.NoError(t, err)
		if f.Name == "manifest.json" {
			require.NoError(t, json.Unmarshal(data, &m))
			continue
		}
		if data = change(f.Name, data); data == nil {
			continue
		}
		sum := sha256.Sum256(data)
		files = append(files, formats.ManifestFile{Name: f.Name, Bytes: int64(len(data)), SHA256: hex.EncodeToString(sum[:])})
		write(f.Name, data)
	}
	m.Files = files
	body, err := json.Marshal(m)
	require.NoError(t, err)
	write("manifest.json", body)
	require.NoError(t, w.Close())
	return out.String()
}

// Pictures that this program would not have kept are refused, and nothing is changed.
func TestPicturesOfAnArchiveAreLookedAt(t *testing.T) {
	t.Parallel()
	a := open(t)
	d := a.newDish(skink)
	a.photograph("dish", d.ID)
	_, _, archive := a.ask("GET", "/api/archive", nil)
	same := func(_ string, data []byte) []byte { return data }
	only := func(part string, to func([]byte) []byte) func(string, []byte) []byte {
		return func(name string, data []byte) []byte {
			if strings.HasSuffix(name, part) {
				return to(data)
			}
			return data
		}
	}
	for name, change := range map[string]func(string, []byte) []byte{
		"no jpeg": only("/full.jpg", func([]byte) []byte { return []byte("GIF89a") }),
		"with hidden data": only("/small.jpg", func(b []byte) []byte {
			return append([]byte{0xff, 0xd8, 0xff, 0xe1, 0, 8, 'E', 'x', 'i', 'f', 0, 0}, b[2:]...)
		}),
		"small one gone": only("/small.jpg", func([]byte) []byte { return nil }),
		"of a stranger":  only("/picture.json", func(b []byte) []byte { return bytes.Replace(b, []byte(`"kind":"dish"`), []byte(`"kind":"cat"`), 1) }),
		"no time":        only("/picture.json", func(b []byte) []byte { return bytes.Replace(b, []byte(`"made":"2`), []byte(`"made":"x`), 1) }),
		"more in it":     only("/picture.json", func(b []byte) []byte { return bytes.Replace(b, []byte(`{`), []byte(`{"where":"54 N",`), 1) }),
	} {
		b := open(t)
		status, _, data := b.ask("POST", "/api/archive", repacked(t, archive, change))
		require.Equal(t, 422, status, "%s: %s", name, data)
		require.Empty(t, b.dishes(), name)
	}
	b := open(t)
	status, _, data := b.ask("POST", "/api/archive", repacked(t, archive, same))
	require.Equal(t, 200, status, string(data))
	require.Contains(t, string(data), `"pictures":1`)
}

// What a cook asks of a table that cannot be is refused with the field.
func TestTablesThatCannotBeLaid(t *testing.T) {
	a := open(t)
	d := a.newDish(skink)
	_, _, data := a.ask("POST", "/api/dishes/"+d.ID+"/trials", server.TrialRequest{})
	trial := into[[]server.TrialView](t, data)[0].ID
	many := make([]string, 201)
	for i := range many {
		many[i] = fmt.Sprint("guest ", i)
	}
	for field, r := range map[string]server.TastingRequest{
		"trials":    {Trials: []string{}},
		"trials[0]": {Trials: []string{"nobody's"}},
		"traits":    {Trials: []string{trial}, Traits: []string{"smoke", "salt", "sweet", "sour", "heat", "sea", "roast"}},
		"traits[0]": {Trials: []string{trial}, Traits: []string{"charm"}},
		"guests":    {Trials: []string{trial}, Guests: many},
		"guests[0]": {Trials: []string{trial}, Guests: []string{strings.Repeat("x", 100)}},
		"name":      {Trials: []string{trial}, Name: strings.Repeat("x", 500)},
	} {
		status, _, data := a.ask("POST", "/api/dishes/"+d.ID+"/tastings", r)
		require.Equal(t, 422, status, field)
		require.Contains(t, string(data), `"field":"`+field+`"`)
	}
	same := server.TastingRequest{Trials: []string{trial, trial}, Triangle: true}
	status, _, _ := a.ask("POST", "/api/dishes/"+d.ID+"/tastings", same)
	require.Equal(t, 422, status, "two alike are no triangle")
	status, _, _ = a.ask("POST", "/api/dishes/"+d.ID+"/tastings", server.TastingRequest{Trials: []string{trial}, Traits: []string{}, Open: true})
	require.Equal(t, 201, status)
}

// A dish can have so many pictures and no more.
func TestPicturesAreBounded(t *testing.T) {
	a := open(t)
	d := a.newDish(skink)
	for range 12 {
		a.photograph("dish", d.ID)
	}
	status, _, data := a.ask("POST", "/api/pictures/dish/"+d.ID, "x")
	require.Equal(t, 422, status)
	require.Contains(t, string(data), "12")
	_, _, data = a.ask("GET", "/api/pictures/dish/"+d.ID, nil)
	require.Len(t, into[[]server.Picture](t, data), 12)
	status, _, _ = a.ask("GET", "/api/pictures/none", nil)
	require.Equal(t, 404, status)
	status, _, _ = a.ask("POST", "/api/pictures/dish/"+d.ID, strings.Repeat("x", 17<<20))
	require.Equal(t, 413, status)
}

// What stays of the original takes another amount, is kept by its line, and can be
// taken back like any change.
func TestAnAmountOfALineThatStaysIsKeptByItsName(t *testing.T) {
	a := open(t)
	d := a.adapted(skink)
	id := ""
	for _, l := range d.Document.Original.Components[0].Lines {
		if l.Name == "onion" {
			id = l.ID
		}
	}
	require.NotEmpty(t, id)
	dec := d.Document.Decisions
	dec.Amounts, dec.Reasons = map[string]float64{id: 2}, map[string]string{id: "the table wanted more sweet"}
	status, _, data := a.ask("PUT", "/api/dishes/"+d.ID, server.SaveRequest{What: "more onion", Decisions: &dec}, "If-Match", fmt.Sprintf("%q", fmt.Sprint(d.Edit)))
	require.Equal(t, 200, status, string(data))
	_, _, card := a.ask("GET", "/api/dishes/"+d.ID+"/card/markdown", nil)
	require.Contains(t, string(card), "2 onions")
	require.Contains(t, string(data), "The table wanted more sweet. 2 times the original's amount.")
	require.Equal(t, 2.0, into[server.DishView](t, data).Document.Decisions.Amounts[id])
	dec.Amounts = map[string]float64{id: 11}
	status, _, _ = a.ask("PUT", "/api/dishes/"+d.ID, server.SaveRequest{What: "far too much", Decisions: &dec}, "If-Match", fmt.Sprintf("%q", fmt.Sprint(d.Edit+1)))
	require.Equal(t, 422, status)
}
