package character

import "slices"

// Holding is one structural job: what the original's egg, butter or cheese
// did for the component, and whether the adaptation can.
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

// job is a structural job: its unit, what adds up to it, the uses that do it, and whether too much of it spoils the dish.
type job struct {
	need, unit string
	adds       quantity
	uses       []string
	stiffens   bool
}

// jobs are the structural jobs the model weighs.
var jobs = [...]job{
	{"bind", "g of mix bound", binding, []string{"bind", "shape"}, true},
	{"set", "ml set sliceable", setting, []string{"set", "set-sweet"}, true},
	{"lift", "ml of batter doubled", lifting, []string{"lift"}, false},
	{"thicken", "ml to coating", thicken, []string{"thicken"}, true},
	{"emulsify", "g of oil held", emulsifying, []string{"emulsify"}, false},
	{"shorten", "g of solid fat", shortening, []string{"shorten"}, false},
	{"glaze", "brushings", glazing, []string{"glaze"}, false},
}

// Need is one structural job that the original's ingredients did.
type Need struct {
	Part int
	job  int
	// Required is what has to be supplied, Most what the original had or what
	// there is to hold, whichever is more: beyond it things turn stiff.
	Required, Most float64
}

// DoesJob tells whether a use is one of the structural jobs.
func DoesJob(use string) bool {
	return slices.ContainsFunc(jobs[:], func(j job) bool { return slices.Contains(j.uses, use) })
}

// Needs works out the structural jobs of an original: the capacity of what did
// the job, at most what there is to hold.
func (d Dish) Needs() []Need {
	var out []Need
	for i, p := range d.Parts {
		held := p.Mass()
		for j, job := range jobs {
			capacity := 0.0
			for _, it := range p.Items {
				if slices.Contains(job.uses, it.Use.Name) {
					s := it.Sums()
					capacity += s[job.adds]
				}
			}
			if capacity == 0 {
				continue
			}
			whole := p.Sums()
			most := max(held, whole[job.adds])
			if job.stiffens {
				capacity = min(capacity, held)
			}
			out = append(out, Need{i, j, capacity, most})
		}
	}
	return out
}

// weigh sets a supply against a need.
func (n Need) weigh(supplied float64) string {
	switch ratio := supplied / n.Required; {
	case ratio < leastSupply:
		return WillNotHold
	case jobs[n.job].stiffens && ratio > mostSupply && supplied > mostSupply*n.Most:
		return TooFirm
	}
	return Holds
}

// Broken counts the needs that a profile does not meet.
func (p *Profile) Broken(needs []Need) int {
	broken := 0
	for _, n := range needs {
		if n.weigh(p.Parts[n.Part].Held[n.job]) != Holds {
			broken++
		}
	}
	return broken
}

// Hold weighs needs against what the adaptation supplies, component by
// component.
func Hold(shapes []Shape, needs []Need, adapted *Profile) []Holding {
	out := []Holding{}
	for _, n := range needs {
		supplied := adapted.Parts[n.Part].Held[n.job]
		out = append(out, Holding{shapes[n.Part].Name, jobs[n.job].need, n.Required, supplied, jobs[n.job].unit, n.weigh(supplied)})
	}
	return out
}
