package larder

// KnownBy lists the traits that a kind of food is known by; none for most.
func (l *Larder) KnownBy(kind string) []string { return l.knownBy[kind] }

func (l *Larder) loadKnownBy(src Source) error {
	l.knownBy = map[string][]string{}
	return eachRow(src, "known_by.csv", func(r row) {
		if _, twice := l.knownBy[r.text("kind")]; twice {
			r.fail("%s stands twice", r.text("kind"))
		}
		l.knownBy[r.text("kind")] = r.list("traits")
	})
}
