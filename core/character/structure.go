package character

// Holding is one structural job: what the original's egg or cheese held
// together, and whether the adaptation can.
type Holding struct {
	Component string  `json:"component"`
	Need      string  `json:"need"`
	Required  float64 `json:"required"`
	Supplied  float64 `json:"supplied"`
	Unit      string  `json:"unit"`
	Verdict   string  `json:"verdict"`
}

// The verdicts on structure. A supply of 0.9 to 1.3 times the need holds.
const (
	Holds       = "holds"
	WillNotHold = "will not hold"
	TooFirm     = "gummy, dense or stiff"

	leastSupply = 0.9
	mostSupply  = 1.3
)

// jobs are the structural uses that the model weighs, with their units.
var jobs = []struct{ need, unit string }{
	{"bind", "g of mix bound"},
	{"set", "ml set sliceable"},
}

// Hold weighs need against supply, component by component. The need is the
// capacity of what did the job in the original, bounded by what there is to
// hold; the supply is that of everything in the adaptation that can.
func Hold(original, adapted Dish) []Holding {
	var out []Holding
	for i, p := range original.Parts {
		for _, j := range jobs {
			need := p.capacity(j.need, true)
			if need == 0 {
				continue
			}
			held := p.Mass()
			need = min(need, held)
			h := Holding{Component: p.Name, Need: j.need, Required: need, Unit: j.unit}
			if i < len(adapted.Parts) {
				h.Supplied = adapted.Parts[i].capacity(j.need, false)
			}
			switch ratio := h.Supplied / need; {
			case ratio < leastSupply:
				h.Verdict = WillNotHold
			case ratio > mostSupply && h.Supplied > mostSupply*held:
				h.Verdict = TooFirm
			default:
				h.Verdict = Holds
			}
			out = append(out, h)
		}
	}
	return out
}

// capacity sums what the part's items can bind or set. Of the original only
// items put to that use count.
func (p Part) capacity(need string, used bool) float64 {
	total := 0.0
	for _, it := range p.Items {
		if used && it.Use.Name != need {
			continue
		}
		for _, r := range it.Food.Roles {
			if r.Kind == need && (r.Form == "" || r.Form == it.Form.Name) {
				total += it.asBought() * r.PerGram
			}
		}
	}
	return total
}
