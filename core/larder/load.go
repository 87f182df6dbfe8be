package larder

import (
	"cmp"
	"fmt"
	"slices"
	"strconv"
	"strings"

	"yembra/core/language"
)

// Source hands over the knowledge: tables by name with the header as first
// row, the names in a folder, and structured files decoded into Go values.
type Source interface {
	Table(name string) ([][]string, error)
	List(folder string) ([]string, error)
	Decode(name string, into any) error
}

// Larder is all the knowledge, loaded and linked. It is not changed after
// Load and may be read by many goroutines.
type Larder struct {
	foods    map[string]*Food
	order    []*Food
	index    *Index
	words    Vocabulary
	language *language.Language
	contexts []Context
	// techniques and fates are what steps do, by name.
	techniques map[string]*Technique
	cores      []CoreTemperature
	bands      []*Band
	losses     []*Loss
	// factors are what a kitchen's own weighings make of the losses foreseen.
	factors map[string]float64
	// offsets are by how many steps tables have found traits from what is foreseen.
	offsets     map[string]float64
	countries   []Country
	traditional []Traditional
	fates       map[string]*Fate
	// steeping are the foods lifted out wherever they were cooked; true: only
	// where they are whole.
	steeping map[string]bool
	// uses are the rules of what an ingredient does, usesByKind their uses;
	// behaviour is how foods behave, carrying what becomes of work on what was
	// replaced, smallUses what is taken for matter that only steps name.
	behaviour               map[string]behaviourRow
	servings                map[string]Serving
	helpings                map[string]float64
	makings                 []Making
	allergenWords           map[string][]allergenWord
	knownBy                 map[string][]string
	carrying                []CarryRule
	smallUses               []SmallUse
	uses                    []UseRule
	usesByKind              map[string][]string
	ownFirst, strict, whole map[string]bool
	bounds                  []bound
	// tags are foods that rules speak of together; presets and switches the rules.
	tags       map[string]*tag
	presets    []Preset
	switches   []Switch
	swaps      []*Swap
	swapByID   map[string]*Swap
	signatures map[string]Signature
	kitchens   []Kitchen
	first      []firstRow
	wholes     map[string]FromWhole
	cautions   []*Caution
	references []Reference
	boosters   []*Booster
	sources    map[string]string
	prices     map[string]float64
	// energyExcused names foods whose energy does not follow from the
	// macronutrients, with the reason.
	energyExcused map[string]string
}

// Load reads the whole knowledge from a source. The error of a malformed file
// names the file and row; Check looks at what the rows say.
func Load(src Source) (*Larder, error) {
	l := &Larder{foods: map[string]*Food{}, sources: map[string]string{}, prices: map[string]float64{}, energyExcused: map[string]string{},
		swapByID: map[string]*Swap{}, signatures: map[string]Signature{}, wholes: map[string]FromWhole{}, techniques: map[string]*Technique{}, fates: map[string]*Fate{}, steeping: map[string]bool{}}
	for _, load := range []func(Source) error{
		l.loadSources, l.loadFoods, l.loadComposition, l.loadFurther, l.loadTaste, l.loadForms, l.loadAromas, l.loadRoles, l.loadAcids, l.loadSugars, l.loadScoville, l.loadPacks, l.loadWholes, l.loadEdible, l.loadWashed, l.loadStorage, l.loadConfusables, l.loadContexts, l.loadLanguage, l.loadUses, l.loadTags, l.loadWords, l.loadFates, l.loadBehaviour, l.loadServings, l.loadHelpings, l.loadMakings, l.loadAllergenWords, l.loadKnownBy, l.loadCarrying, l.loadSmallUses, l.loadSteeping, l.loadSignatures, l.loadKitchens, l.loadSwaps, l.loadTakenFirst, l.loadHouse, l.loadCautions, l.loadPrices, l.loadCores, l.loadBands, l.loadLosses, l.loadReferences, l.loadBounds, l.loadExceptions, l.loadCountries, l.loadTraditional,
	} {
		if err := load(src); err != nil {
			return nil, fmt.Errorf("load larder: %w", err)
		}
	}
	for _, f := range l.order {
		f.Tags = l.tagsOf(f)
	}
	slices.SortFunc(l.order, byName)
	l.index = buildIndex(l.order, &l.words)
	return l, nil
}

// byName orders foods as a reader of the list would look for them.
func byName(a, b *Food) int {
	return cmp.Or(strings.Compare(Fold(a.Name), Fold(b.Name)), strings.Compare(a.ID, b.ID))
}

// Food returns a food by id, nil when there is none.
func (l *Larder) Food(id string) *Food { return l.foods[id] }

// Foods lists all foods by name.
func (l *Larder) Foods() []*Food { return l.order }

// Index is the index of names.
func (l *Larder) Index() *Index { return l.index }

// Language holds the words of the language that recipes are read in.
func (l *Larder) Language() *language.Language { return l.language }

// locale is the language of the recipes that are read.
const locale = "en"

func (l *Larder) loadLanguage(src Source) (err error) {
	l.language, err = language.Load(src, locale)
	return err
}

// Words is the vocabulary the reader works with.
func (l *Larder) Words() *Vocabulary { return &l.words }

// Swaps is the book of swaps, in the order of the files.
func (l *Larder) Swaps() []*Swap { return l.swaps }

// Boosters lists what may be added in small doses.
func (l *Larder) Boosters() []*Booster { return l.boosters }

// SourceTitle spells out a source code such as "fdc" or "ifct:A013".
func (l *Larder) SourceTitle(code string) string {
	base, detail, found := strings.Cut(code, ":")
	title, ok := l.sources[base]
	if !ok {
		return code
	}
	if found {
		return title + ", " + detail
	}
	return title
}

// Estimate is the source code of a figure nobody has measured for us.
const Estimate = "estimate"

// row gives named access to one line of a table and collects what is wrong.
type row struct {
	where  string
	cells  map[string]string
	errors *[]string
}

func eachRow(src Source, name string, visit func(row)) error {
	table, err := src.Table(name)
	if err != nil {
		return fmt.Errorf("%s: %w", name, err)
	}
	if len(table) == 0 {
		return fmt.Errorf("%s: no header", name)
	}
	var problems []string
	for i, line := range table[1:] {
		r := row{where: fmt.Sprintf("%s row %d", name, i+2), cells: make(map[string]string, len(line)), errors: &problems}
		if len(line) != len(table[0]) {
			r.fail("has %d cells, the header %d", len(line), len(table[0]))
			continue
		}
		for c, cell := range line {
			r.cells[table[0][c]] = strings.TrimSpace(cell)
		}
		visit(r)
	}
	if problems != nil {
		return fmt.Errorf("%s", strings.Join(problems, "; "))
	}
	return nil
}

func (r row) fail(format string, args ...any) {
	*r.errors = append(*r.errors, r.where+": "+fmt.Sprintf(format, args...))
}

func (r row) text(column string) string {
	cell, ok := r.cells[column]
	if !ok {
		r.fail("no column %q", column)
	}
	return cell
}

func (r row) list(column string) []string {
	items := []string{}
	for _, item := range strings.Split(r.text(column), "|") {
		if item = strings.TrimSpace(item); item != "" {
			items = append(items, item)
		}
	}
	return items
}

func (r row) figure(column string) Figure {
	cell := r.text(column)
	if cell == "" {
		return nil
	}
	v, err := strconv.ParseFloat(cell, 64)
	if err != nil {
		r.fail("%s is %q, not a number", column, cell)
		return nil
	}
	return &v
}

func (r row) number(column string, missing float64) float64 { return Or(r.figure(column), missing) }

// food looks up the food a row speaks of.
func (r row) food(l *Larder, id string) *Food {
	f := l.foods[id]
	if f == nil {
		r.fail("unknown food %q", id)
	}
	return f
}

func (l *Larder) loadSources(src Source) error {
	return eachRow(src, "sources.csv", func(r row) { l.sources[r.text("id")] = r.text("title") })
}

func (l *Larder) loadExceptions(src Source) error {
	return eachRow(src, "energy_exceptions.csv", func(r row) { l.energyExcused[r.text("food")] = r.text("why") })
}
