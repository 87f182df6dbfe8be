package method

import (
	"fmt"
	"os"
	"testing"

	"yembra/core/measure"
	"yembra/core/swap"
)

func TestZZ(t *testing.T) {
	raw, err := os.ReadFile(os.Getenv("ZZ"))
	if err != nil {
		t.Skip()
	}
	c, err := carrier()
	if err != nil {
		t.Fatal(err)
	}
	d := c.reader.Read(string(raw), measure.Metric)
	dec, _ := c.book.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood}}, swap.Closest)
	a, _ := c.book.Apply(d, dec, false)
	d = cloned(d)
	c.reader.Dish(&d)
	p := c.plan(&d, &a)
	for i := range p.graph.Nodes {
		n := &p.graph.Nodes[i]
		dd := &p.deeds[i]
		fmt.Printf("%d %s/%s To%v With%v Into%v Named%v Inputs%v drop=%v say=%q why=%v subj=%v along=%v late=%d before=%d\n", i, n.Action.Verb, n.Technique.Name, n.To, n.With, n.Into, n.Named, n.Inputs, dd.drop, dd.say, dd.whys, dd.subject, dd.along, len(dd.late), len(dd.before))
	}
	for _, s := range p.inOrder() {
		fmt.Printf("stand line %d %s enters %d tail %g gone %v states %v bears %g done %g\n", s.node, s.name, s.enters, s.tail, s.gone, s.states, s.Bears, s.Done)
	}
}
