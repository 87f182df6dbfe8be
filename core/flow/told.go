package flow

import (
	"slices"

	"yembra/core/recipe"
)

// Told says of a dish that was kept what the program has to say of it, in the words of the day: of
// its lines, of its method where that was not read yet or questions are open, and in its notices.
// A notice of what has been mended since goes.
func (r *Reader) Told(d *recipe.Dish) {
	r.Reader.Told(d)
	r.Complete(d)
	if !slices.ContainsFunc(d.Notices, func(n recipe.Notice) bool { return n.Text == "" }) {
		return
	}
	now := recipe.Dish{Components: d.Components}
	r.notices(&now)
	names, told := d.Names(), []recipe.Notice{}
	for _, n := range d.Notices {
		if n.Kind == recipe.TooLong {
			n.Text = recipe.SaysTooLong()
		}
		if n.Text == "" {
			at := slices.IndexFunc(now.Notices, func(o recipe.Notice) bool {
				id, there := names.ID(o.Where)
				return o.Kind == n.Kind && (o.Where == n.Where || there && id == n.Where)
			})
			if at < 0 {
				continue
			}
			n.Text = now.Notices[at].Text
			now.Notices = slices.Delete(now.Notices, at, at+1)
		}
		told = append(told, n)
	}
	d.Notices = told
}
