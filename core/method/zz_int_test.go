package method
import ("testing";"os";"fmt"
"yembra/knowledge"
"yembra/core/flow"
"yembra/core/larder"
"yembra/core/measure"
"yembra/core/swap")
func TestZI(t *testing.T){
 l, err := larder.Load(knowledge.Shipped()); if err != nil { t.Fatal(err) }
 r := flow.NewReader(l); b := swap.NewBook(l); c := NewCarrier(b, r)
 bb,_ := os.ReadFile(os.Getenv("F"))
 d := r.Read(string(bb), measure.Metric)
 pr := os.Getenv("P"); if pr=="" { pr="whole-food" }
 dec, _ := b.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: pr}}, swap.Closest)
 a, _ := c.book.Apply(d, dec, false)
 p := c.plan(&d, &a)
 for i := range p.graph.Nodes { n := &p.graph.Nodes[i]; dd := p.deeds[i]
  fmt.Printf("%d %s %s fam=%s to=%v with=%v into=%v named=%v inputs=%v liq=%v lasts=%v | drop=%v say=%q subj=%v along=%v late=%d before=%d\n", i, n.Action.ID, n.Technique.Name, n.Technique.Family, n.To, n.With, n.Into, n.Named, n.Inputs, n.Liquid, n.Lasts, dd.drop, dd.say, dd.subject, dd.along, len(dd.late), len(dd.before)) }
 for _, s := range p.inOrder() { fmt.Println(s.node, s.was.Name, "->", s.name, "enters", s.enters, "tail", s.tail, s.states, s.Bears, s.Done) }
}
