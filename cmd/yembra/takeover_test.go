package main

import (
	"context"
	"encoding/json"
	"fmt"
	"net/http"
	"os"
	"path/filepath"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"yembra/replica"
)

// mostBehind is how much work a machine that dies may take with it.
const mostBehind = 2 * time.Second

// A machine that copies its kitchen is killed while it writes: another opens the copy with
// all but the last two seconds of work, and goes on; a second program is kept out.
func TestAMachineKilledUnderLoadIsTakenOver(t *testing.T) {
	const first, second = "127.0.0.1:18775", "127.0.0.1:18776"
	where, folder, elsewhere := filepath.Join(t.TempDir(), "copy"), filepath.Join(t.TempDir(), "first"), filepath.Join(t.TempDir(), "second")
	t.Setenv("YEMBRA_TEST_REPLICA", where)
	c, _ := started(t, folder, first)
	body, err := json.Marshal(map[string]string{"text": "Leek soup\nServes 4\n\n500 g leeks\n50 g butter\n1 litre water\n\nMethod\n1. Sweat the leeks in the butter for 10 minutes.\n2. Add the water and simmer for 20 minutes.", "measures": "metric"})
	require.NoError(t, err)
	status, data, err := send("POST", "http://"+first+"/api/dishes", string(body), 0)
	require.NoError(t, err)
	require.Equal(t, 201, status, "%.300s", data)
	var dish keptDish
	require.NoError(t, json.Unmarshal(data, &dish))

	_, err = replica.Start(context.Background(), elsewhere, where, func(error) {})
	require.ErrorIs(t, err, replica.ErrHeld, "a second writer is kept out")
	require.NoError(t, os.RemoveAll(elsewhere))

	kept := map[int64]time.Time{}
	for until := time.Now().Add(3500 * time.Millisecond); time.Now().Before(until); {
		status, data, err := send("PUT", "http://"+first+"/api/dishes/"+dish.ID, fmt.Sprintf(`{"place":"place %d"}`, dish.Edit), dish.Edit)
		require.NoError(t, err)
		require.Equal(t, 200, status, "%.300s", data)
		require.NoError(t, json.Unmarshal(data, &dish))
		kept[dish.Edit] = time.Now()
	}
	killed := time.Now()
	require.NoError(t, c.Process.Kill())
	_ = c.Wait() // it was killed
	http.DefaultClient.CloseIdleConnections()

	from := time.Now()
	require.NoError(t, replica.TakeOver(context.Background(), elsewhere, where, true))
	c, _ = started(t, elsewhere, second)
	open := time.Since(from)
	status, data, err = send("GET", "http://"+second+"/api/dishes/"+dish.ID, "", 0)
	require.NoError(t, err)
	require.Equal(t, 200, status, "%.300s", data)
	var now keptDish
	require.NoError(t, json.Unmarshal(data, &now))
	behind := time.Duration(0)
	for edit, at := range kept {
		if edit > now.Edit {
			behind = max(behind, killed.Sub(at))
		}
	}
	require.Less(t, behind, mostBehind)
	require.Greater(t, now.Edit, int64(10))
	t.Logf("%d writes, killed %s behind the copy, open again after %s", len(kept), behind, open)
	status, data, err = send("PUT", "http://"+second+"/api/dishes/"+dish.ID, `{"place":"another machine"}`, now.Edit)
	require.NoError(t, err)
	require.Equal(t, 200, status, "%.300s", data)
	require.NoError(t, c.Process.Signal(os.Interrupt))
	require.NoError(t, c.Wait())
	http.DefaultClient.CloseIdleConnections()

	// The first machine is back, and is told that its kitchen went on without it.
	_, err = replica.Start(context.Background(), folder, where, func(error) {})
	require.ErrorIs(t, err, replica.ErrElsewhere)
}
