package method

import (
	"fmt"
	"os"
	"testing"

	"yembra/core/measure"
	"yembra/core/swap"
)

func (p *plan) ZZ() {
	for _, s := range p.inOrder() {
		fmt.Printf("stand %s line %d enters %d tail %v bears %v done %v states %v shaped %v path %v\n", s.name, s.node, s.enters, s.tail, s.Bears, s.Done, s.states, p.shapedBare(s), p.path(s.node))
	}
	for i := range p.deeds {
		d := p.deeds[i]
		n := &p.graph.Nodes[i]
		fmt.Printf("%d %s drop=%v silent=%v say=%q min=%v lasts=%v wet=%v to=%v with=%v into=%v named=%v along=%v liquid=%v\n", i, n.Action.Verb, d.drop, d.silent, d.say, d.minutes, p.lasts[i], p.wetMinutes(i), n.To, n.With, n.Into, n.Named, d.along, n.Liquid)
	}
}

func TestZZPlan(t *testing.T) {
	path := os.Getenv("ZZ")
	if path == "" {
		t.Skip()
	}
	raw, _ := os.ReadFile(path)
	c, _ := carrier()
	d := c.reader.Read(string(raw), measure.Metric)
	dec, err := c.book.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: "whole-food"}}, swap.Closest)
	fmt.Println(err)
	a, _ := c.book.Apply(d, dec, false)
	d = cloned(d)
	c.reader.Dish(&d)
	p := c.plan(&d, &a)
	p.ZZ()
	for i := range p.deeds {
		p.ZZRule(i)
	}
}

func (p *plan) ZZRule(i int) {
	for _, line := range p.subjects(i) {
		s := p.stand[line]
		if s != nil {
			fmt.Println("rule", i, s.name, s.class, p.graph.Nodes[i].Technique.Name, p.rule(s, i), p.coated(s, i), p.there(line, i))
		}
	}
}
