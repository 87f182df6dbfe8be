package method

import (
	"fmt"
	"os"
	"testing"

	"yembra/core/measure"
	"yembra/core/swap"
)

func TestZZCard(t *testing.T) {
	path := os.Getenv("ZZ")
	if path == "" {
		t.Skip()
	}
	raw, _ := os.ReadFile(path)
	c, _ := carrier()
	d := c.reader.Read(string(raw), measure.Metric)
	dec, err := c.book.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: "whole-food"}}, swap.Closest)
	fmt.Println(err)
	a, _ := c.Adapt(d, dec, false)
	for i, comp := range a.Components {
		for j, l := range comp.Lines {
			fmt.Println(i, j, l.Change, l.Text, l.FoodID())
		}
		for _, s := range comp.Steps {
			fmt.Println("-", s.Change, s.Text)
			for _, x := range s.Actions {
				fmt.Print("   ", x.ID, " ", x.Verb, "/", x.Technique, " to")
				for _, r := range x.To {
					show(r.Line, r.Made, r.Named, r.Of)
				}
				fmt.Print(" with")
				for _, r := range x.With {
					show(r.Line, r.Made, r.Named, r.Of)
				}
				fmt.Print(" into")
				for _, r := range x.Into {
					show(r.Line, r.Made, r.Named, r.Of)
				}
				fmt.Println()
			}
		}
	}
}

func show(l, m, n *string, of string) {
	for _, x := range []*string{l, m, n} {
		if x != nil {
			fmt.Print(" [", *x, "]")
		}
	}
	fmt.Print(of)
}
