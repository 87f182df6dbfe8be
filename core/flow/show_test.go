package flow

import (
	"fmt"
	"os"
	"slices"
	"testing"

	"yembra/core/measure"
	"yembra/core/recipe"
)

// TestShow prints how recipes are read, for a look: SHOW=slug or SHOW=all.
func TestShow(t *testing.T) {
	want := os.Getenv("SHOW")
	if want == "" {
		t.Skip("SHOW names no recipe")
	}
	for _, file := range []string{"first_marked.txt", "first.txt", "second_marked.txt", "second.txt"} {
		if want == file || file[:5] == "first" && want == "first" {
			s := score{}
			for _, w := range corpus(t, file) {
				s.add(compare(t, w))
			}
			for _, x := range s.wrong {
				fmt.Println(x)
			}
			fmt.Println(file, s)
		}
		for _, w := range corpus(t, file) {
			if w.slug != want {
				continue
			}
			d := read(t, w.text)
			for c := range d.Components {
				fmt.Println("##", d.Components[c].Name)
				for j, l := range d.Components[c].Lines {
					fmt.Printf("   %d.%d %s [%s]\n", c, j, l.Name, l.FoodID())
				}
				for _, s := range d.Components[c].Steps {
					fmt.Println("-", s.Text)
					for _, a := range s.Actions {
						fmt.Println("     ", show(a))
					}
					runes := []rune(s.Text)
					for _, a := range s.Asides {
						fmt.Printf("      %s: %s\n", a.Kind, string(runes[a.From:a.Upto]))
					}
					for _, q := range s.Questions {
						fmt.Printf("      ?? %s\n", q.Text)
					}
				}
			}
		}
	}
}

// TestDoubts prints what is doubtful in how recipes are read: DOUBTS=file.
func TestDoubts(t *testing.T) {
	file := os.Getenv("DOUBTS")
	if file == "" {
		t.Skip("DOUBTS names no file")
	}
	questions, unused, steps := 0, 0, 0
	for _, w := range corpus(t, file) {
		d := read(t, w.text)
		used := map[string]bool{}
		for _, at := range d.Method() {
			s := d.Components[at.Component].Steps[at.Step]
			steps++
			for _, a := range s.Actions {
				for _, r := range slices.Concat(a.To, a.With, a.Into) {
					if r.Line != nil {
						used[*r.Line] = true
					}
					if r.Named != nil {
						fmt.Printf("%s: named %s in %s\n", w.slug, *r.Named, string([]rune(s.Text)[a.From:a.Upto]))
					}
				}
			}
			for _, q := range s.Questions {
				questions++
				fmt.Printf("%s: ?? %s\n", w.slug, q.Text)
			}
		}
		for c := range d.Components {
			for j, l := range d.Components[c].Lines {
				if !used[recipe.LineRef(c, j)] {
					unused++
					fmt.Printf("%s: unused %s\n", w.slug, l.Text)
				}
			}
		}
	}
	fmt.Println(file, "questions", questions, "unused", unused, "steps", steps)
}

// TestBookDoubts prints what is doubtful in the preparations of the book.
func TestBookDoubts(t *testing.T) {
	if os.Getenv("BOOK") == "" {
		t.Skip("BOOK is not set")
	}
	r := reader(t)
	for _, s := range r.larder.Swaps() {
		var lines []recipe.Line
		for i, p := range s.Formula {
			f := r.larder.Food(p.Food)
			g := measure.Exactly(p.Grams)
			lines = append(lines, recipe.Line{Text: f.Name + " " + p.Preparation, Food: &s.Formula[i].Food, Name: f.Name, Preparation: p.Preparation, Origin: f.Origin, Grams: &g, Amount: &measure.Amount{Low: p.Grams, High: p.Grams, Unit: measure.Gram}})
		}
		d := recipe.Dish{Components: []recipe.Component{{Lines: lines}}}
		for _, p := range s.Prepare {
			d.Components[0].Steps = append(d.Components[0].Steps, recipe.Step{Text: p.Text})
		}
		r.Dish(&d)
		for _, st := range d.Components[0].Steps {
			fmt.Println(s.ID, "|", st.Text)
			for _, a := range st.Actions {
				fmt.Println("     ", show(a))
			}
			for _, q := range st.Questions {
				fmt.Println("      ??", q.Text)
			}
		}
	}
}
