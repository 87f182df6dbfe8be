package swap

import (
	"fmt"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"yembra/core/character"
	"yembra/core/larder"
)

// common lists the uses that every kitchen meets: kind of food and use.
var common = [][2]string{
	{"mince", "crumble"}, {"mince", "shape"}, {"chunks", "braise"}, {"chunks", "shred"}, {"slices", "slices"}, {"slices", "rolled"}, {"whole", "roast"},
	{"poultry-pieces", "braise"}, {"poultry-whole", "roast"}, {"poultry-pieces", "breaded"}, {"offal", "slices"}, {"offal", "paste"},
	{"sausage", "sausage"}, {"smoked-sausage", "sausage"}, {"smoked-meat", "smoke"}, {"cured-meat", "cure"}, {"bones", "stock"}, {"stock", "stock"},
	{"stock-cube", "season"}, {"white-fish", "flake"}, {"white-fish", "fillet"}, {"white-fish", "breaded"}, {"oily-fish", "fillet"},
	{"smoked-fish", "flake"}, {"oily-fish", "cured"}, {"tinned-fish", "flake"}, {"dried-fish", "season"}, {"shellfish", "piece"}, {"roe", "garnish"},
	{"fish-sauce", "season"}, {"fish-paste", "season"}, {"shellfish-paste", "season"},
	{"egg", "set"}, {"egg", "bind"}, {"egg", "lift"}, {"egg", "glaze"}, {"egg", "coat"}, {"egg", "piece"}, {"egg", "runny"}, {"yolk", "emulsify"}, {"yolk", "thicken"},
	{"milk", "body"}, {"milk", "custard"}, {"cream", "finish"}, {"cream", "whip"}, {"soured-cream", "finish"}, {"yoghurt", "marinade"}, {"buttermilk", "lift"}, {"condensed-milk", "sweet"},
	{"butter", "shorten"}, {"butter", "roux"}, {"butter", "fry"}, {"butter", "enrich"}, {"fat", "shorten"}, {"fat", "fry"},
	{"cheese-melt", "melt"}, {"cheese-melt", "fill"}, {"cheese-grate", "season"}, {"cheese-fresh", "fill"}, {"cheese-fresh", "crumble"}, {"cheese-brined", "crumble"}, {"cheese-fresh", "dessert"},
	{"egg", "scramble"}, {"egg", "omelette"}, {"egg", "chou"}, {"egg", "dough"}, {"shellfish", "shape"}, {"bones", "jelly"},
	{"gelatine", "set"}, {"honey", "sweeten"},
}

// What a novice manages on a weekday.
const (
	noviceHands = 10.0
	noviceWait  = 30.0
)

func TestTheBookCoversEveryCommonUse(t *testing.T) {
	b, _ := open(t)
	swaps, boosters := b.larder.Swaps(), b.larder.Boosters()
	require.GreaterOrEqual(t, len(swaps), 450)
	require.GreaterOrEqual(t, len(boosters), 90)
	rules := func(off ...string) Rules {
		r, err := NewRules(b.larder, HouseRules{Preset: WholeFood, Off: off})
		require.NoError(t, err)
		return r
	}
	for _, c := range common {
		fitting := slices.DeleteFunc(slices.Clone(swaps), func(s *larder.Swap) bool {
			return !s.ServesFood(c[0], nil) || len(s.Uses) > 0 && !slices.Contains(s.Uses, c[1])
		})
		where := fmt.Sprintf("%s, %s", c[0], c[1])
		made := map[string]bool{}
		for _, s := range fitting {
			if f := b.larder.MainFood(s); f != nil {
				made[f.Aisle] = true
			} else {
				made["nothing"] = true
			}
		}
		assert.GreaterOrEqual(t, len(fitting), 3, where)
		assert.GreaterOrEqual(t, len(made), 3, "%s: made of %v", where, made)
		any := func(what string, is func(*larder.Swap) bool) {
			assert.True(t, slices.ContainsFunc(fitting, is), "%s: none %s", where, what)
		}
		for _, off := range []string{"soy", "tree-nuts", "gluten"} {
			r := rules(off)
			any("without "+off, func(s *larder.Swap) bool { return r.BreaksSwap(s) == "" })
		}
		whole := rules()
		any("of whole food", func(s *larder.Swap) bool { return whole.BreaksSwap(s) == "" })
		any("for a novice", func(s *larder.Swap) bool {
			hands, wait := s.Minutes()
			return hands <= noviceHands && wait <= noviceWait
		})
		any("with something to fall back on", func(s *larder.Swap) bool { return len(s.Next) > 0 })
	}
}

func TestSwapsServeUsesThatARuleGives(t *testing.T) {
	b, _ := open(t)
	for _, s := range b.larder.Swaps() {
		for _, use := range s.Uses {
			assert.True(t, b.larder.KnownUse(use) || use == "raw", "%s: no rule gives the use %q", s.ID, use)
		}
	}
	for _, x := range b.larder.Boosters() {
		for _, trait := range x.Traits {
			_, ok := character.TraitNamed(trait)
			assert.True(t, ok, "%s: no trait %q", x.Food, trait)
		}
	}
}

// A booster has to bring what it is there for.
func TestBoostersBringTheirTraits(t *testing.T) {
	b, r := open(t)
	d := r.Read("Pot\nServes 4\n\n1 kg potatoes\n500 ml water\n\nMethod\n1. Simmer the potatoes in the water for 20 minutes.", "metric")
	x := b.benchOf(t, d, Decisions{HouseRules: HouseRules{Preset: "like-for-like"}})
	base := x.original.Profile()
	for _, booster := range b.larder.Boosters() {
		o := x.booster(0, Dose{Food: booster.Food, Form: booster.Form, Grams: booster.Most * 15})
		sums := x.original.Sums()
		sums[0].Add(&o.sums, 1)
		var p character.Profile
		character.Evaluate(x.shapes, sums, &p)
		trait := booster.Traits[0]
		before, after := valueOf(&base, trait), valueOf(&p, trait)
		assert.Greater(t, after, before, "%s for %s", booster.Food, trait)
	}
}

func valueOf(p *character.Profile, trait string) float64 {
	for i, t := range character.Traits {
		if t.Name == trait && !t.ByComponent() {
			return p.Whole[i]
		} else if t.Name == trait {
			return p.Parts[0].Traits[i-len(p.Whole)]
		}
	}
	return -1
}

func TestEverySwapIsDescribedInFull(t *testing.T) {
	b, _ := open(t)
	for _, s := range b.larder.Swaps() {
		for what, text := range map[string]string{"cook": s.Cook, "when": s.When, "ahead": s.Ahead, "why": s.Why, "limits": s.Limits, "source": s.Source} {
			assert.NotEmpty(t, text, "%s says nothing of %s", s.ID, what)
		}
	}
}
