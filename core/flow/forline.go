package flow

// listedForAnother tells whether a line says behind its name what is done with it to the one before it: "milk, to soak the
// bread".
func (b *bindings) listedForAnother(i int) bool {
	words := b.lines[i].prepared
	if i == 0 || b.lines[i-1].comp != b.lines[i].comp || len(words) < 3 || !b.r.lang.Purpose[words[0]] || len(b.r.lang.Orders(words[1])) == 0 {
		return false
	}
	head := last(b.lines[i-1].name)
	return head != "" && last(words) == head
}
