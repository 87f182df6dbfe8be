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
