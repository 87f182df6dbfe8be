package method

import (
	"fmt"
	"os"
	"testing"

	"yembra/core/measure"
	"yembra/core/swap"
)

func TestZZUse(t *testing.T) {
	path := os.Getenv("ZZ")
	if path == "" {
		t.Skip()
	}
	raw, _ := os.ReadFile(path)
	c, _ := carrier()
	d := c.reader.Read(string(raw), measure.Metric)
	dec, _ := c.book.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: "whole-food"}}, swap.Closest)
	a, _ := c.Adapt(d, dec, false)
	for _, s := range a.Swaps {
		fmt.Println(s.Replaces, s.Swap, s.Use)
		f := c.book.Larder().SwapNamed(s.Swap)
		fmt.Println("    right", f.Right, "uses", f.Uses)
	}
	for _, comp := range a.Components {
		for _, s := range comp.Steps {
			for _, f := range s.Findings {
				fmt.Println("!!", f)
			}
		}
	}
}
