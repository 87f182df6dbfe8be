package method

import (
	"slices"

	"yembra/core/larder"
)

// otherCue ends an action whose own cue is gone: by what its technique usually
// ends with, unless minutes are said.
func (w *writer) otherCue(n *node, d *deed) string {
	if rest := w.restOfCue(n); rest != "" && len(d.late) == 0 {
		return rest
	}
	t := n.Technique
	if said := w.l.Technique(d.say); said != nil {
		t = said // butter melts until no lump is left, oil is heated until hot
	}
	if n.Action.Minutes == nil && d.minutes == nil && w.wouldSet(n) {
		return w.c.words().Until + " " + w.c.words().HotThrough
	}
	if n.Action.Minutes != nil || d.minutes != nil || t.Cue == "" || t.Heat == "" {
		return ""
	}
	if t.Family == "gentle heat" && w.meltedBeside(n) {
		return "" // "warm the milk with the butter until it has melted" gets no hotter for oil
	}
	if t.Family == "dry heat" && w.pouredIn(n) {
		return "" // soured cream does not get golden on both sides
	}
	if t.Family == "wet heat" && w.onlyToHeat(n) || w.gone(n, t.Cue, "") {
		return w.c.words().Until + " " + w.c.words().HotThrough
	}
	return w.c.words().Until + " " + t.Cue
}

// wouldSet tells whether eggs were stirred over a fire until they set, for which something stands that does not.
func (w *writer) wouldSet(n *node) bool {
	done := slices.ContainsFunc(n.Holds, func(line int) bool {
		s := w.stand[line]
		return s != nil && !s.gone && s.class == larder.Egg && s.is(larder.Ready)
	})
	return done && n.Is("stir") && w.cookedBefore(w.graph.Number(n)) && slices.ContainsFunc(larder.Words(n.Action.Cue), func(word string) bool { return w.l.Language().GoneSigns[setSigns][word] })
}

// meltedBeside tells whether a cue that is gone told that a fat has melted beside other things, for which
// oil stands.
func (w *writer) meltedBeside(n *node) bool {
	return len(n.To)+len(n.With) > 1 && slices.ContainsFunc(slices.Concat(n.To, n.With), func(line int) bool {
		s := w.stand[line]
		return s != nil && !s.gone && s.is(larder.LiquidFat)
	}) && slices.ContainsFunc(larder.Words(n.Action.Cue), func(word string) bool { return w.l.Language().GoneSigns[liquid][word] })
}

// pouredIn tells whether what goes into a pan just before an action pours.
func (w *writer) pouredIn(n *node) bool {
	return slices.ContainsFunc(n.Inputs, func(in int) bool {
		before := &w.graph.Nodes[in]
		return before.Technique.Joins == "yes" && slices.ContainsFunc(before.Named, func(line int) bool {
			return larder.Pours(w.l.Food(w.line(line).FoodID())) && !w.c.fatLine(w.line(line))
		})
	})
}
