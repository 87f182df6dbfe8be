package method

import (
	"math"
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// standIn is what takes the place of a line: a swap with what it is called and
// how it behaves, or nothing.
type standIn struct {
	ref             string
	component, line int
	was             *recipe.Line
	chosen          *swap.Chosen
	book            *larder.Swap
	// class is what it was in the original, as the carry rules call it: what is made
	// from an animal and is no piece of it (a stock, a sauce) is an extract.
	class larder.Animal
	// name is what steps call it, without an article; lines are those it brought.
	name   string
	plural bool
	// bare tells that the name takes no article: "spoonfuls of water".
	bare bool
	// unfired tells that the dish browns what its preparation only shapes.
	unfired bool
	// finished tells that a clause of the method stirs it in.
	finished bool
	lines    []int
	// open tells that nothing is chosen yet, gone that nothing stands for it.
	open, gone bool
	// mixed tells that its parts are stirred together before they go in.
	mixed bool
	larder.Behaviour
	states []string
	// node is the number of its line in the flow. enters is the action with which
	// it goes in; tail, where it is not 0, the minutes it takes of that action.
	node, enters int
	tail         float64
	// visit is from and to which action it is in the pan that browns it and is taken out again, before it goes in late;
	// without an end where there is none.
	visit [2]int
}

// first is the action with which a stand-in is first in a pan.
func (s *standIn) first() int {
	if s.visit[1] > 0 {
		return s.visit[0]
	}
	return s.enters
}

// visits tells whether a stand-in is in the pan that browns it at an action, before it goes in late.
func (s *standIn) visits(i int) bool { return s.visit[1] > 0 && s.visit[0] <= i && i <= s.visit[1] }

// meltingForm is the form of what stands for cheese and has run already when it goes on.
const meltingForm = "melting"

// extract is the class of stocks and sauces made from an animal.
const extract larder.Animal = "extract"

// never is the action of what goes in nowhere.
const never = math.MaxInt

// boiledIn tells whether all that is done to it is that it boils in the dish's own liquid,
// where it goes in: a powder that sets.
func (s *standIn) boiledIn() bool {
	return s.was.Animal == larder.Gelatine && len(s.lines) == 1 && s.enters != never && s.Done > 0
}

// is tells whether it is in one of the states of the carry rules.
func (s *standIn) is(state string) bool { return slices.Contains(s.states, state) }

// flesh tells whether it stands for meat, poultry, fish or shellfish.
func (s *standIn) flesh() bool { return s.class.Flesh() }

// standIns lists what takes the place of the lines of one component.
func (c *Carrier) standIns(d *recipe.Dish, a *swap.Adaptation, i int) []*standIn {
	var out []*standIn
	for j := range d.Components[i].Lines {
		line := &d.Components[i].Lines[j]
		s := &standIn{ref: recipe.LineRef(i, j), component: i, line: j, was: line, enters: never}
		at := slices.IndexFunc(a.Swaps, func(x swap.Chosen) bool { return x.Replaces == s.ref })
		switch {
		case at >= 0:
			s.chosen = &a.Swaps[at]
			s.lines = s.chosen.Lines
			s.book = c.book.Larder().SwapNamed(s.chosen.Swap)
		case slices.ContainsFunc(a.Unresolved, func(o swap.Open) bool { return o.Line == s.ref }) && line.Origin == larder.FromAnimal:
			s.open = true
		default:
			continue
		}
		s.class = line.Animal
		if f := c.book.Larder().Food(line.FoodID()); f != nil && c.book.Larder().Language().Extracts[f.Kind] && line.Animal != larder.Gelatine && line.Animal != larder.Fat {
			s.class = extract
		}
		s.gone = s.book == nil || len(s.book.Formula) == 0 && !s.book.Bare && s.book.Verb == ""
		if !s.gone {
			c.know(s)
		}
		out = append(out, s)
	}
	return out
}

// know notes what a stand-in is called and how it behaves.
func (c *Carrier) know(s *standIn) {
	l := c.book.Larder()
	s.name = s.book.CalledFor(s.chosen.Use)
	s.plural = c.plural(s.name)
	f, form := l.MainFood(s.book), ""
	steeped, cut := false, false
	for _, p := range s.book.Formula {
		cut = cut || p.Preparation != ""
		if food := l.Food(p.Food); food != nil {
			x, ok := food.Forms[p.Form]
			steeped = steeped || ok && x.Yield == 0 && s.was.Origin != larder.FromPlant
		}
		if f != nil && p.Food == f.ID {
			form = p.Form
		}
	}
	s.mixed = c.pours(s.book)
	s.Behaviour = larder.Behaviour{Bears: math.Inf(1)}
	fat := false
	if f != nil {
		s.Behaviour = l.BehaviourOf(f, form)
		fat = larder.IsFat(f)
	}
	if s.bare = s.name == s.book.Pan || s.book.Bare; s.bare {
		s.Behaviour = larder.Behaviour{Bears: math.Inf(1)}
	}
	if steeped {
		s.Bears = math.Inf(1)
	}
	if s.book.Bears > 0 {
		s.Bears = s.book.Bears
	}
	if s.book.CookMinutes > 0 {
		s.Done, s.Bears = s.book.CookMinutes, math.Max(s.Bears, s.book.CookMinutes)
	}
	s.Browned = c.isBrowned(s.book, s.Browned)
	for state, holds := range map[string]bool{
		larder.Prepared: len(s.book.Prepare) > 0 || cut, larder.Ready: s.Done == 0 && !steeped, larder.Browned: s.Browned, larder.NoFry: s.NoFry,
		larder.LiquidFat: fat && !s.Solid, larder.NoFat: !fat && c.fatLine(s.was), larder.Steeped: steeped,
		larder.Batter: s.mixed && s.Dissolves, larder.Melted: form == meltingForm, larder.Carved: s.book.Carved, larder.Rounds: c.fired(s.book).rounds,
	} {
		if holds {
			s.states = append(s.states, state)
		}
	}
}

// rolledOut is the sentence with which a dough is rolled out that stands for a sheet, empty where the method
// rolls it or it is none.
func (p *plan) rolledOut(s *standIn) string {
	if s.book.Rolls == "" || slices.ContainsFunc(p.path(s.node), func(k int) bool { return p.graph.Nodes[k].Is(rollTechnique) && !p.deeds[k].drop }) {
		return ""
	}
	return " " + s.book.Rolls
}

// rollTechnique makes a sheet of a dough.
const rollTechnique = "roll"

// pours tells whether a swap of several parts comes together to one liquid or
// paste.
func (c *Carrier) pours(book *larder.Swap) bool {
	dissolving, parts := 0, 0
	for _, p := range book.Formula {
		if f := c.book.Larder().Food(p.Food); f != nil {
			parts++
			if c.book.Larder().BehaviourOf(f, p.Form).Dissolves {
				dissolving++
			}
		}
	}
	return parts > 1 && dissolving > 0
}

// fatLine tells whether a line is a fat to fry in.
func (c *Carrier) fatLine(line *recipe.Line) bool {
	return larder.IsFat(c.book.Larder().Food(line.FoodID()))
}

// plural tells whether a name is that of more than one thing.
func (c *Carrier) plural(name string) bool {
	words := strings.Fields(name)
	if len(words) == 0 {
		return false
	}
	last := larder.Fold(words[len(words)-1])
	and := slices.Index(words, c.words().And)
	made := c.book.Larder().Language().Products
	if and > 0 && made[last] && !made[words[and-1]] {
		and = -1 // "the tofu and walnut mix" is one
	}
	return larder.Singular(last) != last || and >= 0
}
