package stove

import "yembra/core/texts"

// Found are the temperatures that the probe has found, of what was not taken back: what
// it reached and what it left, by the bands that it watched.
func Found(p *Program, events []Event) []string {
	out := []string{}
	for _, e := range Standing(events) {
		way := map[Kind]string{Reached: texts.Say("stove.reached"), Left: texts.Say("stove.left")}[e.Kind]
		if way == "" {
			continue
		}
		name := e.Text
		if b := p.Band(e.Text); b != nil {
			name = capital(b.Name)
		}
		out = append(out, texts.Say("stove.atC", name, way, e.Amount))
	}
	return out
}
