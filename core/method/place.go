package method

import (
	"cmp"
	"fmt"
	"slices"
	"strings"
	"unicode"
	"unicode/utf8"

	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// overnight is the waiting in minutes from which a preparation is for the
// evening before.
const overnight = 240.0

func lowered(text string) string {
	r, n := utf8.DecodeRuneInString(text)
	return string(unicode.ToLower(r)) + text[n:]
}

// waitsLong is the waiting in minutes from which a preparation is made before the cooking begins, so that no
// pot stands on the fire for what soaks or boils; an estimate.
const waitsLong = 15.0

// earliest puts what is for the evening before in front, then what waits long, each with what it is made of.
func earliest(steps []swap.Step) []swap.Step {
	evening, ahead, later := []swap.Step{}, []swap.Step{}, []swap.Step{}
	for i, s := range steps {
		waits := func(least float64) bool {
			return s.Prepares != "" && slices.ContainsFunc(steps[i:], func(o swap.Step) bool { return o.Prepares == s.Prepares && o.Wait >= least })
		}
		switch {
		case waits(overnight):
			evening = append(evening, s)
		case waits(waitsLong):
			ahead = append(ahead, s)
		default:
			later = append(later, s)
		}
	}
	return append(append(evening, ahead...), later...) // never null
}

// bring adds the line that a small use wants, the first food that the house rules
// allow, and names it; not ok where the dish does without.
func (c *Carrier) bring(p *plan, i int, u *larder.SmallUse, house swap.HouseRules, act *recipe.Action) (string, bool) {
	rules, err := swap.NewRules(c.book.Larder(), house)
	if err != nil {
		return "", false
	}
	comp := &p.a.Components[i]
	for _, l := range comp.Lines {
		f := c.book.Larder().Food(l.FoodID())
		if slices.Contains(u.Was, fatKind) && l.Change == swap.Kept && l.Amount == nil && c.fatLine(&l.Line) && f != nil && rules.Breaks(f) == "" {
			return c.words().The + " " + p.lowered(&l.Line), true // the cook's own oil, of which the list says no amount
		}
	}
	var foods []*larder.Food
	for _, id := range u.Foods {
		if f := c.book.Larder().Food(id); f != nil && rules.Breaks(f) == "" {
			foods = append(foods, f)
		}
	}
	for _, f := range foods { // rather what is listed than another of its kind
		if at := slices.IndexFunc(comp.Lines, func(l swap.Line) bool { return l.Change != swap.Dropped && l.FoodID() == f.ID }); at >= 0 {
			return p.someOf(&comp.Lines[at], act) + " " + lowered(f.Name), true
		}
	}
	if len(foods) == 0 {
		return "", false
	}
	comp.Lines = append(comp.Lines, swap.Small(foods[0], u.Grams, u.Why))
	return c.words().The + " " + lowered(foods[0].Name), true
}

// someOf stands before the name of a listed line that an action takes besides those that the cook's words take it to:
// more of it where it is used up by then, a little where it is wanted later.
func (p *plan) someOf(l *swap.Line, act *recipe.Action) string {
	words := p.c.words()
	if l.From == nil || l.Amount == nil || act == nil {
		return words.The
	}
	line, at := p.graph.Named(*l.From), p.graph.Node(act.ID)
	if p.brought[line] {
		return words.The // it is in the pan
	}
	p.brought[line] = true
	done := slices.DeleteFunc(slices.Clone(p.path(line)), func(k int) bool { return p.deeds[k].drop })
	switch {
	case len(done) == 0 || done[0] == at:
		return words.The
	case done[0] < at:
		return words.LittleMore
	}
	return words.LittleOf
}

// boosters adds one step for each booster of the component at its moment: with the
// first frying, or while what it goes into is still open to it.
func (c *Carrier) boosters(p *plan, parts []part, i, host int) []part {
	comp := &p.a.Components[i]
	home := p.mainPot(i)
	for at, l := range comp.Lines {
		if l.Change != swap.Booster {
			continue
		}
		b := c.book.Larder().BoosterNamed(l.FoodID())
		text, moment := fmt.Sprintf("%s %s %s.", larder.Capital(c.words().Add), c.words().The, l.Name), larder.AtEnd
		if b != nil {
			text, moment = b.When, b.Moment
		}
		if takes := p.stirredIn(i); moment != larder.AtTable && takes != host || moment == larder.AtTable && p.endsIn(i) != host {
			continue
		}
		var where int
		var ok bool
		parts, where, ok = p.momentApart(parts, moment, home)
		somewhere := ok
		ok = ok && !(b != nil && moment == larder.AtEnd && b.Plain != "" && (!p.wetBefore(parts, where) || p.wetAfter(parts, where, home)))
		if !ok && b != nil && b.Plain != "" {
			text = b.Plain
			if moment == larder.WithAromatics {
				moment = larder.InLiquid // it still wants to be cooked
			} else {
				moment = larder.AtEnd
			}
			parts, where, somewhere = p.momentApart(parts, moment, home)
		}
		if f := p.l.Food(l.FoodID()); !somewhere && f != nil && larder.Or(f.Per100.Water, 100) < dryPowder {
			text, where = strings.ReplaceAll(c.words().Strew, "{thing}", l.Name), p.served(parts) // there is nothing to stir into
			if b != nil && b.Strewn != "" {
				text = b.Strewn
			}
		}
		if where < len(parts) {
			if s := p.shapesMix(parts[where]); s != nil {
				text = strings.ReplaceAll(c.words().BeforeShaped, "{mix}", c.words().The+" "+s.name) + lowered(text)
			}
		}
		step := swap.Step{Step: recipe.Step{Text: text}, From: []int{}, Change: swap.Added, Why: l.Why}
		if i == host {
			step.Lines = []int{at}
		} else {
			step.Takes = []string{recipe.LineRef(i, at)}
		}
		parts = slices.Insert(parts, where, added(step)...)
	}
	return parts
}

// dryPowder is the water in 100 g below which something can be sprinkled.
const dryPowder = 20.0

// severalLines are so many that none of them names what is made of all.
const severalLines = 3

// calledByLook tells whether a name is that of a product and no word of it that of an animal:
// "White sauce", which is still white.
func (c *Carrier) calledByLook(name string) bool {
	words := strings.Fields(name)
	last := larder.Words(words[len(words)-1])
	return len(words) > 1 && len(last) == 1 && c.book.Larder().Language().Products[last[0]] && !slices.ContainsFunc(words, func(w string) bool { return len(c.reader.Animals(w, nil)) > 0 })
}

// beforeBracket is a text up to what it says in brackets.
func beforeBracket(text string) string {
	before, _, _ := strings.Cut(text, "(")
	return before
}

// cookedWith is the heading of a part that was called after its animal: what stands for it with what
// it is cooked with most, so that it is told from the part in which that is prepared.
func (c *Carrier) cookedWith(p *plan, i int, stands []*standIn) string {
	other, most := "", 0.0
	for j := range p.dish.Components[i].Lines {
		l := &p.dish.Components[i].Lines[j]
		f := p.l.Food(l.FoodID())
		if f == nil || p.stand[p.graph.Line(i, j)] != nil || larder.Pours(f) || c.fatLine(l) || l.Mass() <= most {
			continue
		}
		other, most = f.Name, l.Mass()
	}
	if other == "" || len(stands) > 1 {
		return c.words().Pieces
	}
	return larder.Capital(strings.NewReplacer("{thing}", stands[0].name, "{other}", other).Replace(c.words().CookedWith))
}

// calledWith tells whether a part that goes by one word for flesh is called by what stands for that and by what it is cooked with.
func calledWith(words []string, stands []*standIn) bool {
	return len(words) == 1 && len(stands) > 0 && stands[0].flesh() && (len(stands) > 1 || len(stands[0].book.Prepare) > 1)
}

// heading is the name of a component without the animal in it: "Celeriac and
// walnut mince sauce" for "Meat sauce".
func (c *Carrier) heading(p *plan, i int) string {
	name := p.dish.Components[i].Name
	if name == "" || len(p.animalWords(name)) == 0 || c.calledByLook(name) {
		return name
	}
	if shape := c.shapedIn(p, i); c.reader.Animals(name, nil)[0].Animal.Flesh() && shape != "" && len(strings.Fields(name)) == 1 {
		return shape // "Balls" of "Meatballs", of "Kofta"
	}
	name = c.renamed(name)
	animals := c.reader.Animals(name, nil)
	if len(animals) == 0 {
		return name
	}
	if bare := strings.TrimSpace(beforeBracket(name)); len(c.reader.Animals(bare, nil)) == 0 {
		return bare // "Pinched noodles (csipetke)", by a name of noodles made with eggs
	}
	stands := p.standsOf(i, animals[0].Animal)
	words := strings.Fields(name)
	for k := 1; k < len(words) && animals[0].Animal == larder.Egg; k++ {
		if rest := strings.Join(words[k:], " "); len(c.reader.Animals(rest, nil)) == 0 {
			return larder.Capital(rest) // "Pasta" of "Fresh pasta", which is made with eggs
		}
	}
	gone := larder.Words(animals[0].Name)
	if shape := c.shapedIn(p, i); shape != "" && (len(words) == 1 || strings.EqualFold(words[len(words)-1], shape)) {
		return shape // "Balls" of "Meatballs", of "Fish balls"
	}
	if calledWith(words, stands) {
		return c.cookedWith(p, i, stands) // and not as what is prepared for it
	}
	if len(words) == 1 && len(stands) > 0 && !stands[0].flesh() && len(p.dish.Components[i].Lines) >= severalLines {
		if s := stands[0]; s.component == i && len(s.book.Prepare) == 0 && slices.Contains(larder.Words(s.was.Name), gone[len(gone)-1]) {
			return larder.Capital(s.name) // "Yoghurt", of yoghurt with cucumber and mint
		}
		return larder.Capital(c.words().Mixture) // "Cream", of yolks, sugar and mascarpone
	}
	stand := ""
	if len(stands) > 0 && stands[0].was.Animal == animals[0].Animal {
		stand = stands[0].name
	}
	text := larder.Capital(instead(words, gone, stand))
	if text == "" || len(c.reader.Animals(text, nil)) > 0 {
		return c.words().Pieces
	}
	return text
}

// standsOf are the stand-ins of a part for a kind of animal, flesh and the heaviest first; else one of another part.
func (p *plan) standsOf(i int, animal larder.Animal) []*standIn {
	var stands, others []*standIn
	for _, s := range p.inOrder() {
		switch {
		case s.gone || s.was.Animal != animal:
		case s.component == i:
			stands = append(stands, s)
		default:
			others = append(others, s)
		}
	}
	if len(stands) == 0 {
		stands = others[:min(len(others), 1)]
	}
	slices.SortStableFunc(stands, func(a, b *standIn) int {
		if a.flesh() != b.flesh() {
			if a.flesh() {
				return -1
			}
			return 1 // the fish before the stock that it is poached in
		}
		return cmp.Compare(b.was.Mass(), a.was.Mass())
	})
	return stands
}

// instead says a heading with another name once where some of its words are.
func instead(words, gone []string, name string) string {
	var out []string
	said := false
	for _, w := range words {
		norm := larder.Words(w)
		switch {
		case len(norm) != 1 || !slices.Contains(gone, norm[0]):
			out = append(out, w)
		case !said:
			out, said = append(out, strings.Fields(name)...), true
		}
	}
	return strings.Join(slices.CompactFunc(out, strings.EqualFold), " ")
}

// allEnter tells whether all stand-ins for flesh that an action works on go in with it.
func (p *plan) allEnter(i int) bool {
	return !slices.ContainsFunc(p.graph.Nodes[i].To, func(line int) bool {
		s := p.stand[line]
		return s != nil && s.flesh() && !s.gone && s.enters != i
	})
}
