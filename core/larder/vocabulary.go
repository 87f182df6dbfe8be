package larder

import "strings"

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
