package flow

import (
	"fmt"
	"strings"
	"testing"
)

// Where hands are busy and where a step goes on alone.
func TestSegments(t *testing.T) {
	for _, c := range []struct {
		method string
		want   []string
	}{
		{"Simmer the beans in the water for 40 minutes.", nil},
		{"Fry the onion in the oil for 5 minutes, stirring.", nil},
		{"Fry the onion in the oil for 30 minutes.", nil},
		{"Simmer the beans in the water for 20 minutes, stirring constantly.", nil},
		{"Chop the onion. Fry it in the oil for 5 minutes, add the beans and simmer on a low heat for 30 minutes. Mash.", nil},
		{"Bake the beans at 180 C for 1 hour.", nil},
		{"Preheat the oven to 200 C.", nil},
	} {
		d := read(t, "Beans\nServes 4\n\n500 g cooked beans\n1 onion\n1 tbsp oil\n1 l water\n\nMethod\n1. "+c.method)
		s := &d.Components[0].Steps[0]
		var got []string
		for _, seg := range Segments(reader(t).larder, s) {
			who := "alone"
			if seg.Hands {
				who = "hands"
			}
			got = append(got, strings.TrimSpace(fmt.Sprintf("%s %.1f %s %s", who, seg.Minutes, seg.Heat, Brief(s, seg.Actions))))
		}
		if len(c.want) == 0 {
			fmt.Printf("%q\n", got)
		}
	}
}
