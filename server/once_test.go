package server

import (
	"bytes"
	"io"
	"net/http/httptest"
	"sync"
	"sync/atomic"
	"testing"
	"time"

	"github.com/gofiber/fiber/v3"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Equal requests that come while the first is computed wait for its answer; others are
// computed by themselves, and so is an equal one that comes later.
func TestEqualRequestsAreComputedOnce(t *testing.T) {
	l, err := Shipped()
	require.NoError(t, err)
	k := NewKitchen(l)
	app := New(k, Pages{})
	var begun atomic.Int32
	hold := make(chan struct{})
	k.flights.began = func(string) {
		begun.Add(1)
		<-hold
	}
	ask := func(path, body string) string {
		r := httptest.NewRequest("POST", path, bytes.NewBufferString(body))
		r.Host = "127.0.0.1:8765"
		r.Header.Set("Content-Type", "application/json")
		answer, err := app.Test(r, fiber.TestConfig{Timeout: 20 * time.Second})
		if !assert.NoError(t, err) {
			return ""
		}
		text, err := io.ReadAll(answer.Body)
		assert.NoError(t, err)
		assert.Equal(t, 200, answer.StatusCode, string(text))
		return string(text)
	}
	soup, stew := `{"text":"Soup\n\n2 onions\n1 litre water\n\nBoil the onions in the water.","format":"text","measures":"metric"}`, `{"text":"Stew\n\n1 kg beef\n\nStew the beef for an hour.","format":"text","measures":"metric"}`
	answers := make([]string, 8)
	var all sync.WaitGroup
	for i := range answers {
		all.Go(func() { answers[i] = ask("/api/read", soup) })
	}
	all.Go(func() { assert.Contains(t, ask("/api/read", stew), "Stew") })
	require.Eventually(t, func() bool { return begun.Load() == 2 }, 10*time.Second, time.Millisecond)
	time.Sleep(100 * time.Millisecond) // for the rest to have come
	close(hold)
	all.Wait()
	require.EqualValues(t, 2, begun.Load(), "eight equal ones and another")
	for _, a := range answers {
		require.Contains(t, a, "Soup")
		require.Equal(t, answers[0], a)
	}
	ask("/api/read", soup)
	require.EqualValues(t, 3, begun.Load(), "an answer is kept for nobody")
}

// What is wrong with a request is told to everybody who asked.
func TestAnErrorIsToldToAllWhoWait(t *testing.T) {
	hold, began := make(chan struct{}), make(chan struct{}, 2)
	f := &flights{began: func(string) {
		began <- struct{}{}
		<-hold
	}}
	var all sync.WaitGroup
	for range 4 {
		all.Go(func() {
			_, err := once(f, "view", "a", func() (int, error) { return 0, badRequest("No.") })
			assert.ErrorContains(t, err, "No.")
		})
	}
	<-began
	time.Sleep(50 * time.Millisecond) // for the rest to have come
	close(hold)
	all.Wait()
	require.Empty(t, began, "the others waited")
	v, err := once(f, "view", "a", func() (int, error) { return 7, nil })
	require.NoError(t, err)
	require.Equal(t, 7, v)
}
