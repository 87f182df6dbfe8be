package recipe

import "strconv"

// Parts, lines and steps of a kept dish have ids of their own ("p1", "l7",
// "s3"), which stay with them through edits and moves; what a cook has decided
// hangs on them. A dish that nobody keeps has none: there a line is named by its
// place, "components[0].lines[3]".

// Identify gives each part, line and step without an id of its own the next
// number after last, which is returned. Of two that bear the same id, the later
// is taken for a copy.
func (d *Dish) Identify(last int) int {
	seen := map[string]bool{}
	give := func(id *string, kind string) {
		if number, ok := numbered(*id, kind); ok && number <= last && !seen[*id] {
			seen[*id] = true
			return
		}
		last++
		*id = kind + strconv.Itoa(last)
		seen[*id] = true
	}
	for i := range d.Components {
		c := &d.Components[i]
		give(&c.ID, "p")
		for j := range c.Lines {
			give(&c.Lines[j].ID, "l")
		}
		for j := range c.Steps {
			give(&c.Steps[j].ID, "s")
		}
	}
	return last
}

// IsID tells whether a name is that of a part, line or step of a kept dish.
func IsID(name string) bool {
	for _, kind := range []string{"p", "l", "s"} {
		if _, ok := numbered(name, kind); ok {
			return true
		}
	}
	return false
}

// numbered reads the number of an id of a kind.
func numbered(id, kind string) (int, bool) {
	if len(id) < 2 || id[:1] != kind {
		return 0, false
	}
	n, err := strconv.Atoi(id[1:])
	return n, err == nil && n > 0 && id == kind+strconv.Itoa(n)
}

// Names turns the names of a dish's parts, lines and steps into one another: by
// the place they stand at and by their ids.
type Names struct{ place, id map[string]string }

// Names of a dish; a thing without an id is called by its place.
func (d *Dish) Names() Names {
	n := Names{map[string]string{}, map[string]string{}}
	add := func(place, id string) {
		if id == "" {
			id = place
		}
		n.place[id], n.place[place] = place, place
		n.id[place], n.id[id] = id, id
	}
	for i, c := range d.Components {
		add(strconv.Itoa(i), c.ID)
		for j, l := range c.Lines {
			add(LineRef(i, j), l.ID)
		}
		for j, s := range c.Steps {
			add(StepRef(i, j), s.ID)
		}
	}
	return n
}

// Place is where the thing of a name stands now; false when it is gone.
func (n Names) Place(name string) (string, bool) { p, ok := n.place[name]; return p, ok }

// ID is the lasting name of the thing of a name; false when it is gone.
func (n Names) ID(name string) (string, bool) { id, ok := n.id[name]; return id, ok }

// StepRef is the outward name of a step: "components[0].steps[2]".
func StepRef(component, step int) string {
	return "components[" + strconv.Itoa(component) + "].steps[" + strconv.Itoa(step) + "]"
}
