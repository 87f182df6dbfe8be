package server

import (
	"fmt"
	"log/slog"
	"runtime/debug"
	"time"

	"yembra/core/character"
	"yembra/core/swap"
	"yembra/server/texts"
	"yembra/store"
)

// DishView is a dish with everything computed from it.
type DishView struct {
	ID      string    `json:"id"`
	Edit    int64     `json:"edit"`
	Changed time.Time `json:"changed"`
	CanUndo bool      `json:"canUndo"`
	CanRedo bool      `json:"canRedo"`
	What    string    `json:"what"`
	// Screen is the one that made this revision, empty on the machine itself.
	Screen     string          `json:"screen"`
	Document   store.Document  `json:"document"`
	Slots      []swap.Slot     `json:"slots"`
	Roles      []swap.LineRole `json:"roles"`
	Adaptation swap.Adaptation `json:"adaptation"`
	// Faults are parts that could not be computed; all else is there.
	Faults []Fault `json:"faults"`
	// Learned is what of this kitchen's own its figures use, in words.
	Learned []string `json:"learned"`
}

// Fault is a part of a dish that could not be computed, and why in words a cook
// can pass on; the log has the rest.
type Fault struct {
	Part string `json:"part"`
	Text string `json:"text"`
}

// ThreadMark is one thread of a dish's emblem.
type ThreadMark struct {
	Trait   string            `json:"trait"`
	Verdict character.Verdict `json:"verdict"`
	Steps   float64           `json:"steps"`
}

// guarded computes a part of a dish. Where that fails, or even panics, the log
// has the dish and the stack and the fault is returned, so that one bad part
// never closes the rest.
func guarded(dish, part string, work func() error) (fault *Fault) {
	failed := func(cause any) {
		slog.Error("a part of a dish could not be computed", "dish", dish, "part", part, "cause", cause, "stack", string(debug.Stack()))
		fault = &Fault{part, fmt.Sprintf("The %s could not be worked out. The original, what was decided, undo and giving out are as they were; the log names the fault under dish %s.", part, dish)}
	}
	defer func() {
		if cause := recover(); cause != nil {
			failed(cause)
		}
	}()
	if err := work(); err != nil {
		failed(err)
	}
	return fault
}

// viewKept is the view of a dish as it is kept, from those that were worked out last
// where it is among them.
func (k *Kitchen) viewKept(d store.Dish) DishView {
	key := viewKey{d.ID, d.Edit, k.Core()}
	if v, done := k.views.get(key); done {
		return v
	}
	v, err := once(k.flights, "view", fmt.Sprintf("%p %s %d", key.core, key.dish, key.edit), func() (DishView, error) { return k.viewDish(d), nil })
	if err == nil && len(v.Faults) == 0 {
		k.views.put(key, v)
	}
	return v
}

// wordsPart is what is said of the original's lines and steps.
const wordsPart = "words of the original"

// viewDish computes a dish, part by part.
func (k *Kitchen) viewDish(d store.Dish) DishView {
	v := DishView{ID: d.ID, Edit: d.Edit, Changed: d.Changed, CanUndo: d.CanUndo, CanRedo: d.CanRedo, What: texts.Retold(d.What), Screen: d.Screen, Document: d.Document,
		Slots: []swap.Slot{}, Roles: []swap.LineRole{}, Adaptation: swap.Nothing(), Faults: []Fault{}, Learned: []string{}}
	core := k.Core()
	part := func(name string, work func() error) {
		if fault := guarded(d.ID, name, work); fault != nil {
			v.Faults = append(v.Faults, *fault)
		}
	}
	part(wordsPart, func() error {
		core.Reader.Told(&v.Document.Original)
		return nil
	})
	original := v.Document.Original
	part("adaptation", func() error {
		a, err := core.Carrier.Adapt(original, d.Document.Placed(), true)
		if err == nil {
			v.Adaptation = a
			v.Learned = append(core.measuredFor(&original), core.tastedFor(&original, &a)...)
		}
		return err
	})
	part("list of lines to swap", func() error {
		rules, err := swap.NewRules(core.Larder, d.Document.Decisions.HouseRules)
		if err == nil {
			v.Slots = core.Book.Slots(original, rules, d.Document.Placed())
		}
		return err
	})
	part("part each line plays", func() error {
		v.Roles = core.Book.Roles(original, d.Document.Placed())
		return nil
	})
	return v
}
