package stove

import "fmt"

// Found are the temperatures that the probe has found, of what was not taken back: what
// it reached and what it left, by the bands that it watched.
func Found(p *Program, events []Event) []string {
	out := []string{}
	for _, e := range Standing(events) {
		way := map[Kind]string{Reached: "reached", Left: "left"}[e.Kind]
		if way == "" {
			continue
		}
		name := e.Text
		if b := p.Band(e.Text); b != nil {
			name = capital(b.Name)
		}
		out = append(out, fmt.Sprintf("%s: %s at %.0f °C", name, way, e.Amount))
	}
	return out
}
