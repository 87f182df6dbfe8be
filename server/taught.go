package server

import (
	"context"
	"fmt"
	"slices"

	"github.com/gofiber/fiber/v3"

	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/stove"
	"yembra/core/swap"
	"yembra/core/tasting"
	"yembra/store"
)

// Taught is what a closed tasting found of a trait of one trial, from which the
// kitchen learns unless it was taken back.
type Taught struct {
	tasting.Lesson
	Tasting string
	Dish    string
	Name    string
	Letter  string
	At      int64
}

// lessons are what the closed tastings of the kitchen have found.
func (k *Kitchen) lessons(ctx context.Context) ([]Taught, error) {
	entries, err := k.Store.Entries(ctx, store.TastingEntry)
	if err != nil {
		return nil, err
	}
	var out []Taught
	for _, e := range entries {
		t, ok := readEntry[Tasting]("a tasting", e)
		if !ok || t.Closed == 0 || t.Triangle {
			continue
		}
		sheets, err := k.sheetsOf(ctx, t.ID)
		if err != nil {
			return nil, err
		}
		out = append(out, lessonsOf(&t, sheets)...)
	}
	return out, nil
}

// lessonsOf are what one tasting has found, trial by trial and trait by trait.
func lessonsOf(t *Tasting, sheets []Sheet) []Taught {
	_, said := asked(t, sheets).byTrial()
	var out []Taught
	for i := range t.Served {
		s := &t.Served[i]
		if s.Trial == originalServed || s.Open {
			continue
		}
		for _, trait := range t.Traits {
			foretold, known := s.Steps[trait]
			j, answered := tasting.Count(trait, said[s.Letter])
			if !known || !answered {
				continue
			}
			b := s.Brings[trait]
			l := Taught{Tasting: t.ID, Dish: t.Dish, Name: t.Name, Letter: s.Letter, At: t.Closed}
			l.Lesson = tasting.Lesson{
				Key: t.ID + "/" + s.Letter + "/" + trait, Trait: trait, Food: b.Food, Share: b.Share, Rating: b.Rating,
				Tasted: tasting.Tasted{Sheets: j.Answers(), Mean: j.Mean, Foretold: foretold},
			}
			out = append(out, l)
		}
	}
	return out
}

// untaught are the keys of the lessons that were taken back.
func (k *Kitchen) untaught(ctx context.Context) (map[string]bool, error) {
	entries, err := k.Store.Entries(ctx, store.UntaughtEntry)
	out := map[string]bool{}
	for _, e := range entries {
		out[e.Key] = true
	}
	return out, err
}

// withTasted is a larder with what the kitchen's tables have taught.
func (k *Kitchen) withTasted(ctx context.Context, l *larder.Larder) (*larder.Larder, []tasting.Learned, error) {
	all, err := k.lessons(ctx)
	if err != nil {
		return l, nil, err
	}
	off, err := k.untaught(ctx)
	if err != nil {
		return l, nil, err
	}
	var count []tasting.Lesson
	for _, x := range all {
		if !off[x.Key] {
			count = append(count, x.Lesson)
		}
	}
	learned := tasting.Learn(count)
	offsets, dosed := map[string]float64{}, []larder.Dosed{}
	for _, x := range learned {
		if x.Food == "" {
			offsets[x.Trait] = x.Correction.Correction
		} else {
			dosed = append(dosed, larder.Dosed{Food: x.Food, Trait: x.Trait, Times: x.Times})
		}
	}
	return l.WithTasted(offsets, dosed), learned, nil
}

// unsure is how unsure the model is of each trait that tables have tasted, in steps.
func (c *Core) unsure() map[string]float64 {
	out := map[string]float64{}
	for _, x := range c.Tasted {
		if was, known := out[x.Trait]; !known || x.Spread() < was {
			out[x.Trait] = x.Spread()
		}
	}
	return out
}

// sayTasted tells a thing that was learned at the table.
func (c *Core) sayTasted(x *tasting.Learned) string {
	name := x.Food
	if f := c.Larder.Food(x.Food); f != nil {
		name = f.Name
	}
	return x.Say(name)
}

// tastedFor is what tables have taught that the figures of an adaptation use, in
// words.
func (c *Core) tastedFor(d *recipe.Dish, a *swap.Adaptation) []string {
	out := []string{}
	for i := range c.Tasted {
		x := &c.Tasted[i]
		uses := x.Food == "" && slices.ContainsFunc(a.Traits, func(t character.Thread) bool { return t.Trait == x.Trait && t.Learned != 0 })
		for _, part := range a.Components {
			uses = uses || x.Food != "" && slices.ContainsFunc(part.Lines, func(l swap.Line) bool { return l.FoodID() == x.Food })
		}
		for _, part := range d.Components {
			uses = uses || x.Food != "" && slices.ContainsFunc(part.Lines, func(l recipe.Line) bool { return l.FoodID() == x.Food })
		}
		if uses {
			out = append(out, c.sayTasted(x))
		}
	}
	return out
}

// TaughtView is a correction that the kitchen uses, and the lessons behind it.
type TaughtView struct {
	Trait   string   `json:"trait"`
	Food    string   `json:"food"`
	Say     string   `json:"say"`
	Since   int64    `json:"since"`
	Lessons []string `json:"lessons"`
}

// LessonView is one lesson as the kitchen shows it.
type LessonView struct {
	Key   string `json:"key"`
	Dish  string `json:"dish"`
	Name  string `json:"name"`
	Trait string `json:"trait"`
	At    int64  `json:"at"`
	N     int    `json:"n"`
	// Tasted and Foretold are in steps from the original.
	Tasted   float64 `json:"tasted"`
	Foretold float64 `json:"foretold"`
	// Off tells that it was taken back.
	Off bool `json:"off"`
}

// taughtView is what the tables have taught, with every lesson.
func (k *Kitchen) taughtView(ctx context.Context) ([]TaughtView, []LessonView, error) {
	all, err := k.lessons(ctx)
	if err != nil {
		return nil, nil, err
	}
	off, err := k.untaught(ctx)
	if err != nil {
		return nil, nil, err
	}
	at, lessons := map[string]int64{}, []LessonView{}
	for _, x := range all {
		at[x.Key] = x.At
		lessons = append(lessons, LessonView{Key: x.Key, Dish: x.Dish, Name: fmt.Sprintf("%s, %s", x.Name, x.Letter), Trait: x.Trait, At: x.At, N: x.Sheets, Tasted: tasting.InSteps(x.Mean), Foretold: x.Foretold, Off: off[x.Key]})
	}
	learned := []TaughtView{}
	core := k.Core()
	for i := range core.Tasted {
		x := &core.Tasted[i]
		v := TaughtView{Trait: x.Trait, Food: x.Food, Say: core.sayTasted(x), Lessons: x.Keys}
		for _, key := range x.Keys {
			if v.Since == 0 || at[key] < v.Since {
				v.Since = at[key]
			}
		}
		learned = append(learned, v)
	}
	return learned, lessons, nil
}

func lessonKey(c fiber.Ctx) string {
	return c.Params("tasting") + "/" + c.Params("letter") + "/" + c.Params("trait")
}

// unteach takes back what a tasting taught of a trait.
func (k *Kitchen) unteach(c fiber.Ctx) error { return k.taughtIs(c, []byte(`{}`)) }

// teach lets it count again.
func (k *Kitchen) teach(c fiber.Ctx) error { return k.taughtIs(c, nil) }

func (k *Kitchen) taughtIs(c fiber.Ctx, body []byte) error {
	k.changing.Lock()
	defer k.changing.Unlock()
	all, err := k.lessons(c.Context())
	if err != nil {
		return err
	}
	key := lessonKey(c)
	if !slices.ContainsFunc(all, func(x Taught) bool { return x.Key == key }) {
		return store.ErrNoEntry
	}
	if err := k.Store.SaveEntry(c.Context(), store.UntaughtEntry, key, body); err != nil {
		return err
	}
	if err := k.Refresh(c.Context()); err != nil {
		return err
	}
	return k.learned(c)
}

// foreseenOf is how far each trait of an adaptation is foreseen, one judged part by
// part where it is strongest, and which food brings it by a dose.
func foreseenOf(l *larder.Larder, a swap.Adaptation) (steps map[string]float64, brings map[string]stove.Bringer) {
	steps, brings = map[string]float64{}, map[string]stove.Bringer{}
	strongest := map[string]float64{}
	for _, t := range a.Traits {
		if was, known := strongest[t.Trait]; known && was >= t.Original {
			continue
		}
		strongest[t.Trait], steps[t.Trait] = t.Original, t.Steps
		delete(brings, t.Trait)
		if len(t.To) == 0 || t.To[0].Share <= tasting.LeastBrought {
			continue
		}
		part, line, ok := recipe.ParseLineRef(t.To[0].Line)
		if !ok || part >= len(a.Components) || line >= len(a.Components[part].Lines) {
			continue
		}
		if f := l.Food(a.Components[part].Lines[line].FoodID()); f != nil && f.HasDose(t.Trait) {
			brings[t.Trait] = stove.Bringer{Food: f.ID, Share: t.To[0].Share, Rating: t.Adapted}
		}
	}
	return steps, brings
}
