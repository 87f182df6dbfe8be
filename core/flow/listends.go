package flow

// whenWhat tells whether it is said from i on when or whether the rest of a list goes in: "and, once they have popped, the shallots".
func (b *body) whenWhat(i int) bool {
	return b.lang.Subordinators[b.low(i)] != "" && b.finite(i)
}

// eachOf tells how far words reach that say how many of something go to each: "4 or 5 balls each";
// 0 where they do not.
func (b *body) eachOf(i int) int {
	if !b.number(i) {
		return 0
	}
	for k := i + 1; k < min(b.upto, i+2*farthestName); k++ {
		switch {
		case b.mark(k, ",") || b.ends(k, b.upto):
			return 0
		case b.is(k, b.lang.Pronouns) && b.is(k, b.lang.Pointing) && (b.ends(k+1, b.upto) || b.mark(k+1, ",")):
			return k + 1
		}
	}
	return 0
}
