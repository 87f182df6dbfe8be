package character

// Leads tells whether a trait shows for itself: of colours only the strongest of its part
// does.
func (p *Profile) Leads(trait string, part int) bool {
	own, most := -1.0, 0.0
	for i := range Traits {
		if t := &Traits[i]; t.Family == Look && i >= wholeTraits {
			v := p.Parts[part].Traits[i-wholeTraits]
			most = max(most, v)
			if t.Name == trait {
				own = v
			}
		}
	}
	return own < 0 || own >= most
}

// Apart is how many steps a profile is from the original in a trait as this kitchen
// tastes it, 0 where the original hardly has it. part says where traits judged by
// component are looked at.
func (w Wishes) Apart(original, p *Profile, trait string, part int) float64 {
	for i := range Traits {
		t := &Traits[i]
		if t.Name != trait {
			continue
		}
		var before, after float64
		if i < wholeTraits {
			before, after = original.Whole[i], p.Whole[i]
		} else {
			before, after = original.Parts[part].Traits[i-wholeTraits], p.Parts[part].Traits[i-wholeTraits]
		}
		if before < t.Noticed {
			return 0
		}
		steps, _ := w.steps(t, before, after)
		return steps
	}
	return 0
}

// Short tells whether a profile falls short of the original in a trait.
func (p *Profile) Short(original *Profile, w Wishes, trait string, part int) bool {
	limit := w.scale().ShortBy
	if w.Pins[trait] {
		limit = w.scale().ShortByPinned
	} else if w.Less[trait] {
		return false
	}
	return w.Apart(original, p, trait, part) < limit
}

// Home is the component that most of a trait came from, which is where it is
// missed; doughs have nothing stirred in. It answers -1 where no component has
// any.
func (d Dish) Home(trait string) int {
	home, most := -1, 0.0
	for i := range d.Parts {
		if d.Parts[i].Kneaded {
			continue
		}
		s := d.Parts[i].Sums()
		amount := s[linearOf[trait]]
		switch trait {
		case Savoury:
			amount = savouryOf(&s, 100) // as grams, not as concentration
		case Body:
			amount = s[thicken]/100 + s[fat]/fatOfBody + s[dissolved]/solidsOfBody
		}
		if amount > most {
			home, most = i, amount
		}
	}
	return home
}
