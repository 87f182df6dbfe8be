package recipe

// stepsFromTheFirst marks the items of a numbered list that stand before the first that is plainly a step, so that they are
// steps too: "1. First, make the meatballs. 2. Mix the mince with the onion and season well." Where one of them tells an
// amount first, the list is of what is needed, and nothing is marked.
func (l *layout) stepsFromTheFirst(blocks []block) {
	for i := 0; i < len(blocks); i++ {
		if blocks[i].number != 1 {
			continue
		}
		for k := i; k < len(blocks) && blocks[k].number == k-i+1; k++ {
			if l.methodLike(blocks[k]) {
				for n := i; n < k; n++ {
					blocks[n].step = true
				}
				break
			}
			if l.quantityFirst(blocks[k].text) || l.measureFirst(blocks[k].text) {
				break
			}
		}
	}
}
