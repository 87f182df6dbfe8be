package character

// Scale says how much traits count beside each other, and from how many steps on they are
// short. It is judgement, not measurement.
type Scale struct {
	// Unpinned is the weight of a trait beside a pinned one, Look that of how things look
	// beside how they taste, LeastPart the least weight of a trait of a small component
	// beside one of the whole dish.
	Unpinned, Look, LeastPart float64
	// ShortBy and ShortByPinned are the steps from which a trait counts as short.
	ShortBy, ShortByPinned float64
	// Thresholds are those of a kitchen's own tasters, by trait; of all others the usual ones hold.
	Thresholds map[string]Threshold
}

// UsualScale is that of a kitchen that has none of its own; estimates.
func UsualScale() Scale {
	return Scale{Unpinned: 1.0 / 3, Look: 0.4, LeastPart: 0.15, ShortBy: -1, ShortByPinned: -0.5}
}

// tasted is a trait with the threshold of this kitchen.
func (w Wishes) tasted(t *Trait) *Trait {
	if w.Scale == nil || w.Scale.Thresholds == nil {
		return t
	}
	own, ok := w.Scale.Thresholds[t.Name]
	if !ok {
		return t
	}
	here := *t
	here.Threshold = own
	return &here
}
