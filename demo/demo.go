// Package demo holds the kitchen of the Tidewater Supper Club, a made-up
// monthly table that cooks one national dish at a time in plant form.
package demo

import (
	"embed"
	"fmt"
	"io/fs"
)

//go:embed recipes
var recipes embed.FS

// Recipe is one original of the club, as text, with where it is from.
type Recipe struct {
	Key     string
	Country string // ISO 3166-1 numeric
	Place   string
	Text    string
	// Settled dishes are laid out with a first proposal already taken.
	Proposed bool
	Pins     []string
	Lives    string
}

var club = []Recipe{
	{Key: "bobotie", Country: "710", Place: "South Africa", Proposed: true, Pins: []string{"savoury"}, Lives: "The sweet-sour curried mince under a set yellow topping that smells of bay."},
	{Key: "cullen-skink", Country: "826", Place: "Scotland", Proposed: true, Pins: []string{"smoke", "sea"}, Lives: "Smoke and sea in a milky broth; the potato only carries them."},
	{Key: "feijoada", Country: "076", Place: "Brazil", Pins: []string{"smoke"}, Lives: "Black beans that have taken up smoke, salt and garlic for hours."},
}

// Recipes returns the club's originals in the order they are laid out.
func Recipes() ([]Recipe, error) {
	out := make([]Recipe, len(club))
	for i, r := range club {
		text, err := fs.ReadFile(recipes, "recipes/"+r.Key+".txt")
		if err != nil {
			return nil, fmt.Errorf("demo recipe %s: %w", r.Key, err)
		}
		r.Text = string(text)
		out[i] = r
	}
	return out, nil
}
