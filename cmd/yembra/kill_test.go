package main

import (
	"bytes"
	"encoding/json"
	"fmt"
	"io"
	"net/http"
	"os"
	"os/exec"
	"path/filepath"
	"strconv"
	"strings"
	"sync"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
)

// TestMain serves a kitchen instead of testing when it is asked to, so that a
// test can start this very program and kill it.
func TestMain(m *testing.M) {
	if folder := os.Getenv("YEMBRA_TEST_SERVE"); folder != "" {
		if err := serve(serving{addr: os.Getenv("YEMBRA_TEST_ADDR"), folder: folder, backups: filepath.Join(folder, "backups"), replica: os.Getenv("YEMBRA_TEST_REPLICA")}); err != nil {
			fmt.Fprintln(os.Stderr, err)
			os.Exit(exitFailed)
		}
		return
	}
	os.Exit(m.Run())
}

// started begins a server on a folder and waits until it answers.
func started(t *testing.T, folder, addr string) (*exec.Cmd, time.Duration) {
	t.Helper()
	c := exec.Command(os.Args[0])
	c.Env = append(os.Environ(), "YEMBRA_TEST_SERVE="+folder, "YEMBRA_TEST_ADDR="+addr)
	from := time.Now()
	require.NoError(t, c.Start())
	for range 1000 {
		if answer, err := http.Get("http://" + addr + "/api/health"); err == nil {
			_ = answer.Body.Close()
			return c, time.Since(from)
		}
		time.Sleep(5 * time.Millisecond)
	}
	t.Fatal("the kitchen does not answer")
	return nil, 0
}

func send(method, url, body string, edit int64) (int, []byte, error) {
	r, err := http.NewRequest(method, url, strings.NewReader(body))
	if err != nil {
		return 0, nil, err
	}
	r.Header.Set("Content-Type", "application/json")
	r.Header.Set("If-Match", strconv.FormatInt(edit, 10))
	answer, err := http.DefaultClient.Do(r)
	if err != nil {
		return 0, nil, err
	}
	defer answer.Body.Close()
	data, err := io.ReadAll(answer.Body)
	return answer.StatusCode, data, err
}

type keptDish struct {
	ID       string `json:"id"`
	Edit     int64  `json:"edit"`
	Document struct {
		Place string `json:"place"`
	} `json:"document"`
}

// Killed at any moment, the kitchen has all that it had acknowledged when it is
// opened again. YEMBRA_KILLS sets how often; .ci/kills asks for sixty.
func TestKilledUnderLoadNothingAcknowledgedIsLost(t *testing.T) {
	kills := 4
	if n, err := strconv.Atoi(os.Getenv("YEMBRA_KILLS")); err == nil {
		kills = n
	}
	const addr = "127.0.0.1:18765"
	folder := filepath.Join(t.TempDir(), "kitchen")
	recipe, err := json.Marshal(map[string]string{"text": "Leek soup\nServes 4\n\n500 g leeks\n50 g butter\n1 litre water\n\nMethod\n1. Sweat the leeks in the butter for 10 minutes.\n2. Add the water and simmer for 20 minutes.", "measures": "metric"})
	require.NoError(t, err)
	const writers = 4
	var dishes [writers]keptDish
	slowest, writes := time.Duration(0), 0
	for round := range kills + 1 {
		c, took := started(t, folder, addr)
		slowest = max(slowest, took)
		for i := range dishes {
			if round == 0 {
				status, data, err := send("POST", "http://"+addr+"/api/dishes", string(recipe), 0)
				require.NoError(t, err)
				require.Equal(t, 201, status, "%.300s", data)
				require.NoError(t, json.Unmarshal(data, &dishes[i]))
				continue
			}
			status, data, err := send("GET", "http://"+addr+"/api/dishes/"+dishes[i].ID, "", 0)
			require.NoError(t, err)
			require.Equal(t, 200, status, "%.300s", data)
			var now keptDish
			require.NoError(t, json.Unmarshal(data, &now))
			require.Contains(t, []int64{dishes[i].Edit, dishes[i].Edit + 1}, now.Edit, "round %d: what was acknowledged is there, and at most the one on its way besides", round)
			if now.Edit == dishes[i].Edit {
				require.Equal(t, dishes[i].Document.Place, now.Document.Place)
			}
			dishes[i] = now
		}
		if round == kills {
			require.NoError(t, c.Process.Signal(os.Interrupt))
			require.NoError(t, c.Wait())
			break
		}
		var all sync.WaitGroup
		for i := range dishes {
			all.Add(1)
			go func() {
				defer all.Done()
				for {
					body := fmt.Sprintf(`{"place":"place %d"}`, dishes[i].Edit)
					status, data, err := send("PUT", "http://"+addr+"/api/dishes/"+dishes[i].ID, body, dishes[i].Edit)
					if err != nil || status != 200 {
						return // it was killed on the way
					}
					var now keptDish
					if json.NewDecoder(bytes.NewReader(data)).Decode(&now) != nil {
						return
					}
					dishes[i] = now
				}
			}()
		}
		time.Sleep(time.Duration(150+round*37%200) * time.Millisecond)
		require.NoError(t, c.Process.Kill())
		_ = c.Wait() // it was killed
		all.Wait()
		http.DefaultClient.CloseIdleConnections()
	}
	for _, d := range dishes {
		writes += int(d.Edit)
	}
	t.Logf("%d kills, %d writes, slowest start %v", kills, writes, slowest)
	require.Greater(t, writes, writers*kills)

	out, err := printed(t, checkCommand{Data: folder}.Run)
	require.NoError(t, err)
	require.Contains(t, string(out), "is whole")
}

// The demo takes no kitchen's place unless it is told to.
func TestTheDemoTakesNoKitchensPlace(t *testing.T) {
	folder := t.TempDir()
	c, _ := started(t, folder, "127.0.0.1:18766")
	var demo demoCommand
	demo.Data, demo.Addr = folder, "127.0.0.1:18767"
	require.ErrorContains(t, demo.Run(), "holds a kitchen")
	demo.Afresh = true
	require.ErrorContains(t, demo.Run(), fmt.Sprint("process ", c.Process.Pid))
	second := serveCommand{}
	second.Data, second.Addr = folder, "127.0.0.1:18767"
	require.ErrorContains(t, second.Run(), "open in another program")
	require.NoError(t, c.Process.Signal(os.Interrupt))
	require.NoError(t, c.Wait())
}
