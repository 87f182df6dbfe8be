package method

import (
	"fmt"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/swap"
)

// A feast of hundreds of animal lines is proposed and carried over in bounded
// time.
func TestAFeastIsCarriedOverInTime(t *testing.T) {
	c, err := carrier()
	require.NoError(t, err)
	animal := strings.Split("beef,pork,butter,chicken thighs,double cream,eggs,cod,prawns,bacon,parmesan,milk,honey,gelatine,lard,yoghurt", ",")
	for _, n := range []int{120, 400} {
		var b strings.Builder
		b.WriteString("Feast\nServes 10\n\n")
		for i := range n {
			fmt.Fprintf(&b, "%d g %s\n", 100+i, animal[i%len(animal)])
		}
		b.WriteString("\nMethod\n1. Fry the beef and pork in the butter. Add everything else and simmer for 40 minutes.")
		d := c.reader.Read(b.String(), measure.Metric)
		from := time.Now()
		dec, err := c.book.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood}}, swap.Closest)
		require.NoError(t, err)
		t.Log(n, "proposed", time.Since(from))
		a, err := c.Adapt(d, dec, true)
		require.NoError(t, err)
		t.Log(n, "carried over", time.Since(from))
		require.Less(t, time.Since(from), 3*time.Second)
		require.Len(t, a.Swaps, n)
	}
}

// Where what is added is gone, its step goes or is said of what is left by name:
// nothing is added that is in the pot already.
func TestNothingIsAddedToItself(t *testing.T) {
	c, err := carrier()
	require.NoError(t, err)
	said := func(text string) string {
		d := c.reader.Read(text, measure.Metric)
		dec, err := c.book.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood}}, swap.Closest)
		require.NoError(t, err)
		a, err := c.Adapt(d, dec, false)
		require.NoError(t, err)
		var out []string
		for _, s := range a.Components[0].Steps {
			out = append(out, s.Text)
		}
		return strings.Join(out, "\n")
	}
	stew := said("Stew\nServes 4\n\n800 g beef shin, cubed\n3 onions\n2 tbsp oil\n2 tbsp paprika\n500 ml beef stock\n\nMethod\n1. Fry the onions in the oil for 15 minutes. Stir in the paprika. Add the beef and turn it in the onions for 10 minutes until it is coated and browned.\n2. Add the stock and simmer for 2 hours until the beef is tender.")
	require.NotContains(t, stew, "verything")
	require.NotContains(t, stew, "Toss")

	tagine := said("Tagine\nServes 4\n\n800 g lamb shoulder, cubed\n2 onions, grated\n3 tbsp olive oil\n1 tsp ground ginger\n200 g prunes\n\nMethod\n1. Toss the lamb with the onions, oil and ginger in a heavy pot. Cook over medium heat for 10 minutes, turning, until the meat has lost its raw colour. Add water to cover, cover and simmer for 1 1/2 hours.\n2. Add the prunes and simmer for 30 minutes more.")
	require.Contains(t, tagine, "Toss the onions, the olive oil and the ground ginger", "what it was tossed with is mixed by itself")
}
