package method

import (
	"math"

	"yembra/core/recipe"
	"yembra/core/swap"
)

// asPoured are the decisions with which a dish takes no more of what stands for a stock than goes into it, where
// the rest of it was only there to cook flesh in that is not cooked any more. It says no where there is no such.
func (c *Carrier) asPoured(p *plan, dec swap.Decisions) (swap.Decisions, bool) {
	changed := map[string]float64{}
	for _, s := range p.inOrder() {
		if share := p.pouredShare(s); share > 0 && dec.Amounts[s.ref] == 0 {
			changed[s.ref] = share
		}
	}
	return amounted(dec, changed, c.words().AsPoured)
}

// onlyPoured tells whether no more is listed of a stand-in than is poured.
func (p *plan) onlyPoured(s *standIn) bool {
	return s.chosen.Amount < 1 && s.chosen.Amount == p.pouredShare(s)
}

// pouredShare is the share of a stock that the one action takes which is left of those that named it, in hundredths,
// where the others cooked flesh in it; 0 where that is not so.
func (p *plan) pouredShare(s *standIn) float64 {
	if s.class != extract || s.gone {
		return 0
	}
	share, cooked, taken := 0.0, false, 0
	for k := range p.graph.Nodes {
		n := &p.graph.Nodes[k]
		for r := range n.Action.Refs() {
			if !ofRef(*r, s.ref) {
				continue
			}
			if p.deeds[k].drop {
				cooked = cooked || n.Technique.Family == "wet heat"
				continue
			}
			share, taken = r.Share, taken+1
		}
	}
	if !cooked || taken != 1 || share < leastPoured || share > mostPoured {
		return 0
	}
	return math.Round(100*share) / 100
}

// Between which shares of a stock a dish is said to take only some of it; estimates.
const leastPoured, mostPoured = 0.02, 0.75

// ofRef tells whether a reference means a line, or that line of something made.
func ofRef(r recipe.Ref, ref string) bool { return r.Line != nil && *r.Line == ref || r.Of == ref }
