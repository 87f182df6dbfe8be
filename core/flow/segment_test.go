package flow

import (
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
)

// Where hands are busy and where a step goes on alone.
func TestSegments(t *testing.T) {
	for _, c := range []struct {
		method string
		want   []string
	}{
		{"Simmer the beans in the water for 40 minutes.", []string{"hands 1.0 low Simmer the beans in the water", "alone 40.0 low Simmer the beans in the water"}},
		{"Fry the onion in the oil for 5 minutes, stirring.", []string{"hands 5.0 medium Fry the onion"}},
		{"Fry the onion in the oil for 30 minutes.", []string{"hands 8.0 medium Fry the onion", "alone 22.0 medium Fry the onion"}},
		{"Simmer the beans in the water for 20 minutes, stirring constantly.", []string{"hands 20.0 low Simmer the beans in the water"}},
		{"Chop the onion. Fry it in the oil for 5 minutes, add the beans and simmer on a low heat for 30 minutes. Mash.", []string{"hands 9.5 low Chop the onion", "alone 30.0 low Simmer on a low heat", "hands 4.0  Mash"}},
		{"Bake the beans at 180 C for 1 hour.", []string{"hands 1.0 oven Bake the beans at 180 C", "alone 60.0 oven Bake the beans at 180 C"}},
		{"Preheat the oven to 200 C.", nil},
		{"Cover the beans with the water and bring to a simmer.", []string{"hands 1.5 low Cover the beans with the water", "alone 8.0 low Bring to a simmer"}},
		{"Bring the beans to a simmer for 12 minutes.", []string{"hands 1.0 low Bring the beans to a simmer", "alone 12.0 low Bring the beans to a simmer"}},
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
		require.Equal(t, c.want, got, c.method)
	}
}
