package server

import (
	"context"
	"database/sql"
	"encoding/json"
	"io"
	"net/http/httptest"
	"path/filepath"
	"strings"
	"testing"
	"time"

	"github.com/gofiber/fiber/v3"
	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/method"
	"yembra/core/swap"
	"yembra/store"
)

// kitchenIn is a kitchen in a folder, with its routes.
func kitchenIn(t *testing.T, folder string) (*Kitchen, *fiber.App) {
	t.Helper()
	l, err := Shipped()
	require.NoError(t, err)
	k := NewKitchen(l)
	k.Store, err = store.Open(context.Background(), folder, time.Now)
	require.NoError(t, err)
	t.Cleanup(func() { require.NoError(t, k.Store.Close()) })
	return k, New(k, Pages{})
}

func keep(t *testing.T, k *Kitchen, text string) store.Dish {
	t.Helper()
	d := k.Core().Reader.Read(text, measure.Metric)
	made, err := k.NewDish(context.Background(), store.Document{Name: d.Name, Source: text, Original: d, Decisions: swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood}, Swaps: map[string]string{}}})
	require.NoError(t, err)
	return made
}

func ask(t *testing.T, app *fiber.App, method, path, body string, headers ...string) (int, string) {
	t.Helper()
	r := httptest.NewRequest(method, path, strings.NewReader(body))
	r.Host = "127.0.0.1:8765"
	r.Header.Set("Content-Type", "application/json")
	for i := 0; i+1 < len(headers); i += 2 {
		r.Header.Set(headers[i], headers[i+1])
	}
	answer, err := app.Test(r, fiber.TestConfig{Timeout: 20 * time.Second})
	require.NoError(t, err)
	data, err := io.ReadAll(answer.Body)
	require.NoError(t, err)
	return answer.StatusCode, string(data)
}

const leekSoup = "Leek soup\nServes 4\n\n500 g leeks\n50 g butter\n1 litre water\n\nMethod\n1. Sweat the leeks in the butter for 10 minutes.\n2. Add the water and simmer for 20 minutes."

// A part that panics is that part's fault: the original, what was decided and
// undo stay in reach, and a change that cannot be worked out is not kept.
func TestAPanicClosesNoDish(t *testing.T) {
	k, app := kitchenIn(t, t.TempDir())
	d := keep(t, k, leekSoup)
	whole := k.core.Load()
	broken := *whole
	broken.Carrier = method.NewCarrier(nil, nil)
	k.core.Store(&broken)

	status, body := ask(t, app, "GET", "/api/dishes/"+d.ID, "")
	require.Equal(t, 200, status)
	var v DishView
	require.NoError(t, json.Unmarshal([]byte(body), &v))
	require.Len(t, v.Faults, 1)
	require.Equal(t, "adaptation", v.Faults[0].Part)
	require.Contains(t, v.Faults[0].Text, d.ID)
	require.Len(t, v.Document.Original.Components[0].Lines, 3)
	require.NotEmpty(t, v.Slots)
	require.NotContains(t, body, `"components":null`)

	dec := v.Document.Decisions
	dec.LivesFrom = "Leeks."
	change, err := json.Marshal(SaveRequest{Decisions: &dec})
	require.NoError(t, err)
	status, body = ask(t, app, "PUT", "/api/dishes/"+d.ID, string(change), "If-Match", "1")
	require.Equal(t, 500, status)
	require.Contains(t, body, "nothing was changed")
	kept, err := k.Store.Dish(context.Background(), d.ID)
	require.NoError(t, err)
	require.EqualValues(t, 1, kept.Edit)
	status, _ = ask(t, app, "GET", "/api/dishes/"+d.ID+"/original/markdown", "")
	require.Equal(t, 200, status)

	k.core.Store(whole)
	status, _ = ask(t, app, "PUT", "/api/dishes/"+d.ID, string(change), "If-Match", "1")
	require.Equal(t, 200, status)
	k.core.Store(&broken)
	status, _ = ask(t, app, "POST", "/api/dishes/"+d.ID+"/undo", "", "If-Match", "2")
	require.Equal(t, 200, status, "what cannot be worked out can be undone")
}

// A dish whose lines cannot be told of opens all the same, and says so.
func TestWhatCannotBeToldClosesNoDish(t *testing.T) {
	k, app := kitchenIn(t, t.TempDir())
	d := keep(t, k, leekSoup)
	broken := *k.core.Load()
	broken.Reader = nil
	k.core.Store(&broken)
	status, body := ask(t, app, "GET", "/api/dishes/"+d.ID, "")
	require.Equal(t, 200, status, body)
	var v DishView
	require.NoError(t, json.Unmarshal([]byte(body), &v))
	require.NotEmpty(t, v.Faults)
	require.Equal(t, wordsPart, v.Faults[0].Part)
	require.Len(t, v.Document.Original.Components[0].Lines, 3)
}

// What the program says of a dish is kept nowhere, and is said whenever the dish is opened, changed or gone back to.
func TestNoSentenceOfTheProgramIsKept(t *testing.T) {
	folder := t.TempDir()
	k, app := kitchenIn(t, folder)
	d := keep(t, k, strings.Replace(leekSoup, "500 g leeks", "3 moonworts\n500 g leeks", 1))
	db, err := sql.Open("sqlite", filepath.Join(folder, "kitchen.db"))
	require.NoError(t, err)
	defer db.Close()
	for turn, do := range []func() (int, string){
		func() (int, string) { return ask(t, app, "GET", "/api/dishes/"+d.ID, "") },
		func() (int, string) {
			return ask(t, app, "PUT", "/api/dishes/"+d.ID, `{"name": "Other soup"}`, "If-Match", "1")
		},
		func() (int, string) { return ask(t, app, "POST", "/api/dishes/"+d.ID+"/undo", "", "If-Match", "2") },
	} {
		status, body := do()
		require.Equal(t, 200, status, body)
		var v DishView
		require.NoError(t, json.Unmarshal([]byte(body), &v))
		require.NotEmpty(t, v.Document.Original.Notices)
		require.NotEmpty(t, v.Document.Original.Notices[0].Text)
		said := []string{v.Document.Original.Notices[0].Text}
		for _, l := range v.Document.Original.Components[0].Lines {
			require.NotEmpty(t, l.Why, "%d %s", turn, l.Text)
			said = append(said, l.Why)
			if l.Basis != nil {
				said = append(said, l.Basis.Text)
			}
		}
		rows, err := db.Query(`SELECT body FROM revisions`)
		require.NoError(t, err)
		for rows.Next() {
			var kept string
			require.NoError(t, rows.Scan(&kept))
			for _, s := range said {
				require.NotContains(t, kept, `"`+s+`"`)
			}
		}
		require.NoError(t, rows.Err())
	}
}

// One damaged record is one damaged dish.
func TestOneDamagedDishIsOneDamagedDish(t *testing.T) {
	folder := t.TempDir()
	k, app := kitchenIn(t, folder)
	d := keep(t, k, leekSoup)
	keep(t, k, strings.ReplaceAll(leekSoup, "Leek soup", "Second soup"))
	db, err := sql.Open("sqlite", filepath.Join(folder, "kitchen.db"))
	require.NoError(t, err)
	for _, statement := range []string{`DROP TRIGGER revisions_are_kept`, `UPDATE revisions SET body = substr(body, 1, 200) WHERE dish = '` + d.ID + `'`, `UPDATE shelf SET stamp = 'older'`} {
		_, err = db.Exec(statement)
		require.NoError(t, err)
	}
	require.NoError(t, db.Close())

	status, body := ask(t, app, "GET", "/api/dishes", "")
	require.Equal(t, 200, status)
	var list ShelfView
	require.NoError(t, json.Unmarshal([]byte(body), &list))
	require.True(t, list.Dishes[0].Stale && list.Dishes[1].Stale, "worked out with other knowledge")
	require.NoError(t, k.WorkShelf(t.Context()))
	_, body = ask(t, app, "GET", "/api/dishes", "")
	require.NoError(t, json.Unmarshal([]byte(body), &list))
	require.Len(t, list.Dishes, 2)
	for _, s := range list.Dishes {
		require.False(t, s.Stale)
		require.Equal(t, s.ID == d.ID, s.Fault != "", s.Name)
	}
	status, body = ask(t, app, "GET", "/api/dishes/"+d.ID, "")
	require.Equal(t, 500, status)
	require.Contains(t, body, "cannot be read")
	status, _ = ask(t, app, "GET", "/api/days", "")
	require.Equal(t, 200, status)
}
