package method

import (
	"maps"
	"math"
	"slices"

	"yembra/core/recipe"
	"yembra/core/swap"
)

// onlyPoured are the decisions with which a dish takes no more of what stands for a stock than goes into it, where
// the rest of it was only there to cook flesh in that is not cooked any more. It says no where there is no such.
func (c *Carrier) onlyPoured(p *plan, dec swap.Decisions) (swap.Decisions, bool) {
	changed := map[string]float64{}
	for line, s := range p.stand {
		if share := p.pouredShare(line); s.class == extract && !s.gone && share > 0 && dec.Amounts[p.ref(line)] == 0 {
			changed[p.ref(line)] = math.Round(100*share) / 100
		}
	}
	if len(changed) == 0 {
		return dec, false
	}
	dec.Amounts, dec.Reasons = merged(dec.Amounts, changed), maps.Clone(dec.Reasons)
	for ref := range changed {
		if dec.Reasons[ref] == "" {
			dec.Reasons = merged(dec.Reasons, map[string]string{ref: c.words().AsPoured})
		}
	}
	return dec, true
}

// pouredShare is the share of a line that the one action takes which is left of those that named it, where the others
// cooked flesh in it; 0 where that is not so.
func (p *plan) pouredShare(line int) float64 {
	ref, share, cooked, taken := p.ref(line), 0.0, false, 0
	for k := range p.graph.Nodes {
		n := &p.graph.Nodes[k]
		for _, r := range slices.Concat(n.Action.To, n.Action.With, n.Action.Into) {
			if !ofRef(r, ref) {
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
	return share
}

// Between which shares of a stock a dish is said to take only some of it; estimates.
const leastPoured, mostPoured = 0.02, 0.75

// ofRef tells whether a reference means a line, or that line of something made.
func ofRef(r recipe.Ref, ref string) bool { return r.Line != nil && *r.Line == ref || r.Of == ref }
