package main

import (
	"context"
	"encoding/json"
	"io"
	"os"
	"path/filepath"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"yembra/core/recipe"
	"yembra/core/swap"
	"yembra/store"
)

// printed runs a command and returns what it wrote to standard output.
func printed(t *testing.T, run func() error) ([]byte, error) {
	t.Helper()
	r, w, err := os.Pipe()
	require.NoError(t, err)
	old := os.Stdout
	os.Stdout = w
	got := make(chan []byte)
	go func() {
		data, _ := io.ReadAll(r)
		got <- data
	}()
	failed := run()
	os.Stdout = old
	require.NoError(t, w.Close())
	return <-got, failed
}

func file(t *testing.T, data string) string {
	t.Helper()
	path := filepath.Join(t.TempDir(), "input")
	require.NoError(t, os.WriteFile(path, []byte(data), 0o600))
	return path
}

func TestReadAndAdaptPrintWhatTheEndpointsAnswer(t *testing.T) {
	out, err := printed(t, readCommand{File: file(t, "Soup\nServes 2\n\n200 g smoked haddock\n1 leek\n\nMethod\n1. Poach the haddock."), Measures: "metric"}.Run)
	require.NoError(t, err)
	var d recipe.Dish
	require.NoError(t, json.Unmarshal(out, &d))
	require.Len(t, d.Components[0].Lines, 2)

	request, err := json.Marshal(map[string]any{"original": d, "houseRules": swap.HouseRules{Preset: swap.WholeFood, Off: []string{}}, "aim": "simplest"})
	require.NoError(t, err)
	out, err = printed(t, adaptCommand{File: file(t, string(request))}.Run)
	require.NoError(t, err)
	var a swap.Adaptation
	require.NoError(t, json.Unmarshal(out, &a))
	require.Len(t, a.Swaps, 1)
	require.NotContains(t, string(out), `\u003c`)
}

func TestPlanPrintsWhatTheEndpointAnswers(t *testing.T) {
	out, err := printed(t, planCommand{File: file(t, `{"serveAt": "2026-12-05T19:30:00Z", "kitchen": {"cooks": 1}, "tasks": [{"id": "chop", "minutes": 10, "hands": 1}]}`)}.Run)
	require.NoError(t, err)
	require.JSONEq(t, `{"feasible": true, "tasks": [{"id": "chop", "start": "2026-12-05T19:20:00Z", "end": "2026-12-05T19:30:00Z", "cook": 0, "rings": [], "oven": null}],
		"startAt": "2026-12-05T19:20:00Z", "spanMinutes": 10, "boundMinutes": 10, "optimal": true, "conflicts": []}`, string(out))
}

func TestCommandsFailWithReasons(t *testing.T) {
	for _, run := range []func() error{
		readCommand{File: "/nowhere/at/all", Measures: "us"}.Run,
		readCommand{File: file(t, "soup"), Measures: "cubits"}.Run,
		adaptCommand{File: file(t, `{"unknown": 1}`)}.Run,
		adaptCommand{File: file(t, `{`)}.Run,
		planCommand{File: file(t, `{"serveAt": "soon"}`)}.Run,
		planCommand{File: file(t, `{"unknown": 1}`)}.Run,
	} {
		_, err := printed(t, run)
		require.Error(t, err)
		require.NotEmpty(t, err.Error())
	}
}

func TestOnlyThisMachineIsServed(t *testing.T) {
	for addr, ok := range map[string]bool{
		"127.0.0.1:8765": true, "localhost:1": true, "[::1]:80": true, "0.0.0.0:8765": false, "192.168.1.4:80": false, ":8765": false, "nonsense": false,
	} {
		if ok {
			require.True(t, loopback(addr), addr)
		} else {
			require.False(t, loopback(addr), addr)
		}
	}
}

func TestTheDemoKitchenIsLaidOut(t *testing.T) {
	ctx := context.Background()
	k, err := core()
	require.NoError(t, err)
	require.NotEmpty(t, k.Knowledge)
	k.Store, err = store.Open(ctx, t.TempDir(), time.Now)
	require.NoError(t, err)
	defer func() { require.NoError(t, k.Store.Close()) }()
	require.NoError(t, layOut(ctx, k))
	dishes, err := k.Store.Dishes(ctx)
	require.NoError(t, err)
	require.Len(t, dishes, 20)
	adapted, countries := 0, map[string]bool{}
	for _, d := range dishes {
		if len(d.Document.Decisions.Swaps) > 0 {
			adapted++
		}
		require.NotEmpty(t, d.Document.Place)
		countries[d.Document.Country] = true
	}
	require.Greater(t, len(countries), 15, "over the whole world")
	require.Equal(t, 11, adapted, "one dish is left for the visitor")
}

func TestAKitchenIsBackedUpAndRestored(t *testing.T) {
	ctx, from, to := context.Background(), t.TempDir(), t.TempDir()
	k, err := core()
	require.NoError(t, err)
	k.Store, err = store.Open(ctx, from, time.Now)
	require.NoError(t, err)
	require.NoError(t, k.Refresh(ctx))
	require.NoError(t, layOut(ctx, k))
	require.NoError(t, k.Store.Close())

	archive := filepath.Join(t.TempDir(), "kitchen.zip")
	_, err = printed(t, backupCommand{File: archive, Data: from}.Run)
	require.NoError(t, err)
	out, err := printed(t, restoreCommand{File: archive, Data: to}.Run)
	require.NoError(t, err)
	var done store.Restored
	require.NoError(t, json.Unmarshal(out, &done))
	require.Equal(t, 20, done.Added)
	require.Greater(t, done.Entries, 50, "the day, and two evenings with all that was told of them")
	out, err = printed(t, restoreCommand{File: archive, Data: to}.Run)
	require.NoError(t, err)
	require.JSONEq(t, `{"added": 0, "same": 20, "longer": 0, "copied": 0, "entries": 0, "pictures": 0}`, string(out))
	require.NoError(t, os.WriteFile(archive, []byte("PK"), 0o600))
	_, err = printed(t, restoreCommand{File: archive, Data: to}.Run)
	require.ErrorContains(t, err, "no zip file")
}
