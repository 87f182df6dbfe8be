package flow

import (
	"slices"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// objects binds what the verb is done to.
func (b *bindings) objects(c *clause, t *larder.Technique, r *roles) {
	b.heads(c.objects)
	b.allOfPart(c, t, r.action.ID)
	b.cutsOff(c, t)
	r.several = len(c.objects) > 0 && c.objects[0].plural
	for k, n := range c.objects {
		if k == 0 || b.apartInText(c.objects[k-1].upto, n.from) {
			b.opensPhrase("to", n.from)
		}
		if b.givesShape(t, n) {
			r.action.Makes = n.head()
			b.refMade(b.focus, 1, r, &r.action.To)
			continue // "pipe a ring on each", of the cream
		}
		before := r.vessel
		r.vessel = ""
		b.refs([]noun{n}, r, &r.action.To)
		if r.vessel != "" && r.bare {
			named := b.words(n)
			if n.pronoun {
				named = r.vessel
			}
			r.action.To = append(r.action.To, recipe.Ref{Named: &named, Share: 1})
		}
		if r.vessel == "" {
			r.vessel = before
		}
		r.bare = false
	}
}

// cutsOff takes the part of a thing that is cut off it for no object: what is cut is the thing, "cut the peel off the oranges".
func (b *bindings) cutsOff(c *clause, t *larder.Technique) {
	if t.Family != "cut" || len(c.objects) != 1 || c.objects[0].owner != nil || !b.r.lang.Parts[c.objects[0].head()] || b.r.lang.AnyMeat[c.objects[0].head()] || b.r.lang.Fleshly[c.objects[0].head()] || len(b.direct(c.objects[0])) > 0 {
		return
	}
	if slices.ContainsFunc(c.links, func(l link) bool { return l.role == "from" && len(b.direct(l.nouns[0])) > 0 }) {
		c.objects = nil
	}
}

// givesShape tells whether an object is no more than the shape in which what is in hand is piped.
func (b *bindings) givesShape(t *larder.Technique, n noun) bool {
	return t.Name == pipeTechnique && !n.pointed && len(n.words) == 1 && b.r.lang.Shapes[n.head()] && b.focus != nil && b.open(b.focus) && len(b.direct(n)) == 0
}

// pipeTechnique presses something through a nozzle.
const pipeTechnique = "pipe"

// dropKeys takes out of the objects what only gave the verb its meaning: "a
// well", "the edges", "the heat".
func (c *clause) dropKeys(t *text, tech *larder.Technique) {
	if len(c.sense.Keys) == 0 || tech.Name == "preheat" {
		return
	}
	c.links = slices.DeleteFunc(c.links, func(l link) bool {
		w := t.low(l.nouns[0].upto - 1)
		return t.lang.Vessels[w] && tech.Joins == "" && tech.Family != "assemble" && tech.Family != "separate" && slices.ContainsFunc(c.sense.Keys, func(key []string) bool { return slices.Contains(key, w) })
	})
	c.objects = slices.DeleteFunc(c.objects, func(n noun) bool {
		if tech.Needs == "object" && (t.listed(n.head()) || n.pointed && tech.Family == "dough" && t.lang.Products[n.head()]) {
			return false // "separate the eggs", "knead the dough"
		}
		return slices.ContainsFunc(c.sense.Keys, func(key []string) bool {
			w := t.low(n.upto - 1)
			trimmed := t.lang.AdjectiveVerbs[w] && len(n.words) > 0 && n.head() != w // "pat the cod dry"
			return (slices.Contains(key, n.head()) || slices.Contains(key, w) && !trimmed) && (!t.lang.Vessels[w] || t.lang.Tools[w])
		})
	})
}

func last(words []string) string {
	if len(words) == 0 {
		return ""
	}
	return words[len(words)-1]
}
