package larder

import (
	"fmt"
	"sort"
	"strconv"
	"strings"

	"yembra/core/measure"
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
	swaps    []*Swap
	boosters []*Booster
	sources  map[string]string
	prices   map[string]float64
	// energyExcused names foods whose energy does not follow from the
	// macronutrients, with the reason.
	energyExcused map[string]string
}

// Load reads the whole knowledge from a source. The error of a malformed file
// names the file and row; Check looks at what the rows say.
func Load(src Source) (*Larder, error) {
	l := &Larder{foods: map[string]*Food{}, sources: map[string]string{}, prices: map[string]float64{}, energyExcused: map[string]string{}}
	for _, load := range []func(Source) error{
		l.loadSources, l.loadFoods, l.loadComposition, l.loadTaste, l.loadForms, l.loadAromas, l.loadRoles, l.loadWords, l.loadSwaps, l.loadPrices, l.loadExceptions,
	} {
		if err := load(src); err != nil {
			return nil, fmt.Errorf("load larder: %w", err)
		}
	}
	sort.Slice(l.order, func(i, j int) bool { return l.order[i].Name < l.order[j].Name })
	l.index = buildIndex(l.order, l.words.Neutral)
	return l, nil
}

// Food returns a food by id, nil when there is none.
func (l *Larder) Food(id string) *Food { return l.foods[id] }

// Foods lists all foods by name.
func (l *Larder) Foods() []*Food { return l.order }

// Index is the index of names.
func (l *Larder) Index() *Index { return l.index }

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
	var items []string
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

func (l *Larder) loadFoods(src Source) error {
	files, err := src.List("foods")
	if err != nil {
		return err
	}
	for _, file := range files {
		aisle := strings.TrimSuffix(file, ".csv")
		err := eachRow(src, "foods/"+file, func(r row) {
			f := &Food{
				ID: r.text("id"), Name: r.text("name"), Aliases: r.list("aliases"), Aisle: aisle,
				Origin: Origin(r.text("origin")), Animal: Animal(r.text("class")),
				Grade: Grade(r.text("grade")), Kind: r.text("kind"), Allergen: r.list("allergens"), Why: r.text("why"),
				Forms: map[string]Form{},
			}
			for _, mark := range strings.Fields(r.text("mark")) {
				switch mark {
				case "hidden":
					f.Hidden = true
				case "check":
					f.Check = true
				default:
					r.fail("unknown mark %q", mark)
				}
			}
			if f.Origin == Mixed {
				f.Check = true
			}
			f.Matter = measure.Matter{Density: r.number("density", 0), Pieces: r.pieces("pieces"), Source: r.text("weigh")}
			f.Matter.Estimate = f.Matter.Source == "" || f.Matter.Source == Estimate
			if f.Matter.Estimate {
				f.Matter.Source = Estimate
			}
			if l.foods[f.ID] != nil {
				r.fail("food %q stands twice", f.ID)
				return
			}
			l.foods[f.ID] = f
			l.order = append(l.order, f)
		})
		if err != nil {
			return err
		}
	}
	return nil
}

// pieces reads "small 70|medium 110-150|clove 4".
func (r row) pieces(column string) map[string]measure.Span {
	weights := map[string]measure.Span{}
	for _, item := range r.list(column) {
		cut := strings.LastIndexByte(item, ' ')
		if cut < 0 {
			r.fail("%s: %q is not a name and a weight", column, item)
			continue
		}
		low, high, ranged := strings.Cut(item[cut+1:], "-")
		if !ranged {
			high = low
		}
		lo, err1 := strconv.ParseFloat(low, 64)
		hi, err2 := strconv.ParseFloat(high, 64)
		if err1 != nil || err2 != nil || lo <= 0 || hi < lo {
			r.fail("%s: %q is not a weight", column, item)
			continue
		}
		weights[item[:cut]] = measure.Span{Low: lo, High: hi}
	}
	return weights
}

func (l *Larder) loadComposition(src Source) error {
	files, err := src.List("composition")
	if err != nil {
		return err
	}
	for _, file := range files {
		err := eachRow(src, "composition/"+file, func(r row) {
			f := r.food(l, r.text("food"))
			if f == nil {
				return
			}
			if f.Per100.Source != "" {
				r.fail("composition of %q stands twice", f.ID)
			}
			f.Per100 = Composition{
				Energy: r.figure("energy"), Protein: r.figure("protein"), Fat: r.figure("fat"), Saturated: r.figure("saturated"),
				Carbs: r.figure("carbohydrate"), Sugars: r.figure("sugars"), Fibre: r.figure("fibre"), Water: r.figure("water"),
				Sodium: r.figure("sodium"), Potassium: r.figure("potassium"), Calcium: r.figure("calcium"), Iron: r.figure("iron"),
				Zinc: r.figure("zinc"), B12: r.figure("b12"), Source: r.text("source"),
			}
			f.Per100.Estimate = f.Per100.Source == Estimate
		})
		if err != nil {
			return err
		}
	}
	return nil
}

// milligrams in the table of taste become grams in the core.
const milligram = 0.001

func (l *Larder) loadTaste(src Source) error {
	return eachRow(src, "taste.csv", func(r row) {
		if f := r.food(l, r.text("food")); f != nil {
			f.Taste = Taste{
				Glutamate: r.number("glutamate", 0) * milligram, Aspartate: r.number("aspartate", 0) * milligram,
				IMP: r.number("imp", 0) * milligram, GMP: r.number("gmp", 0) * milligram, AMP: r.number("amp", 0) * milligram,
				Source: r.text("source"), Estimate: r.text("source") == Estimate,
			}
		}
	})
}

// FeltTraits are rated on the pieces of a form, in the order of the table.
var FeltTraits = [...]string{"chew", "flake", "crumble", "crisp", "juicy", "melt"}

func (l *Larder) loadForms(src Source) error {
	return eachRow(src, "forms.csv", func(r row) {
		form := Form{
			Name: r.text("form"), Base: r.number("base", 1), Yield: r.number("yield", 1), Density: r.number("density", 0),
			Source: r.text("source"), Estimate: r.text("source") == Estimate,
		}
		for _, trait := range FeltTraits {
			if v := r.figure(trait); v != nil {
				if form.Feel == nil {
					form.Feel = map[string]float64{}
				}
				form.Feel[trait] = *v
			}
		}
		for _, id := range r.list("foods") {
			if f := r.food(l, id); f != nil {
				f.Forms[form.Name] = form
			}
		}
	})
}

func (l *Larder) loadAromas(src Source) error {
	return eachRow(src, "aromas.csv", func(r row) {
		for _, id := range r.list("foods") {
			if f := r.food(l, id); f != nil {
				f.Aromas = append(f.Aromas, Aroma{
					Trait: r.text("trait"), Form: r.text("form"), Dose: r.number("dose", 0),
					Source: r.text("source"), Estimate: r.text("source") == Estimate,
				})
			}
		}
	})
}

func (l *Larder) loadRoles(src Source) error {
	return eachRow(src, "structure.csv", func(r row) {
		for _, id := range r.list("foods") {
			if f := r.food(l, id); f != nil {
				f.Roles = append(f.Roles, Role{
					Kind: r.text("structure"), Form: r.text("form"), PerGram: r.number("per_gram", 0),
					Source: r.text("source"), Estimate: r.text("source") == Estimate,
				})
			}
		}
	})
}

// Vocabulary is the reader's word lists, all normalised.
type Vocabulary struct {
	// Neutral words say how a food is cut, chosen or prepared, not what it is.
	Neutral map[string]bool
	// Parts follow a food's name without changing what it is ("cloves").
	Parts map[string]bool
	// Free words turn the matter before or after them into a plant stand-in.
	// The value lists the classes it clears; "all" clears every one.
	Free map[string][]string
	// PlantHeads are animal words that a plant before them makes a plant food
	// ("almond milk").
	PlantHeads map[string]bool
	// ListOnly words are also common words of method text; in steps they are
	// foods only when the ingredient list has them.
	ListOnly map[string]bool
	// AnimalWords name animal matter by themselves, by class.
	AnimalWords map[string]Animal
	// Techniques of steps, by word, with their family.
	Techniques map[string]Technique
}

// Technique is one way of working, as steps name it.
type Technique struct {
	Name    string
	Family  string
	HandsOn bool
}

func (l *Larder) loadWords(src Source) error {
	var file struct {
		Neutral     string            `yaml:"neutral"`
		Parts       string            `yaml:"parts"`
		Free        map[string]string `yaml:"free"`
		PlantHeads  string            `yaml:"plantheads"`
		ListOnly    string            `yaml:"listonly"`
		AnimalWords map[Animal]string `yaml:"animalwords"`
	}
	if err := src.Decode("words.yaml", &file); err != nil {
		return err
	}
	set := func(list string) map[string]bool {
		m := map[string]bool{}
		for _, w := range strings.Fields(list) {
			for _, word := range Words(w) {
				m[word] = true
			}
		}
		return m
	}
	l.words = Vocabulary{
		Neutral: set(file.Neutral), Parts: set(file.Parts), PlantHeads: set(file.PlantHeads), ListOnly: set(file.ListOnly),
		AnimalWords: map[string]Animal{}, Techniques: map[string]Technique{},
	}
	l.words.Free = map[string][]string{}
	for word, classes := range file.Free {
		l.words.Free[word] = strings.Fields(classes)
	}
	for class, list := range file.AnimalWords {
		for _, w := range strings.Fields(list) {
			l.words.AnimalWords[Normal(Fold(w))] = class
		}
	}
	return eachRow(src, "techniques.csv", func(r row) {
		t := Technique{Name: r.text("technique"), Family: r.text("family"), HandsOn: r.text("hands") == "yes"}
		for _, w := range r.list("words") {
			l.words.Techniques[Fold(w)] = t
		}
	})
}
