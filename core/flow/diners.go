package flow

import "yembra/core/language"

// dinersTell tells whether a sentence says what is done at the table and by whom.
func (p *parser) dinersTell(i int) bool {
	at, _ := p.dinersDo(i)
	return at > 0
}

// dinersDo is where the verb stands of what is done at the table, where it is said at i who does it, and its form: "everyone
// adds cream", "each person fills a tortilla", "let your guests help themselves"; 0 where none does.
func (p *parser) dinersDo(i int) (int, language.Form) {
	at := i
	if p.is(i, p.lang.Inviting) {
		at++
	}
	invited := at > i
	if (p.lang.Shares[p.low(at)] > 0 || p.is(at, p.lang.Articles) || p.is(at, p.lang.Pointing)) && p.is(at+1, p.lang.Diners) {
		at++
	}
	if !p.is(at, p.lang.Diners) {
		return 0, language.Base
	}
	if at++; invited && p.is(at, p.lang.Purpose) {
		at++
	}
	switch {
	case at+1 >= len(p.words) || !p.opensThing(at+1) && !p.listed(p.words[at+1].norm) && !invited:
		return 0, language.Base
	case !invited && p.third(at):
		return at, language.Third
	case p.orders(at, invited, false):
		return at, language.Base
	}
	return 0, language.Base
}
