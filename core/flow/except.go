package flow

// exception finds where what is left out is named, behind "except", "apart from" and the like at i; 0 where nothing is.
func (b *body) exception(i int) int {
	at := i
	if b.mark(at, ",") {
		at++
	}
	for _, phrase := range b.lang.ExceptionPhrases {
		if b.runs(at, phrase) {
			return at + len(phrase)
		}
	}
	if b.is(at, b.lang.Exceptions) && (at == i || b.is(at+1, b.lang.Articles)) {
		return at + 1
	}
	return 0
}

// excepts gives what is left out of all that is for something to what it is left out of: "all the ingredients for the
// meatballs except the oil".
func (b *body) excepts() {
	objects := b.clause.objects
	for i := range b.clause.links {
		l := &b.clause.links[i]
		if n := len(l.nouns); l.role == "for" && n > 0 && len(l.nouns[n-1].except) > 0 && len(objects) > 0 {
			objects[len(objects)-1].except, l.nouns[n-1].except = l.nouns[n-1].except, nil
		}
	}
}
