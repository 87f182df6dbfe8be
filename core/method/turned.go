package method

// turnedOver is what stands for the one thing that an action turns over in its fat, with what gives that its taste; nil where it
// turns more.
func (w *writer) turnedOver(there []int, at int) *standIn {
	if !w.graph.Nodes[at].Is("turn") {
		return nil
	}
	var main *standIn
	for _, line := range w.besidesFat(there) {
		s := w.stand[line]
		switch {
		case s != nil && s.flesh() && main == nil:
			main = s
		case s != nil || !w.dusts(line) && w.line(line).Mass() > w.l.UsualCloves():
			return nil
		}
	}
	return main
}
