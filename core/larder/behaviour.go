package larder

import (
	"math"
	"slices"
	"strings"
)

// Behaviour is how a food of a form takes to a pot and a pan.
type Behaviour struct {
	// Done are the minutes in liquid until it is eaten, Bears those after which
	// it spoils; infinite where it never does.
	Done, Bears float64
	// Browned tells that its surface is browned already, NoFry that a hot pan
	// spoils it, Dissolves that it goes into the liquid for good.
	Browned, NoFry, Dissolves bool
	// Solid tells of a fat that is melted before it fries.
	Solid bool
}

// behaviourRow is what the table says under one key; empty cells say nothing.
type behaviourRow struct {
	done, bears                              Figure
	browned, fries, dissolves, solid, source string
}

func (l *Larder) loadBehaviour(src Source) error {
	l.behaviour = map[string]behaviourRow{}
	return eachRow(src, "behaviour.csv", func(r row) {
		what := spokenOf(r, l, l.behaviour)
		l.behaviour[what] = behaviourRow{r.figure("done"), r.figure("bears"), r.text("browned"), r.text("fries"), r.text("dissolves"), r.text("solid"), r.text("source")}
	})
}

// spokenOf is what a row of such a table speaks of: a food, a form, both or a shelf, each in
// one row only.
func spokenOf[T any](r row, l *Larder, known map[string]T) string {
	what := r.text("what")
	if _, twice := known[what]; twice {
		r.fail("%s stands twice", what)
	}
	if food, _, _ := strings.Cut(what, "/"); food != "" && !strings.Contains(food, ":") {
		r.food(l, food)
	}
	return what
}

// rowsFor are the keys under which a table may speak of a food in a form, the most
// exact first.
func rowsFor(f *Food, form string) []string {
	return []string{f.ID + "/" + form, "/" + form, f.ID, "kind:" + f.Kind, "shelf:" + f.Aisle}
}

// BehaviourOf is how a food behaves in a form: each figure from the most exact
// row of the table that has it.
func (l *Larder) BehaviourOf(f *Food, form string) Behaviour {
	b := Behaviour{Bears: math.Inf(1)}
	done, bears, browned, fries, dissolves := false, false, false, false, false
	for _, key := range rowsFor(f, form) {
		row, ok := l.behaviour[key]
		if !ok || form == "" && strings.HasPrefix(key, "/") {
			continue
		}
		if row.done != nil && !done {
			b.Done, done = *row.done, true
		}
		if row.bears != nil && !bears {
			b.Bears, bears = *row.bears, true
		}
		if row.browned != "" && !browned {
			b.Browned, browned = row.browned == "yes", true
		}
		if row.fries != "" && !fries {
			b.NoFry, fries = row.fries == "no", true
		}
		b.Solid = b.Solid || row.solid == "yes"
		if row.dissolves != "" && !dissolves {
			b.Dissolves, dissolves = row.dissolves == "yes", true
		}
	}
	return b
}

// CarryRule says what becomes of work on something that was replaced.
type CarryRule struct {
	Techniques, Uses, Was, Said []string
	Now, Then, Say, Why, Source string
}

// Does is the verb that is said of what is worked on, Beside that where it is what something else is worked
// on with: "spoon it over", "top with it". Beside is empty where the rule does not say.
func (r *CarryRule) Does() string {
	does, _, _ := strings.Cut(r.Say, "|")
	return does
}

// Beside is the verb for what something is worked on with.
func (r *CarryRule) Beside() string {
	_, beside, _ := strings.Cut(r.Say, "|")
	return beside
}

// What a carry rule does.
const (
	CarryDrop = "drop"
	CarryKeep = "keep"
	CarrySay  = "say"
)

// The states of a stand-in that carry rules ask for.
const (
	Bound     = "bound"
	Prepared  = "prepared"
	Ready     = "ready"
	Browned   = "browned"
	NoFry     = "nofry"
	LiquidFat = "liquidfat"
	NoFat     = "nofat"
	Steeped   = "steeped"
	Batter    = "batter"
	Melted    = "melted"
	Laid      = "laid"
	Carved    = "carved"
	Rounds    = "rounds"
)

var carryStates = []string{"any", Bound, Prepared, Ready, Browned, NoFry, LiquidFat, NoFat, Steeped, Batter, Melted, Laid, Carved, Rounds}

// flesh are the classes that rules call so.
var flesh = []string{string(Meat), string(Poultry), string(Fish), string(Shellfish)}

func (l *Larder) loadCarrying(src Source) error {
	return eachRow(src, "carrying.csv", func(r row) {
		rule := CarryRule{Techniques: r.list("technique"), Uses: r.list("use"), Said: r.list("said"), Now: r.text("now"), Then: r.text("then"), Say: r.text("say"), Why: r.text("why"), Source: r.text("source")}
		for _, was := range r.list("was") {
			if was == "flesh" {
				rule.Was = append(rule.Was, flesh...)
			} else {
				rule.Was = append(rule.Was, was)
			}
		}
		for _, name := range rule.Techniques {
			l.knownWay(r, name)
		}
		if !slices.Contains([]string{CarryDrop, CarryKeep, CarrySay}, rule.Then) || (rule.Then == CarrySay) != (rule.Say != "") || !slices.Contains(carryStates, rule.Now) {
			r.fail("now %q, then %q, say %q", rule.Now, rule.Then, rule.Say)
		}
		l.carrying = append(l.carrying, rule)
	})
}

// knownWay fails where a row names no technique and no family of them.
func (l *Larder) knownWay(r row, name string) {
	family, isFamily := strings.CutPrefix(name, "family:")
	for _, t := range l.techniques {
		if isFamily && t.Family == family || !isFamily && t.Name == name {
			return
		}
	}
	if name != "any" {
		r.fail("no technique %q", name)
	}
}

// works tells whether a technique is among ways of working.
func works(ways []string, t *Technique) bool {
	return slices.ContainsFunc(ways, func(w string) bool { return w == "any" || t.Is(w) || w == "family:"+t.Family })
}

// CarryRuleFor is the first rule for work on something of a class, of a use and in
// some states, under a verb; nil when there is none.
func (l *Larder) CarryRuleFor(t *Technique, verb, use string, was Animal, states []string) *CarryRule {
	class := string(was)
	if class == "" {
		class = "plant"
	}
	for i := range l.carrying {
		r := &l.carrying[i]
		switch {
		case !works(r.Techniques, t):
		case len(r.Uses) > 0 && !slices.Contains(r.Uses, use):
		case !slices.Contains(r.Was, "any") && !slices.Contains(r.Was, class):
		case len(r.Said) > 0 && !slices.Contains(r.Said, verb):
		case r.Now != "any" && !slices.Contains(states, r.Now):
		default:
			return r
		}
	}
	return nil
}

// SmallUse says what a cook takes for animal matter that only a step names.
type SmallUse struct {
	Techniques, Was, Foods []string
	Grams                  float64
	Why, Source            string
}

func (l *Larder) loadSmallUses(src Source) error {
	return eachRow(src, "smalluses.csv", func(r row) {
		u := SmallUse{Techniques: r.list("technique"), Was: r.list("was"), Foods: r.list("foods"), Grams: r.number("grams", 0), Why: r.text("why"), Source: r.text("source")}
		for _, name := range u.Techniques {
			l.knownWay(r, name)
		}
		for _, id := range u.Foods {
			if f := r.food(l, id); f != nil && f.Origin == FromAnimal {
				r.fail("%s is an animal's", id)
			}
		}
		l.smallUses = append(l.smallUses, u)
	})
}

// SmallUseFor is the first row for animal matter of a kind and class under a way of working, or for the food itself where that
// is known; the last row of the table fits all.
func (l *Larder) SmallUseFor(t *Technique, kind string, class Animal, food ...string) *SmallUse {
	for i := range l.smallUses {
		u := &l.smallUses[i]
		if works(u.Techniques, t) && slices.ContainsFunc(u.Was, func(w string) bool { return w == "any" || w == kind || w == string(class) || slices.Contains(food, w) }) {
			return u
		}
	}
	return nil
}
