package flow

// compared is where words end that liken something to a thing: "a little bigger than the
// fish"; 0 where none begin at i.
func (b *body) compared(i int) int {
	for k := i; k < b.upto && k < i+farthestName; k++ {
		switch {
		case b.is(k, b.lang.Comparers):
			if k+1 < b.upto && !b.opensThing(k+1) && !b.foods(b.words[k+1].norm) {
				end := k + 1
				for end < b.upto && !b.mark(end, ",(") && !b.is(end, b.lang.Until) {
					end++
				}
				return end // "less time than stated on the pack"
			}
			if n, ok := b.noun(k+1, b.upto, true); ok {
				return n.upto
			}
			return 0
		case b.foods(b.words[k].norm), b.mark(k, ",("), b.conj(k):
			return 0
		}
	}
	return 0
}
