package day_test

import (
	"cmp"
	"context"
	"fmt"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/day"
	"yembra/demo"
)

// Days change on purpose only: the jobs of the club's dishes, with the plan that is made of them, are kept as they
// read. UPDATE=days keeps what they are now, once the change has been looked at.
func TestTheClubsDaysReadAsBefore(t *testing.T) {
	l := larderOf(t)
	recipes, err := demo.Recipes()
	require.NoError(t, err)
	menus := [][]string{{"skink", "goulash", "pierogi"}, {"moussaka", "feijoada", "nata"}, {"pho", "rendang"}}
	for _, x := range recipes {
		menus = append(menus, []string{x.Key})
	}
	var now strings.Builder
	for _, menu := range menus {
		fmt.Fprintf(&now, "=== %s\n", strings.Join(menu, ", "))
		jobs := day.Jobs(l, courses(t, l, menu...), house())
		p, err := day.Make(context.Background(), day.RequestFor(halfPastSeven, house(), jobs))
		require.NoError(t, err)
		fmt.Fprintf(&now, "%g minutes, at least %g, shortest %t\n", p.SpanMinutes, p.BoundMinutes, p.Optimal)
		placed := map[string]day.Placed{}
		for _, at := range p.Tasks {
			placed[at.ID] = at
		}
		for _, j := range day.Order(day.SayHot(jobs, p), p) {
			now.WriteString(jobText(j, placed[j.ID]))
		}
		now.WriteString("\n")
	}
	path := filepath.Join("testdata", "club.txt")
	if os.Getenv("UPDATE") == "days" {
		require.NoError(t, os.WriteFile(path, []byte(now.String()), 0o644))
	}
	before, err := os.ReadFile(path)
	require.NoError(t, err)
	require.Equal(t, string(before), now.String(), "read what has changed, and keep it with UPDATE=days")
}

// jobText is a job with its place in the plan, as a cook would check it.
func jobText(j day.Job, at day.Placed) string {
	var b strings.Builder
	fmt.Fprintf(&b, "%s-%s %s %s: %s\n", cmp.Or(at.Start, "T")[5:16], cmp.Or(at.End, "T")[11:16], j.ID, j.Kind, j.Name)
	fmt.Fprintf(&b, "      %s | %s\n      %g min, %d hands, %d rings", j.Said, j.Cue, j.Minutes, j.Hands, j.Rings)
	if j.Oven != nil {
		fmt.Fprintf(&b, ", %d shelf at %g", j.Oven.Shelves, j.Oven.Celsius)
	}
	if len(j.Kit) > 0 {
		fmt.Fprintf(&b, ", %s", strings.Join(j.Kit, ", "))
	}
	if j.Loss != "" {
		fmt.Fprintf(&b, ", %s %.3g a minute, %.3g of it", j.Loss, j.Rate, j.Share)
	}
	fmt.Fprintf(&b, ", %v %v\n", j.Bands, j.Care)
	for _, a := range j.After {
		fmt.Fprintf(&b, "      after %s by %g", a.ID, a.MinGap)
		if a.MaxGap != nil {
			fmt.Fprintf(&b, " to %g", *a.MaxGap)
		}
		b.WriteString("\n")
	}
	if j.ServeWithin != nil {
		fmt.Fprintf(&b, "      served within %g\n", *j.ServeWithin)
	}
	for _, x := range j.Takes {
		fmt.Fprintf(&b, "      takes %s %d.%d, %.3g of it\n", x.Dish, x.Part, x.Line, x.Share)
	}
	for _, x := range j.Readies {
		fmt.Fprintf(&b, "      readies %s %d.%d, %.3g of it\n", x.Dish, x.Part, x.Line, x.Share)
	}
	return b.String()
}
