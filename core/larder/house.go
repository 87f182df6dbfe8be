package larder

import (
	"fmt"
	"slices"
	"strings"
)

// Selector names foods that rules speak of together: by tag, aisle, kind, allergen or
// grade, or one food by itself.
type Selector struct{ by, name string }

// tag is a row of the table of tags.
type tag struct {
	what, except []Selector
	// byName tells that a name which holds a tagged food's is taken for it.
	byName bool
}

// selectorKinds are the ways a selector can name foods.
var selectorKinds = []string{"tag", "aisle", "kind", "allergen", "grade", "food"}

// Selects tells whether one of the selectors names a food.
func Selects(selectors []Selector, f *Food) bool {
	return slices.ContainsFunc(selectors, func(s Selector) bool { return s.selects(f) })
}

func (s Selector) selects(f *Food) bool {
	switch s.by {
	case "tag":
		return f.Tagged(s.name)
	case "aisle":
		return f.Aisle == s.name
	case "kind":
		return f.Kind == s.name
	case "allergen":
		return slices.Contains(f.Allergen, s.name)
	case "grade":
		return string(f.Grade) == s.name
	}
	return f.ID == s.name
}

// selectors reads the selectors of a table; fail is told of those that name nothing.
func (l *Larder) selectors(texts []string, fail func(string)) []Selector {
	var out []Selector
	for _, text := range texts {
		s := Selector{by: "food", name: text}
		if by, name, found := strings.Cut(text, ":"); found {
			s = Selector{by: by, name: name}
		}
		switch {
		case !slices.Contains(selectorKinds, s.by), s.by == "tag" && l.tags[s.name] == nil,
			s.by != "tag" && !slices.ContainsFunc(l.order, s.selects):
			fail(text)
		}
		out = append(out, s)
	}
	return out
}

// Tagged tells whether a food bears a tag.
func (f *Food) Tagged(name string) bool { return slices.Contains(f.Tags, name) }

// tagsOf lists the tags that the table gives a food, sorted.
func (l *Larder) tagsOf(f *Food) []string {
	out := []string{}
	for name, t := range l.tags {
		if Selects(t.what, f) && !Selects(t.except, f) {
			out = append(out, name)
		}
	}
	slices.Sort(out)
	return out
}

// byItsNames gives a food of the cook's own what its names give away: the tags and the
// allergens of the foods that they speak of.
func (l *Larder) byItsNames(f *Food, allergens bool) {
	for _, name := range append([]string{f.Name}, f.Aliases...) {
		words := Words(name)
		for _, m := range l.index.All(words, false) {
			for _, tag := range m.Food.Tags {
				if l.tags[tag].byName && !f.Tagged(tag) {
					f.Tags = append(f.Tags, tag)
				}
			}
			if allergens {
				f.Allergen = union(f.Allergen, m.Food.Allergen)
			}
		}
		for _, x := range l.impliedBy(words) {
			if allergens && !slices.Contains(animalAllergens, x) {
				f.Allergen = union(f.Allergen, []string{x})
			}
		}
	}
	slices.Sort(f.Tags)
}

func union(a, b []string) []string {
	out := slices.Clone(a)
	for _, x := range b {
		if !slices.Contains(out, x) {
			out = append(out, x)
		}
	}
	return out
}

func (l *Larder) loadTags(src Source) error {
	l.tags = map[string]*tag{}
	return eachRow(src, "tags.csv", func(r row) {
		fail := func(text string) { r.fail("%q selects no food", text) }
		l.tags[r.text("tag")] = &tag{l.selectors(r.list("what"), fail), l.selectors(r.list("except"), fail), r.text("byname") == "yes"}
	})
}

// Bar is a hard rule: its name and the foods that break it.
type Bar struct {
	Rule string     `yaml:"rule"`
	What []string   `yaml:"what"`
	bars []Selector // What, looked up
}

// Breaks tells whether a food breaks the rule.
func (b *Bar) Breaks(f *Food) bool { return Selects(b.bars, f) }

// Switch is something that a kitchen can turn off by itself: foods, kit, ways of
// working, a heat, uses of foods.
type Switch struct {
	ID   string `yaml:"id"`
	Rule string `yaml:"rule"`
	// Diner is what one who cannot eat it calls it, empty where none would.
	Diner      string   `yaml:"diner"`
	Bars       []string `yaml:"bars"`
	Kit        []string `yaml:"kit"`
	Techniques []string `yaml:"techniques"`
	Heat       string   `yaml:"heat"`
	Uses       []string `yaml:"uses"`
	// Raw bars the foods only where they stay raw.
	Raw  bool `yaml:"raw"`
	bars []Selector
}

// Breaks tells whether a food breaks the switch's rule.
func (s *Switch) Breaks(f *Food) bool { return Selects(s.bars, f) }

// Liking is what a school is fond of, by the amount or wherever there is some.
type Liking struct {
	What     []string `yaml:"what"`
	ByAmount bool     `yaml:"byAmount"`
	what     []Selector
}

// Likes tells whether a food is liked.
func (l *Liking) Likes(f *Food) bool { return Selects(l.what, f) }

// Preset is a school: what it bars, what it would rather have, and in words.
type Preset struct {
	ID   string   `yaml:"id"`
	Name string   `yaml:"name"`
	Bars []Bar    `yaml:"bars"`
	Soft []string `yaml:"soft"`
	// Weighs are the soft rules that are measured: see the Weighs constants.
	Weighs []string `yaml:"weighs"`
	// Less are the traits that the school wants less of.
	Less  []string `yaml:"less"`
	Likes []Liking `yaml:"likes"`
	// Instead is the food that the book's swaps take for those of a selector.
	Instead struct {
		What []string `yaml:"what"`
		Food string   `yaml:"food"`
		what []Selector
	} `yaml:"instead"`
}

// What presets weigh: grades away from whole, free oil, refined staples, salt.
const (
	WeighsGrades  = "grades"
	WeighsOil     = "oil"
	WeighsRefined = "refined"
	WeighsSalt    = "salt"
)

// Weigh tells whether the school weighs something.
func (p *Preset) Weigh(what string) bool { return slices.Contains(p.Weighs, what) }

// InPlaceOf is the food that stands in swaps for another under the school.
func (l *Larder) InPlaceOf(p *Preset, f *Food) *Food {
	if p == nil || f == nil || p.Instead.Food == "" || !Selects(p.Instead.what, f) {
		return f
	}
	return l.foods[p.Instead.Food]
}

// Presets lists the schools, Switches what a kitchen can turn off besides.
func (l *Larder) Presets() []Preset  { return l.presets }
func (l *Larder) Switches() []Switch { return l.switches }

// Preset finds a school by its id, nil when there is none.
func (l *Larder) Preset(id string) *Preset {
	at := slices.IndexFunc(l.presets, func(p Preset) bool { return p.ID == id })
	if at < 0 {
		return nil
	}
	return &l.presets[at]
}

// Switch finds a switch by its id, nil when there is none.
func (l *Larder) Switch(id string) *Switch {
	at := slices.IndexFunc(l.switches, func(s Switch) bool { return s.ID == id })
	if at < 0 {
		return nil
	}
	return &l.switches[at]
}

// SwitchFor finds the switch for what a diner cannot eat, nil when there is none.
func (l *Larder) SwitchFor(diner string) *Switch {
	at := slices.IndexFunc(l.switches, func(s Switch) bool { return s.Diner != "" && s.Diner == diner })
	if at < 0 {
		return nil
	}
	return &l.switches[at]
}

func (l *Larder) loadHouse(src Source) error {
	var house struct {
		Switches []Switch `yaml:"switches"`
		Presets  []Preset `yaml:"presets"`
	}
	if err := src.Decode("house.yaml", &house); err != nil {
		return err
	}
	var problems []string
	where := ""
	fail := func(text string) { problems = append(problems, where+": "+text+" is nothing known") }
	for i := range house.Switches {
		s := &house.Switches[i]
		where = "switch " + s.ID
		s.bars = l.selectors(s.Bars, fail)
		for _, name := range s.Techniques {
			if l.techniques[name] == nil {
				fail(name)
			}
		}
	}
	for i := range house.Presets {
		p := &house.Presets[i]
		where = "preset " + p.ID
		for k := range p.Bars {
			p.Bars[k].bars = l.selectors(p.Bars[k].What, fail)
		}
		for k := range p.Likes {
			p.Likes[k].what = l.selectors(p.Likes[k].What, fail)
		}
		p.Instead.what = l.selectors(p.Instead.What, fail)
		if p.Instead.Food != "" && l.foods[p.Instead.Food] == nil {
			fail(p.Instead.Food)
		}
		for _, w := range p.Weighs {
			if !slices.Contains([]string{WeighsGrades, WeighsOil, WeighsRefined, WeighsSalt}, w) {
				fail(w)
			}
		}
	}
	l.presets, l.switches = house.Presets, house.Switches
	if problems != nil {
		return fmt.Errorf("house.yaml: %s", strings.Join(problems, "; "))
	}
	return nil
}

// Raising is the tag of what makes a dough or batter rise as soon as it is wet, so that it is cooked soon.
const Raising = "raising"
