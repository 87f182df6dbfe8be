package larder

import (
	"cmp"
	"slices"
)

// Pack is one size that shops sell; Drained is what is left without its
// liquid, nil when there is none to drain.
type Pack struct {
	Name    string  `json:"name"`
	Grams   float64 `json:"grams"`
	Drained Figure  `json:"drained" jsonschema:"nullable"`
	// Closed packs are sold whole: a tin, a jar. Their rest does not keep as the
	// whole does, and what is in them is peeled and trimmed.
	Closed bool `json:"closed"`
	// Opened is for how many days the rest of one keeps cold, where the food itself
	// keeps otherwise: beans out of a tin.
	Opened   Figure `json:"openedDays" jsonschema:"nullable"`
	Source   string `json:"source"`
	Estimate bool   `json:"estimate"`
}

// Storage is where a food keeps at home and how many days, sealed and opened.
type Storage struct {
	Place  string  `json:"place"`
	Sealed float64 `json:"sealedDays"`
	Opened float64 `json:"openedDays"`
	// OpenedPlace is where the rest of an opened or cut one keeps.
	OpenedPlace string `json:"openedPlace"`
	Note        string `json:"note"`
	Source      string `json:"source"`
	Estimate    bool   `json:"estimate"`
}

// loadPacks lets the packs of a food's own rows add up in place of the shelf's.
func (l *Larder) loadPacks(src Source) error {
	replaced := map[*Food]bool{}
	return l.eachFood(src, "packs.csv", func(r row, f *Food, own bool) {
		if own && !replaced[f] {
			f.Packs, replaced[f] = []Pack{}, true
		}
		f.Packs = append(f.Packs, Pack{
			Name: r.text("pack"), Grams: r.number("grams", 0), Drained: r.figure("drained"), Closed: r.text("closed") == "yes", Source: r.text("source"), Estimate: r.text("source") == Estimate,
		})
	})
}

func (l *Larder) loadStorage(src Source) error {
	return l.eachFood(src, "storage.csv", func(r row, f *Food, _ bool) {
		if pack := r.text("pack"); pack != "" {
			at := slices.IndexFunc(f.Packs, func(p Pack) bool { return p.Name == pack })
			if at < 0 {
				r.fail("%s: no %s is sold", f.ID, pack)
				return
			}
			f.Packs[at].Opened = r.figure("opened_days")
			return
		}
		f.Storage = Storage{
			Place: r.text("place"), Sealed: r.number("sealed_days", 0), Opened: r.number("opened_days", 0), Note: r.text("note"),
			OpenedPlace: cmp.Or(r.text("opened_place"), r.text("place")),
			Source:      r.text("source"), Estimate: r.text("source") == Estimate,
		}
	})
}
