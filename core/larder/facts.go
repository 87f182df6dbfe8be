package larder

import "strings"

// Acids are the acids of 100 g of a food as bought, in grams; nil where
// nobody measured.
type Acids struct {
	Citric   Figure `json:"citric" jsonschema:"nullable"`
	Malic    Figure `json:"malic" jsonschema:"nullable"`
	Tartaric Figure `json:"tartaric" jsonschema:"nullable"`
	Lactic   Figure `json:"lactic" jsonschema:"nullable"`
	Acetic   Figure `json:"acetic" jsonschema:"nullable"`
	Source   string `json:"source"`
	Estimate bool   `json:"estimate"`
}

// Grams of each acid that give one mole of titratable protons.
const (
	citricEquivalent   = 64.04
	malicEquivalent    = 67.05
	tartaricEquivalent = 75.04
	lacticEquivalent   = 90.08
	aceticEquivalent   = 60.05
)

// Titratable is the acid of 100 g in grams of citric acid that would take as
// much alkali to neutralise; nil when no acid of the food is known.
func (a Acids) Titratable() Figure {
	if a.Source == "" {
		return nil
	}
	sum := citricEquivalent * (Or(a.Citric, 0)/citricEquivalent + Or(a.Malic, 0)/malicEquivalent +
		Or(a.Tartaric, 0)/tartaricEquivalent + Or(a.Lactic, 0)/lacticEquivalent + Or(a.Acetic, 0)/aceticEquivalent)
	return &sum
}

// Sugars says which sugars make up the sugars of a food, in per cent of them.
type Sugars struct {
	Sucrose  float64 `json:"sucrose"`
	Glucose  float64 `json:"glucose"`
	Fructose float64 `json:"fructose"`
	Maltose  float64 `json:"maltose"`
	Lactose  float64 `json:"lactose"`
	// Other is what sweeteners that are no sugars bring, in g of sucrose equivalents per
	// 100 g of the food.
	Other    float64 `json:"other"`
	Source   string  `json:"source"`
	Estimate bool    `json:"estimate"`
}

// Sweetness of each sugar beside the same mass of sucrose.
const (
	glucoseSweetness  = 0.7
	fructoseSweetness = 1.2
	maltoseSweetness  = 0.4
	lactoseSweetness  = 0.2
)

// perGram is the sweetness of one gram of this mixture beside sucrose.
func (s Sugars) perGram() float64 {
	return (s.Sucrose + glucoseSweetness*s.Glucose + fructoseSweetness*s.Fructose + maltoseSweetness*s.Maltose + lactoseSweetness*s.Lactose) / 100
}

// SucroseEquivalents is the sweetness of 100 g of the food in grams of
// sucrose; nil when its sugars are not known.
func (f *Food) SucroseEquivalents() Figure {
	if f.Per100.Sugars == nil || f.Sugars.Source == "" {
		return nil
	}
	sweet := *f.Per100.Sugars*f.Sugars.perGram() + f.Sugars.Other
	return &sweet
}

// Heat is how hot a food is, in Scoville units as bought.
type Heat struct {
	Low      float64 `json:"low"`
	High     float64 `json:"high"`
	Source   string  `json:"source"`
	Estimate bool    `json:"estimate"`
}

// Edible is the share of a food as bought that is eaten, 0 to 1, and what is
// thrown away or goes to the stock. A food without a row is eaten whole.
type Edible struct {
	Share    float64 `json:"share"`
	Thrown   string  `json:"thrown"`
	Source   string  `json:"source"`
	Estimate bool    `json:"estimate"`
	// When says for which weights of meat, fish and shellfish the share holds;
	// empty for plants, whose weight in a recipe is without what is thrown.
	When EdibleWhen `json:"-"`
}

// Confusable is a food with a like name that acts differently.
type Confusable struct {
	With    string `json:"with"`
	Differs string `json:"differs"`
	Source  string `json:"source"`
}

// AislePrefix stands before the name of a shelf where a row speaks for every
// food on it that has no row of its own.
const AislePrefix = "aisle:"

// eachFood visits the foods that the rows of a table name. Rows of a whole
// shelf ("aisle:NAME") are visited first, wherever they stand, so that a
// food's own rows replace what its shelf says. own tells which it is.
func (l *Larder) eachFood(src Source, name string, visit func(r row, f *Food, own bool)) error {
	for _, own := range []bool{false, true} {
		err := eachRow(src, name, func(r row) {
			for _, id := range r.list("foods") {
				shelf, all := strings.CutPrefix(id, AislePrefix)
				switch {
				case all && !own:
					for _, f := range l.order {
						if f.Aisle == shelf {
							visit(r, f, own)
						}
					}
				case !all && own:
					if f := r.food(l, id); f != nil {
						visit(r, f, own)
					}
				}
			}
		})
		if err != nil {
			return err
		}
	}
	return nil
}

func (l *Larder) loadAcids(src Source) error {
	return l.eachFood(src, "acids.csv", func(r row, f *Food, _ bool) {
		f.Acids = Acids{
			Citric: r.figure("citric"), Malic: r.figure("malic"), Tartaric: r.figure("tartaric"), Lactic: r.figure("lactic"),
			Acetic: r.figure("acetic"), Source: r.text("source"), Estimate: r.text("source") == Estimate,
		}
	})
}

func (l *Larder) loadSugars(src Source) error {
	return l.eachFood(src, "sugars.csv", func(r row, f *Food, _ bool) {
		f.Sugars = Sugars{
			Sucrose: r.number("sucrose", 0), Glucose: r.number("glucose", 0), Fructose: r.number("fructose", 0),
			Maltose: r.number("maltose", 0), Lactose: r.number("lactose", 0), Other: r.number("other", 0), Source: r.text("source"), Estimate: r.text("source") == Estimate,
		}
	})
}

func (l *Larder) loadScoville(src Source) error {
	return l.eachFood(src, "scoville.csv", func(r row, f *Food, _ bool) {
		f.Heat = Heat{Low: r.number("low", 0), High: r.number("high", 0), Source: r.text("source"), Estimate: r.text("source") == Estimate}
	})
}

// FromWhole says that a food is got out of another: how many grams of it one
// piece of the whole gives.
type FromWhole struct {
	Whole    *Food
	Grams    float64
	Source   string
	Estimate bool
}

// FromWhole is the whole that a food such as lemon juice is got from; false for
// foods bought as such.
func (l *Larder) FromWhole(f *Food) (FromWhole, bool) {
	w, ok := l.wholes[f.ID]
	return w, ok
}

func (l *Larder) loadWholes(src Source) error {
	return eachRow(src, "from_whole.csv", func(r row) {
		part, whole := r.food(l, r.text("part")), r.food(l, r.text("whole"))
		if part != nil && whole != nil {
			l.wholes[part.ID] = FromWhole{whole, r.number("grams", 0), r.text("source"), r.text("source") == Estimate}
		}
	})
}

func (l *Larder) loadEdible(src Source) error {
	for _, f := range l.order {
		f.Edible = Edible{Share: 1}
	}
	return l.eachFood(src, "edible.csv", func(r row, f *Food, _ bool) {
		f.Edible = Edible{Share: r.number("share", 1), Thrown: r.text("thrown"), Source: r.text("source"), Estimate: r.text("source") == Estimate, When: EdibleWhen(r.text("when"))}
		if _, known := edibleWhens[f.Edible.When]; !known || (f.Edible.When != "") != f.flesh() {
			r.fail("%s: when %q", f.ID, f.Edible.When)
		}
	})
}

func (l *Larder) loadConfusables(src Source) error {
	return eachRow(src, "confusables.csv", func(r row) {
		f, with := r.food(l, r.text("food")), r.food(l, r.text("with"))
		if f != nil && with != nil {
			f.Confusables = append(f.Confusables, Confusable{With: with.ID, Differs: r.text("differs"), Source: r.text("source")})
		}
	})
}

// Context settles a name that means two foods: Words mean Food where a recipe
// also holds one of the foods Beside.
type Context struct {
	Words  []string
	Food   *Food
	Beside []string
}

// Contexts lists the names that what stands beside them settles.
func (l *Larder) Contexts() []Context { return l.contexts }

func (l *Larder) loadContexts(src Source) error {
	return eachRow(src, "contexts.csv", func(r row) {
		f := r.food(l, r.text("food"))
		for _, id := range r.list("beside") {
			r.food(l, id)
		}
		for _, name := range r.list("names") {
			l.contexts = append(l.contexts, Context{Words: Words(name), Food: f, Beside: r.list("beside")})
		}
	})
}

// Signature is a family of taste that shows wherever it is, such as coconut.
type Signature struct {
	Family string
	// Belongs names a trait by which the family is at home in a dish that has
	// none of it: seaweed where it tastes of the sea. Empty for most.
	Belongs string
}

// Signature is the family of taste that a food brings; empty for foods that
// blend in.
func (l *Larder) Signature(f *Food) Signature { return l.signatures[f.ID] }

func (l *Larder) loadSignatures(src Source) error {
	return eachRow(src, "signatures.csv", func(r row) {
		for _, id := range r.list("foods") {
			if f := r.food(l, id); f != nil && l.signatures[id].Family == "" {
				l.signatures[id] = Signature{r.text("family"), r.text("belongs")}
			}
		}
	})
}
