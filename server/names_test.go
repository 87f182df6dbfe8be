package server_test

import (
	"context"
	"encoding/json"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"yembra/core/swap"
	"yembra/server"
	"yembra/store"
)

// A kitchen kept when decisions hung on places is opened: the pie has swaps, a
// use, an amount, its cook's words, figures and order, a booster and a mend.
func openOld(t *testing.T) (app, server.DishView) {
	t.Helper()
	folder := t.TempDir()
	data, err := os.ReadFile("testdata/kitchen-by-places.db")
	require.NoError(t, err)
	require.NoError(t, os.WriteFile(filepath.Join(folder, "kitchen.db"), data, 0o600))
	l, err := server.Shipped()
	require.NoError(t, err)
	k := server.NewKitchen(l)
	k.Store, err = store.Open(context.Background(), folder, time.Now)
	require.NoError(t, err)
	t.Cleanup(func() { require.NoError(t, k.Store.Close()) })
	a := app{t, server.New(k, server.Pages{}), k}
	var list server.ShelfView
	_, _, body := a.ask("GET", "/api/dishes", nil)
	require.NoError(t, json.Unmarshal(body, &list))
	require.Len(t, list.Dishes, 1)
	return a, a.view("GET", "/api/dishes/"+list.Dishes[0].ID, nil, "")
}

func (a app) view(method, path string, body any, match string) server.DishView {
	a.t.Helper()
	status, _, answer := a.ask(method, path, body, "If-Match", match)
	require.Equal(a.t, 200, status, "%s", answer)
	var v server.DishView
	require.NoError(a.t, json.Unmarshal(answer, &v))
	return v
}

// said are the steps of a part as the card has them.
func said(v server.DishView, part int) (own []string, all []string) {
	for _, s := range v.Adaptation.Components[part].Steps {
		if s.Own {
			own = append(own, s.Text)
		}
		all = append(all, s.Text)
	}
	return own, all
}

func TestAKitchenOfPlacesIsBroughtOver(t *testing.T) {
	a, v := openOld(t)
	d := v.Document
	require.Len(t, d.Decisions.Swaps, 6)
	for id := range d.Decisions.Swaps {
		require.Regexp(t, `^l\d+$`, id)
	}
	own, all := said(v, 0)
	require.ElementsMatch(t, []string{"Soften the onion in the oil for 12 minutes, pour in the stock and simmer for 40 minutes.", "Soak the cashews overnight and blend them with the soy drink."}, own)
	sears := slices.IndexFunc(all, func(text string) bool { return strings.Contains(text, "Season the mushroom pieces") }) // said otherwise since, and found again
	require.Contains(t, all[sears+1], "Steam the tempeh", "the cook's order holds")
	own, _ = said(v, 1)
	require.Len(t, own, 1)
	require.Contains(t, own[0], "40 minutes")
	require.Equal(t, 1, v.Adaptation.Boosters[0].Component)
	require.Equal(t, 1.5, v.Adaptation.Swaps[3].Amount)
	require.Equal(t, d.Original.Components[0].Lines[4].ID, d.Original.Components[0].Steps[2].Mends[0].Line)

	require.Equal(t, d.LastID, 16)

	// The states before are brought over in the same way.
	before := a.view("POST", "/api/dishes/"+v.ID+"/undo", nil, "4")
	require.Len(t, before.Document.Decisions.Swaps, 6)
	require.Empty(t, before.Document.Decisions.Wording)
}

func TestMovingTheOriginalMovesNoDecision(t *testing.T) {
	a, v := openOld(t)
	ownBefore, _ := said(v, 0)
	names := map[string]string{}
	for _, s := range v.Adaptation.Swaps {
		names[s.Swap] = lineName(v, s.Replaces)
	}
	original := v.Document.Original
	stew := &original.Components[0]
	stew.Lines[0], stew.Lines[4] = stew.Lines[4], stew.Lines[0]
	stew.Lines = append(stew.Lines[:0:0], stew.Lines...)
	for i := range stew.Steps {
		stew.Steps[i].Lines = []int{}
	}
	original.Components[0], original.Components[1] = original.Components[1], original.Components[0]
	for i := range original.Components[0].Steps {
		original.Components[0].Steps[i].Lines = []int{}
	}
	now := a.view("PUT", "/api/dishes/"+v.ID, server.SaveRequest{What: "moved things", Original: &original}, "4")
	require.Equal(t, v.Document.Decisions.Swaps, now.Document.Decisions.Swaps)
	for _, s := range now.Adaptation.Swaps {
		require.Equal(t, names[s.Swap], lineName(now, s.Replaces), s.Swap)
	}
	ownNow, _ := said(now, 1)
	require.ElementsMatch(t, ownBefore, ownNow)
	require.Equal(t, 0, now.Adaptation.Boosters[0].Component)

	// A line that goes takes its swap along, and its name is not given again.
	original = now.Document.Original
	gone := original.Components[1].Lines[0].ID
	original.Components[1].Lines[0] = original.Components[1].Lines[2]
	original.Components[1].Lines[0].ID = ""
	for i := range original.Components[1].Steps {
		original.Components[1].Steps[i].Mends = nil
	}
	last := a.view("PUT", "/api/dishes/"+v.ID, server.SaveRequest{Original: &original}, "5")
	require.NotContains(t, last.Document.Decisions.Swaps, gone)
	require.Equal(t, now.Document.LastID+1, last.Document.LastID)
}

func lineName(v server.DishView, ref string) string {
	var d swap.Decisions
	d.Swaps = map[string]string{ref: ""}
	for id := range d.Kept(&v.Document.Original).Swaps {
		for _, c := range v.Document.Original.Components {
			for _, l := range c.Lines {
				if l.ID == id {
					return l.Name
				}
			}
		}
	}
	return ""
}
