package larder

import (
	"fmt"
	"strconv"
	"strings"

	"yembra/core/measure"
)

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
				Forms: map[string]Form{}, Aromas: []Aroma{}, Roles: []Role{}, Packs: []Pack{}, Confusables: []Confusable{}, Homes: []string{},
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
				Zinc: r.figure("zinc"), B12: r.figure("b12"),
				VitaminD: r.figure("vitamin_d"), Iodine: r.figure("iodine"), ALA: r.figure("ala"), Marine: r.figure("epa_dha"),
				Source: r.text("source"),
			}
			f.Per100.Estimate = f.Per100.Source == Estimate
		})
		if err != nil {
			return err
		}
	}
	for _, f := range l.order {
		id, taken := strings.CutPrefix(f.Per100.Source, likeSource)
		if !taken {
			continue
		}
		parent := l.foods[id]
		if parent == nil || parent.Per100.Source == "" || strings.HasPrefix(parent.Per100.Source, likeSource) || f.Per100.Energy != nil {
			return fmt.Errorf("composition of %q: %q has no figures of its own to take over, or there are some already", f.ID, id)
		}
		own := f.Per100
		f.Per100 = parent.Per100
		f.Per100.Source, f.Per100.Estimate = own.Source, true
		into := f.Per100.byName()
		for name, v := range own.byName() {
			if *v != nil {
				*into[name] = *v // what is known of it by itself
			}
		}
	}
	return nil
}

// likeSource opens the source of figures that were taken over from a near relative.
const likeSource = "like:"

// loadFurther fills in what the source of a composition does not give.
func (l *Larder) loadFurther(src Source) error {
	return eachRow(src, "further.csv", func(r row) {
		f := r.food(l, r.text("food"))
		if f == nil {
			return
		}
		for into, column := range map[*Figure]string{&f.Per100.B12: "b12", &f.Per100.VitaminD: "vitamin_d", &f.Per100.Iodine: "iodine"} {
			v := r.figure(column)
			switch {
			case v != nil && *into != nil:
				r.fail("%s of %q stands twice", column, f.ID)
			case v != nil:
				*into = v
			}
		}
		f.Per100.Further = r.text("source")
	})
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
			Name: r.text("form"), Base: r.number("base", 1), Yield: r.number("yield", 1), Gives: r.number("gives", 1), Density: r.number("density", 0), Grade: Grade(r.text("grade")),
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
