package server

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"log/slog"
	"slices"
	"sync"
	"time"

	"github.com/google/uuid"

	"yembra/core/stove"
	"yembra/devices"
	"yembra/server/texts"
	"yembra/store"
)

// hearth keeps the cook-throughs that are under way in memory, as they stand in
// the store, watches the devices, and tells every screen what has changed.
type hearth struct {
	mu        sync.Mutex
	cooks     map[string]*cookThrough
	listeners map[*listener]bool
	// n numbers what all screens are told, so that one that was away knows whether
	// it missed anything.
	n       int64
	bench   *devices.Bench
	weights []stove.Reading
	degrees []stove.Degree
	now     func() time.Time
	// closing ends streams and replanning when the program stops.
	closing context.Context
	close   context.CancelFunc
	working sync.WaitGroup
}

// listener is a screen that listens, by the session it signed in with.
type listener struct {
	said    chan []byte
	session string
}

// cookThrough is one cook-through: its program, and all that was told of it.
type cookThrough struct {
	mu      sync.Mutex
	id      string
	program stove.Program
	events  []stove.Event
	state   stove.State
	// keys are the events by the key that their screen drew.
	keys map[string]int64
	// said are the notices that every screen has been told of.
	said string
	// replanning tells that the day is being planned anew, again that it must be
	// once more.
	replanning, again bool
}

// What the hearth holds and how long it remembers.
const (
	mostListeners = 64
	rememberFor   = 30 * time.Second
	tickEvery     = 200 * time.Millisecond
	mostEvents    = 20_000
	behindListen  = 32
)

func newHearth() *hearth {
	h := &hearth{cooks: map[string]*cookThrough{}, listeners: map[*listener]bool{}, now: time.Now}
	h.n = h.now().UnixMilli() // beyond what an earlier run has told
	h.bench = devices.NewBench(h.now(), uint64(h.now().UnixNano()))
	h.closing, h.close = context.WithCancel(context.Background())
	return h
}

// cookThrough finds one, from the store when it is asked for first.
func (k *Kitchen) cookThrough(ctx context.Context, id string) (*cookThrough, error) {
	h := k.hearth
	h.mu.Lock()
	defer h.mu.Unlock()
	if c, ok := h.cooks[id]; ok {
		return c, nil
	}
	e, err := k.Store.Entry(ctx, store.CookEntry, id)
	if err != nil {
		return nil, err
	}
	c := &cookThrough{id: id, keys: map[string]int64{}}
	if err := json.Unmarshal(e.Body, &c.program); err != nil {
		return nil, fmt.Errorf("decode cook-through %s: %w", id, err)
	}
	rows, err := k.Store.Under(ctx, store.StoveEntry, id)
	if err != nil {
		return nil, err
	}
	for _, r := range rows {
		var e stove.Event
		if err := json.Unmarshal(r.Body, &e); err != nil {
			return nil, fmt.Errorf("decode event %s: %w", r.Key, err)
		}
		c.events, c.keys[e.Key] = append(c.events, e), e.N
	}
	c.state = stove.Of(&c.program, c.events)
	h.cooks[id] = c
	return c, nil
}

// errEnough answers an event too many.
var errEnough = unprocessable(texts.Say("aCookThroughHoldsEventsAt", mostEvents))

// tell keeps an event and works it in; one that was told before counts once.
func (k *Kitchen) tell(ctx context.Context, c *cookThrough, e stove.Event) error {
	c.mu.Lock()
	defer c.mu.Unlock()
	if c.keys[e.Key] > 0 {
		return nil
	}
	if len(c.events) >= mostEvents {
		return errEnough
	}
	e.N, e.At = int64(len(c.events)+1), k.hearth.now().UnixMilli()
	if n := len(c.events); n > 0 { // a clock that was set back makes nothing happen before
		e.At = max(e.At, c.events[n-1].At)
	}
	if err := stove.Check(&c.program, &c.state, e); err != nil {
		return err
	}
	if err := k.keepEvent(ctx, c.id, e); err != nil {
		return err
	}
	c.events, c.keys[e.Key] = append(c.events, e), e.N
	c.state = stove.Apply(&c.program, c.state, e)
	k.hearth.broadcast("changed", map[string]any{"cook": c.id, "n": e.N})
	if c.program.Day != "" && slices.Contains(tellsThePlan, e.Kind) {
		k.replanSoon(c)
	}
	return nil
}

// tellsThePlan are the events that a day's plan hears of.
var tellsThePlan = []stove.Kind{stove.Done, stove.StartTimer, stove.Over, stove.Longer, stove.Undo, stove.End}

func (k *Kitchen) keepEvent(ctx context.Context, cook string, e stove.Event) error {
	body, err := json.Marshal(e)
	if err != nil {
		return fmt.Errorf("encode the event: %w", err)
	}
	return k.Store.SaveEntry(ctx, store.StoveEntry, store.Below(cook, e.N), body)
}

// BeginCooking keeps a program as a cook-through, with what was done of it
// already.
func (k *Kitchen) BeginCooking(ctx context.Context, p stove.Program, done []stove.Event) (string, error) {
	id, err := uuid.NewV7()
	if err != nil {
		return "", fmt.Errorf("make an id: %w", err)
	}
	body, err := json.Marshal(p)
	if err != nil {
		return "", fmt.Errorf("encode the cook-through: %w", err)
	}
	var events []store.Entry
	for i, e := range done {
		e.N = int64(i + 1)
		if e.Key == "" {
			e.Key = fmt.Sprint("begun ", e.N)
		}
		told, err := json.Marshal(e)
		if err != nil {
			return "", fmt.Errorf("encode the event: %w", err)
		}
		events = append(events, store.Entry{Key: store.Below(id.String(), e.N), Body: told})
	}
	// The events first: a cook-through is only there when all of it is.
	if err := k.Store.SaveEntries(ctx, store.StoveEntry, events); err != nil {
		return "", err
	}
	return id.String(), k.Store.SaveEntry(ctx, store.CookEntry, id.String(), body)
}

// kept tells all screens of something that was kept. Events of a cook-through are
// told by themselves.
func (h *hearth) kept(kind, key string) {
	if kind != store.StoveEntry {
		h.broadcast("kept", map[string]any{"kind": kind, "key": key})
	}
}

// broadcast tells all screens; one that does not listen loses its stream and
// catches up when it opens another.
func (h *hearth) broadcast(event string, v any) {
	data, err := json.Marshal(v)
	if err != nil {
		slog.Error("what changed at the stove could not be told", "cause", err)
		return
	}
	h.mu.Lock()
	defer h.mu.Unlock()
	said := fmt.Appendf(nil, "event: %s\ndata: %s\n\n", event, data)
	if event != readings {
		h.n++
		said = fmt.Appendf(nil, "id: %d\n%s", h.n, said)
	}
	for l := range h.listeners {
		select {
		case l.said <- said:
		default:
			h.end(l)
		}
	}
}

// listen adds a screen, and tells the number of what was told last.
func (h *hearth) listen(session string) (*listener, int64, bool) {
	h.mu.Lock()
	defer h.mu.Unlock()
	if len(h.listeners) >= mostListeners {
		return nil, 0, false
	}
	l := &listener{make(chan []byte, behindListen), session}
	h.listeners[l] = true
	return l, h.n, true
}

func (h *hearth) leave(l *listener) {
	h.mu.Lock()
	defer h.mu.Unlock()
	h.end(l)
}

// signedOut ends what screens listen to with a session, empty for all.
func (h *hearth) signedOut(session string) {
	h.mu.Lock()
	defer h.mu.Unlock()
	for l := range h.listeners {
		if session == "" || l.session == session {
			h.end(l)
		}
	}
}

// end ends what a screen listens to; it is called with the hearth held.
func (h *hearth) end(l *listener) {
	if h.listeners[l] {
		delete(h.listeners, l)
		close(l.said)
	}
}

// asWrong gives an event that makes no sense as a problem that says where.
func asWrong(err error) error {
	var wrong stove.Wrong
	if errors.As(err, &wrong) {
		return unprocessable(texts.Say("thisDoesNotFitWhatIs"), fieldError{wrong.Field, wrong.Detail})
	}
	return err
}
