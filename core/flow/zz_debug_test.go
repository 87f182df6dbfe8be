package flow

import (
	"fmt"
	"os"
	"testing"
)

func TestZZ(t *testing.T) {
	raw, err := os.ReadFile(os.Getenv("ZZ"))
	if err != nil {
		t.Skip()
	}
	d := read(t, string(raw))
	for c := range d.Components {
		fmt.Printf("## %q\n", d.Components[c].Name)
		for i, l := range d.Components[c].Lines {
			food := "-"
			if l.Food != nil {
				food = *l.Food
			}
			fmt.Printf("  %d.%d %s [%s]\n", c, i, l.Text, food)
		}
	}
	for _, at := range d.Method() {
		s := d.Components[at.Component].Steps[at.Step]
		fmt.Println("STEP", s.Text)
		for _, a := range s.Actions {
			fmt.Println("    ", show(a))
		}
		r := []rune(s.Text)
		for _, a := range s.Asides {
			fmt.Printf("     aside %s: %s\n", a.Kind, string(r[a.From:a.Upto]))
		}
		for _, q := range s.Questions {
			fmt.Printf("     QUESTION %s\n", q.Text)
		}
	}
	for _, n := range d.Notices {
		fmt.Println("notice", n.Where, n.Kind, n.Text)
	}
}
