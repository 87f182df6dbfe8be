package recipe

import (
	"slices"

	"yembra/core/larder"
	"yembra/core/texts"
)

// finding is what the matcher makes of one food name.
type finding struct {
	food   *larder.Food
	origin larder.Origin
	animal larder.Animal
	hidden bool
	check  bool
	why    string
	// start and end of the food's own words in the run.
	start, end int
}

// matcher names foods in runs of normalised words.
type matcher struct {
	larder *larder.Larder
}

// name finds the food that a run of words means. counted tells that a bare
// count stands before it. A name whose head is not known gives no food, but
// any animal word in it is still found.
func (m matcher) name(words []string, counted bool) finding {
	vocab := m.larder.Words()
	matches := m.larder.Index().All(words, counted)
	end := len(words)
	covered := func(i int) bool {
		return slices.ContainsFunc(matches, func(x larder.Match) bool { return i >= x.Start && i < x.End })
	}
	for end > 0 && !covered(end-1) && (vocab.Neutral[words[end-1]] || vocab.Parts[words[end-1]]) {
		end--
	}
	f := finding{origin: larder.Unknown}
	if h, ok := m.longestTo(words, end, counted); ok {
		head := slices.IndexFunc(matches, func(x larder.Match) bool { return x == h })
		if head > 0 && h.Used == 1 && m.larder.Language().Lines.Generic[words[h.Start]] && m.onlyNeutral(words[matches[head-1].End:h.Start]) {
			if p := matches[head-1]; p.Food.Animal == h.Food.Animal || h.Food.Origin == larder.Mixed {
				h = p
			}
		}
		f = found(h.Food)
		f.start, f.end = h.Start, h.End
		if head > 0 && m.cutOf(words, matches[head-1], h) {
			p := matches[head-1]
			f = found(p.Food)
			f.start, f.end = p.Start, h.End
		}
	}
	m.standIns(&f, words, matches)
	m.guard(&f, words, matches)
	return f
}

// cutOf tells whether a name is only the word for a cut of what stands right before it: "cod steaks",
// "cauliflower steaks". Of plants those are vegetables that are cut so and eaten for themselves.
func (m matcher) cutOf(words []string, of, cut larder.Match) bool {
	vocab := m.larder.Words()
	if cut.Used != 1 || of.End > cut.Start || !m.onlyNeutral(words[of.End:cut.Start]) {
		return false
	}
	if fishes(of.Food.Animal) && (cut.Food.Animal == larder.Meat || cut.Food.Animal == larder.Poultry || cut.Food.Aisle == "bakery") {
		return !m.larder.Language().Extracts[of.Food.Kind] // "salmon burgers", "cod cakes": no beef and no bread
	}
	if !vocab.Parts[words[cut.Start]] {
		return false
	}
	switch of.Food.Animal {
	case larder.Meat, larder.Poultry, larder.Fish, larder.Shellfish:
		return !m.larder.Language().Extracts[of.Food.Kind]
	}
	return vocab.PlantHeads[words[cut.Start]] && of.End == cut.Start && of.Food.Tagged(larder.Steaks)
}

func fishes(a larder.Animal) bool { return a == larder.Fish || a == larder.Shellfish }

// longestTo returns the longest name that reaches the end of the content
// words, wherever it begins: in "lean minced beef" that is "minced beef".
func (m matcher) longestTo(words []string, end int, counted bool) (larder.Match, bool) {
	best := larder.Match{}
	for i := 0; i < end; i++ {
		if x, ok := m.larder.Index().At(words, i, counted); ok && x.End >= end && x.Used > best.Used {
			best = x
		}
	}
	return best, best.Food != nil
}

func (m matcher) onlyNeutral(words []string) bool {
	for _, w := range words {
		if !m.larder.Words().Neutral[w] {
			return false
		}
	}
	return true
}

func found(food *larder.Food) finding {
	f := finding{food: food, origin: food.Origin, animal: food.Animal, hidden: food.Hidden, check: food.Check, why: food.Why}
	if f.why == "" {
		f.why = reason(food.Name, food.Origin, food.Animal)
	}
	return f
}

func reason(name string, origin larder.Origin, animal larder.Animal) string {
	switch origin {
	case larder.FromAnimal:
		return texts.Say("recipe.is", larder.Capital(name), classNames[animal])
	case larder.Mixed:
		return texts.Say("recipe.comesWithAndWithoutAnimalMatter", larder.Capital(name))
	}
	return texts.Say("recipe.comesFrom", larder.Capital(name), texts.Say("recipe."+string(origin)))
}

var classNames = map[larder.Animal]string{
	larder.Meat: texts.Say("recipe.isMeat"), larder.Poultry: texts.Say("recipe.isPoultry"), larder.Fish: texts.Say("recipe.isFish"), larder.Shellfish: texts.Say("recipe.isShellfish"), larder.Dairy: texts.Say("recipe.isDairy"),
	larder.Egg: texts.Say("recipe.laidByAnAnimal"), larder.Honey: texts.Say("recipe.madeByBees"), larder.Gelatine: texts.Say("recipe.boiledFromSkinsAndBones"), larder.Fat: texts.Say("recipe.animalFat"), larder.Insect: texts.Say("recipe.madeFromInsects"),
}

// standIns turns an animal name into a plant one where the words beside it
// say so: "vegan butter", "egg-free noodles", "hemp milk".
func (m matcher) standIns(f *finding, words []string, matches []larder.Match) {
	if f.food == nil || f.origin != larder.FromAnimal && f.origin != larder.Mixed {
		return
	}
	vocab := m.larder.Words()
	if slices.ContainsFunc(words[f.start:f.end], func(w string) bool { return vocab.Free[w] != nil }) {
		return // the food itself bears the word, so the larder knows it
	}
	for _, w := range words {
		if m.clears(w, f.animal) {
			name := f.food.Name
			*f = finding{origin: larder.FromPlant, check: true, start: f.start, end: f.end,
				why: texts.Say("recipe.saidToBeWithoutAnimalMatter", name)}
			return
		}
	}
	if f.origin == larder.FromAnimal && f.end-f.start == 1 && vocab.PlantHeads[words[f.start]] {
		i := slices.IndexFunc(matches, func(x larder.Match) bool { return x.End == f.start })
		if i >= 0 && GivesMilk(matches[i].Food) {
			*f = finding{origin: larder.FromPlant, check: true, start: matches[i].Start, end: f.end,
				why: texts.Say("recipe.madeFromNotFromAnAnimal", matches[i].Food.Name)}
		}
	}
}

// givesMilk tells whether "milk" or "butter" after the food's name means a
// plant product: nuts, seeds, grains, pulses, soy and coconut.
// GivesMilk tells whether a food is one that plant milk is made of.
func GivesMilk(food *larder.Food) bool {
	switch food.Aisle {
	case "nuts", "grains", "pulses", "soy", "plant-dairy":
		return food.Origin == larder.FromPlant
	}
	return false
}

// Clears tells whether a word turns matter of a class into a plant stand-in.
func (r *Reader) Clears(word string, class larder.Animal) bool { return r.match.clears(word, class) }

func (m matcher) clears(word string, class larder.Animal) bool {
	classes := m.larder.Words().Free[word]
	return slices.Contains(classes, "all") || slices.Contains(classes, string(class))
}

// seasons tells whether the name goes on with a spice: flesh that stands before it is what it is meant for, and seldom what
// is in it ("meat curry powder", but not "shrimp chilli flakes").
func seasons(f *finding, at int, class larder.Animal) bool {
	return (class == larder.Meat || class == larder.Poultry || class == larder.Fish) && f.food != nil && f.start == at && f.food.Aisle == "spices" && f.origin == larder.FromPlant
}

// guard looks for animal words that the chosen food does not account for, so
// that no animal name is ever called a plant.
func (m matcher) guard(f *finding, words []string, matches []larder.Match) {
	if f.origin == larder.FromAnimal {
		return
	}
	vocab := m.larder.Words()
	flag := func(name string, class larder.Animal, i int) {
		if slices.ContainsFunc(words, func(w string) bool { return m.clears(w, class) }) {
			return
		}
		if i+1 < len(words) && (m.larder.Language().Lines.Flavoured[words[i+1]] || seasons(f, i+1, class)) {
			*f = finding{food: f.food, origin: larder.Mixed, animal: class, check: true, start: f.start, end: f.end,
				why: texts.Say("recipe.flavouredLikeMayOrMayNot", name)}
			return
		}
		if f.food != nil && f.food.Origin == larder.Mixed {
			f.animal = class
		}
		*f = finding{origin: larder.FromAnimal, animal: class, start: f.start, end: f.end,
			why: texts.Say("recipe.theNameSays", name, classNames[class])}
	}
	inside := func(i int) bool { return (f.food != nil || f.check) && i >= f.start && i < f.end }
	for _, x := range matches {
		if x.Food.Origin == larder.FromAnimal && !inside(x.Start) {
			flag(x.Food.Name, x.Food.Animal, x.End-1)
			return
		}
	}
	for i, w := range words {
		class, ok := vocab.AnimalWords[w]
		if !ok || inside(i) || slices.ContainsFunc(matches, func(x larder.Match) bool { return i >= x.Start && i < x.End }) {
			continue
		}
		flag(w, class, i)
		return
	}
}
