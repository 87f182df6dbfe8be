package swap

import (
	"math"

	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/texts"
)

// TrayItem is one booster with what a dose of it would do to the dish as it
// stands.
type TrayItem struct {
	Food      string   `json:"food"`
	Form      string   `json:"form"`
	Name      string   `json:"name"`
	Traits    []string `json:"traits"`
	When      string   `json:"when"`
	Component int      `json:"component"`
	Part      string   `json:"part"`
	// Step is one kitchen dose, Most the greatest amount, Grams what is in now.
	Step  float64 `json:"step"`
	Most  float64 `json:"most"`
	Grams float64 `json:"grams"`
	Shown string  `json:"shown"`
	// Helps tells that it closes a trait that is short now.
	Helps bool   `json:"helps"`
	Moves []Move `json:"moves"`
	// Barred names the house rule or the reason that keeps it out, empty when
	// nothing does.
	Barred   string   `json:"barred"`
	Allergen []string `json:"allergens"`
	Estimate bool     `json:"estimate"`
}

// shownMove is the least change of a trait that the tray names.
const shownMove = 0.1

// Tray lists every booster with what one more dose does to the dish.
func (b *Book) Tray(d recipe.Dish, dec Decisions) ([]TrayItem, error) {
	rules, err := NewRules(b.larder, dec.HouseRules)
	if err != nil {
		return nil, err
	}
	x := b.prepare(d, rules, dec)
	x.ready()
	out := []TrayItem{}
	if len(x.shapes) == 0 {
		return out, nil
	}
	choice, doses := x.decided(dec)
	st, open := x.total(choice, doses)
	for _, booster := range b.larder.Boosters() {
		f := rules.inPlace(booster.Food)
		if f == nil {
			continue
		}
		item := TrayItem{Food: booster.Food, Form: booster.Form, Name: f.Name, Traits: booster.Traits, When: booster.When, Step: booster.Step,
			Moves: []Move{}, Allergen: f.Allergen, Estimate: booster.Source == larder.Estimate, Component: x.main}
		if home := x.original.Home(booster.Traits[0]); home >= 0 {
			item.Component = home
		}
		for _, dose := range dec.Boosters {
			if dose.Food == booster.Food {
				item.Grams, item.Component = item.Grams+dose.Grams, x.partOf(dose)
			}
		}
		item.Part = x.shapes[item.Component].Name
		item.Most = math.Floor(booster.Most*x.before.Parts[item.Component].Mass/100/booster.Step) * booster.Step
		item.Shown = kitchenAmount(f, max(item.Grams, booster.Step))
		item.Barred = x.barred(booster, f, item.Component)
		x.weigh(&st, open)
		before := x.snapshot()
		for _, trait := range booster.Traits {
			item.Helps = item.Helps || before.Short(&x.before, x.wishes, trait, item.Component)
		}
		one := x.booster(0, Dose{Food: booster.Food, Form: booster.Form, Grams: booster.Step, Component: item.Component})
		st.add(&one, 1)
		x.weigh(&st, open)
		st.add(&one, -1)
		item.Moves = x.moves(&before, item.Component)
		out = append(out, item)
	}
	return out, nil
}

// barred says why a booster is kept out.
func (x *bench) barred(b *larder.Booster, f *larder.Food, part int) string {
	switch {
	case x.rules.Breaks(f) != "":
		return x.rules.Breaks(f)
	case x.dessert && b.In == larder.InSavoury:
		return texts.Say("swap.doesNotBelongInADessert")
	case x.shapes[part].Clear && f.Tagged(clouds):
		return texts.Say("swap.wouldCloudTheBroth")
	case x.darkensPale(f, part):
		return texts.Say("swap.wouldDarkenWhatIsPale")
	case b.Step > b.Most*x.before.Parts[part].Mass/100:
		return texts.Say("swap.oneDoseWouldShowInSo")
	}
	return ""
}

func (x *bench) snapshot() character.Profile {
	p := x.profile
	p.Parts = append([]character.PartProfile{}, x.profile.Parts...)
	return p
}

// moves lists how far the traits of the dish and of one component moved since
// before, in steps from the original.
func (x *bench) moves(before *character.Profile, part int) []Move {
	out := []Move{}
	for _, t := range character.Traits {
		was, is := x.wishes.Apart(&x.before, before, t.Name, part), x.wishes.Apart(&x.before, &x.profile, t.Name, part)
		if math.Abs(is-was) < shownMove {
			continue
		}
		m := Move{Trait: t.Name, Steps: is - was, Verdict: character.Judge(is), Pinned: x.wishes.Pins[t.Name]}
		if t.ByComponent() {
			m.Component = x.shapes[part].Name
		}
		out = append(out, m)
	}
	return out
}

// LineRole is what a line of the original does and what becomes of it.
type LineRole struct {
	Ref string        `json:"ref"`
	Use character.Use `json:"use"`
	// Fate says what the steps leave of it, empty where it simply stays.
	Fate string `json:"fate"`
	// Taken is the share of its mass that stays.
	Taken float64 `json:"taken"`
}

// Roles tells of every line of the original that the model weighs what it does
// and what becomes of it.
func (b *Book) Roles(d recipe.Dish, dec Decisions) []LineRole {
	out := []LineRole{}
	for _, p := range character.Of(b.larder, d, dec.Uses).Parts {
		for _, it := range p.Items {
			r := LineRole{Ref: it.Ref, Use: it.Use, Taken: it.Fate.Taken}
			if r.Use.Others == nil {
				r.Use.Others = []string{}
			}
			if it.Fate.Name != "kept" {
				r.Fate = it.Fate.Says
			}
			out = append(out, r)
		}
	}
	return out
}

// Dishes makes original and adaptation ready side by side, as the model sees
// them.
func (b *Book) Dishes(d recipe.Dish, dec Decisions) (original, adapted character.Dish, a Adaptation, err error) {
	rules, err := NewRules(b.larder, dec.HouseRules)
	if err != nil {
		return original, adapted, a, err
	}
	x := b.prepare(d, rules, dec)
	a = x.apply(dec, false)
	return x.original, x.dishOf(a), a, nil
}
