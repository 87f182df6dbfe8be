package flow

import (
	"cmp"
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// portion is a line or a part of it that goes its own way: the yolks of eggs,
// the zest of a lemon.
type portion struct {
	line int
	part string
}

// thing is what an action made.
type thing struct {
	id    string
	holds map[portion]bool
	// ladled is the pot out of which a ladle of something hot went into it.
	ladled *thing
	// keeps is how many of these have not gone on into another.
	keeps int
	names map[string]bool
	comp  int
	hot   float64 // the temperature that fat was heated to, 0 when none
	// liquid tells that it holds a liquid, left how much of it has not gone on.
	liquid bool
	left   float64
	// strained tells that its solids can be taken by themselves.
	strained bool
	// apart tells that what it holds lies side by side, so that one of them can
	// be taken by itself.
	apart bool
	// ofShare tells that it was made of a share of something that stays.
	ofShare bool
	// taken tells that it was taken out of what cooks on.
	taken bool
	// out tells that it lies out of the pan since then, whatever was done to it there.
	out bool
	// several tells that the text named it as more than one.
	several bool
	// shape is what it was cut into, where that is said: "into small dice".
	shape string
	// technique is what it was made by.
	technique string
	// cooked is how it was cooked last, where it has only rested since, in what it was cooked in.
	cooked string
	// spent tells that it has gone on as a whole.
	spent bool
	// putBy tells that it was reserved, and waits until it is asked for.
	putBy bool
	// title is its whole name where it has one of its own.
	title []string
	// fried tells that it was cooked without a liquid.
	fried bool
	// heated tells that it has been over a fire or in an oven.
	heated bool
	// vessel is where it is, empty when nobody has said; begun is which thing, counted from one, was the first in it, where
	// the text has just brought it in: "in a large pan".
	vessel string
	begun  int
	// liquor tells that it is what stayed behind where something was lifted out of it.
	liquor bool
	// solids are what was cooked in the liquid that it holds too, and comes out of it
	// when it is lifted out.
	solids []portion
	// dough tells that a dough was made that is all or a part of it.
	dough bool
	// dropped is the mixture that was put into the liquid that it holds too: dumplings in a stock.
	dropped *thing
}

// bound is an ingredient line as the method sees it.
type bound struct {
	ref  string
	id   string
	comp int
	line *recipe.Line
	food *larder.Food
	name []string // words of the name
	also [][]string
	said map[string]bool // all words of the line
	// prepared are the words of what is done to it before.
	prepared []string
	// gloss are other names that its brackets give.
	gloss [][]string
	// left is the share that has not gone in, by part.
	left map[string]float64
}

// bindings know, while a method is read, which lines are left, what has been
// made of which, and what is being worked on.
type bindings struct {
	r      *Reader
	dish   *recipe.Dish
	lines  []bound
	listed []recipe.Line // the same lines as they are written
	// listedNames are their names by word.
	listedNames [][]string
	things      []*thing
	// titles are the names with a joining word that steps have given.
	titles [][]string
	// terse tells that the method leaves out the articles.
	terse bool
	// taken is what the words of the steps have taken off things.
	taken map[taking]float64
	// lettersLeft is how much of the method is still read.
	lettersLeft int
	// besideOthers tells that the clause at hand says with what it is done.
	besideOthers bool
	// dealing tells that the clause at hand gives each of several its part: "in each bowl".
	dealing bool
	holder  map[portion]*thing
	// focus is what a pronoun means, base what others are added to.
	focus, base *thing
	vessels     map[string]*thing
	comp        int
	// last is the last action, lastAdded the last that added something.
	last, lastAdded *recipe.Action
	// particles are those of the last verb: "whisk in".
	particles []string
	text      *text
	// onlyVessel is the vessel that the last action was done to, when it was
	// done to nothing else.
	onlyVessel string
	// hand is the component of what the action at hand works on.
	hand int
	// parts are the lines of which an action took the same share together, partsBy that action.
	parts   []portion
	partsBy string
	// cleaned is how many things were there when a pan was last wiped: what had been put by is in it no more.
	cleaned int
	// stays is what was in hand before something was taken off it.
	stays *thing
	// outOf are the words for that out of which the action outBy took something, outFrom what they mean.
	outOf   noun
	outBy   string
	outFrom *thing
	// meantTo tells that the text left it open what the last action was done to.
	meantTo bool
	// byPronoun tells that the last action was done to no more than a pronoun.
	byPronoun bool
	// when are the words of the last condition of the step, from and upto.
	when [2]int
	// partNames are the words of the names of the dish's parts.
	partNames [][]string
	// ahead are the orders of the step behind the one at hand.
	ahead []unit
	// working is the action being bound once it has its objects.
	working *recipe.Action
	// mentioned are the lines that the step at hand names, meantLines those that
	// its pronouns mean; home is its component.
	mentioned, meantLines map[int]bool
	home                  int
	// shared are the inputs of which only a share goes in.
	shared map[*thing]bool
	// goingInto tells that the noun at hand is what something goes into.
	goingInto bool
	// stepNo counts the steps of the method.
	stepNo int
	// asked are the last foods that were asked for.
	asked [2]askedFood
	// scanned are the words of the steps of the whole method.
	scanned []scanned
	// rests are the words behind "the rest of", in the whole method, restsMeasured those of which it says how much that is.
	rests, restsMeasured map[string]bool
	// clause is the clause being bound.
	clause *clause
	// claims are what actions take up that their words do not say.
	claims claims
	// leftOpen are the actions whose words do not say what they go into.
	leftOpen map[string][]opening
	// used is what the text has called by a word that is not of its line's own name: the
	// leaves of a cabbage.
	used map[string]portion
	// restsOf are the things of which only what is named goes into what is being made.
	restsOf []*thing
	// coated is the line that the last coat of each technique was of.
	coated map[string]string
	// phrase is where the text stands that is being bound, phrases all of the
	// action's.
	phrase  *recipe.Phrase
	phrases []recipe.Phrase
	// vesselAt is where it says in which vessel.
	vesselAt [2]int
	// takes are the only lines that the step at hand may mean, where that is known;
	// kept are the lines that are for such steps.
	takes []string
	// stood are what was in hand and in the pot before what a run of steps prepares.
	stood [2]*thing
	kept  map[string]bool
	// several are further lines that are taken out of one thing together.
	several []recipe.Ref
	// tech is the technique of the action being bound.
	tech *larder.Technique
	// oneMethod tells that one part holds the steps for the lists of all; among is the part
	// from whose list the text has taken its last line.
	oneMethod bool
	among     int
}

// ownPart is the part whose lines a text means first: that of the step, or where one method
// stands behind the lists of all parts, that from which it has just taken something.
func (b *bindings) ownPart() int {
	if b.oneMethod {
		return b.among
	}
	return b.comp
}

// takesFrom notes from which part's list something was taken that is still whole.
func (b *bindings) takesFrom(found []referent) {
	if len(found) > 0 && found[0].portion != nil && b.leftOf(*found[0].portion) == 1 {
		b.among = b.lines[found[0].portion.line].comp
	}
}

func (r *Reader) bindings(d *recipe.Dish) *bindings {
	b := &bindings{r: r, leftOpen: map[string][]opening{}, dish: d, holder: map[portion]*thing{}, vessels: map[string]*thing{}, used: map[string]portion{}, taken: map[taking]float64{}, coated: map[string]string{}}
	lines := 0
	for c := range d.Components {
		lines += len(d.Components[c].Lines)
	}
	b.lines, b.listed, b.listedNames = make([]bound, 0, lines), make([]recipe.Line, 0, lines), make([][]string, 0, lines)
	for c := range d.Components {
		b.partNames = append(b.partNames, slices.DeleteFunc(larder.Words(cmp.Or(d.Components[c].Called, d.Components[c].Name)), func(w string) bool { return r.lang.Conjunctions[w] }))
		for j := range d.Components[c].Lines {
			l := &d.Components[c].Lines[j]
			one := bound{ref: recipe.LineRef(c, j), id: l.ID, comp: c, line: l, food: r.larder.Food(l.FoodID()), said: map[string]bool{}, left: map[string]float64{}}
			for _, also := range l.Also {
				one.also = append(one.also, larder.Words(also.Name))
			}
			for _, alt := range l.Alternatives {
				one.also = append(one.also, larder.Words(alt.Name))
			}
			for _, w := range larder.Words(l.Text + " " + l.Name + " " + l.Preparation) {
				one.said[w] = true
			}
			one.gloss, one.prepared = r.glosses(l), larder.Words(l.Preparation)
			words := larder.Words(l.Name)
			one.name = r.nameOf(l, words)
			b.lines, b.listed, b.listedNames = append(b.lines, one), append(b.listed, *l), append(b.listedNames, words)
			if one.food != nil && len(l.Also) == 0 && slices.ContainsFunc(words[:max(len(words)-1, 0)], func(w string) bool { return r.lang.Lines.And[w] }) {
				b.titles = append(b.titles, words) // "ginger and garlic paste" is one
			}
		}
	}
	if called := b.dishCalled(); len(called) > 2 && slices.ContainsFunc(called[1:len(called)-1], func(w string) bool { return r.lang.Prepositions[w] == "in" }) {
		b.titles = append(b.titles, called) // "pigs in blankets"
	}
	return b
}

// glosses are the names that a line gives of its thing in brackets besides: "nam prik pao
// (roasted chilli paste)".
func (r *Reader) glosses(l *recipe.Line) [][]string {
	var out [][]string
	for _, behind := range strings.Split(l.Text, "(")[1:] {
		inside, _, _ := strings.Cut(behind, ")")
		for _, x := range strings.FieldsFunc(inside, func(c rune) bool { return c == ',' || c == ';' || c == ':' }) {
			if words := larder.Words(x); len(words) > 1 {
				out = append(out, words)
			}
		}
	}
	return out
}

// nameOf are the words that name a line, without what it comes in and what else stands
// in it: "tuna" of "tuna in olive oil", "sour cream" of "sour cream and hot peppers".
func (r *Reader) nameOf(l *recipe.Line, words []string) []string {
	for i, w := range words {
		if i > 0 && (r.lang.Prepositions[w] == "in" || len(l.Also) > 0 && r.lang.Lines.And[w]) {
			return words[:i]
		}
	}
	return words
}
