// Package demo holds the kitchen of the Tidewater Supper Club, a made-up
// monthly table that cooks one national dish at a time in plant form.
package demo

import (
	"embed"
	"fmt"
	"io/fs"
	"time"
)

//go:embed recipes
var recipes embed.FS

// Recipe is one original of the club, as text, with where it is from.
type Recipe struct {
	Key     string
	Country string // ISO 3166-1 numeric
	Place   string
	Text    string
	// Proposed dishes are laid out with a first proposal already taken.
	Proposed bool
	Pins     []string
	Lives    string
}

var club = []Recipe{
	{Key: "bobotie", Country: "710", Place: "South Africa", Proposed: true, Pins: []string{"savoury"}, Lives: "The sweet-sour curried mince under a set yellow topping that smells of bay."},
	{Key: "moussaka", Country: "300", Place: "Greece", Proposed: true, Pins: []string{"savoury"}, Lives: "Soft browned aubergine, a dry sauce that smells of cinnamon, and a thick pale top."},
	{Key: "pho", Country: "704", Place: "Viet Nam", Proposed: true, Pins: []string{"savoury"}, Lives: "A clear broth of char and star anise, with raw herbs and lime at the table."},
	{Key: "feijoada", Country: "076", Place: "Brazil", Pins: []string{"smoke"}, Lives: "Black beans that have taken up smoke, salt and garlic for hours."},
	{Key: "doro-wat", Country: "231", Place: "Ethiopia", Proposed: true, Pins: []string{"heat"}, Lives: "A kilo of onions cooked dry, and berbere fried until it is dark."},
	{Key: "cullen-skink", Country: "826", Place: "Scotland", Proposed: true, Pins: []string{"smoke", "sea"}, Lives: "Smoke and sea in a milky broth; the potato only carries them."},
	{Key: "khachapuri", Country: "268", Place: "Adjara, Georgia", Proposed: true, Pins: []string{"melt"}, Lives: "Hot bread torn into salty melted cheese with a soft yolk."},
	{Key: "okonomiyaki", Country: "392", Place: "Osaka, Japan", Proposed: true, Pins: []string{"sea"}, Lives: "Cabbage held by a light batter, under a dark sweet sauce and the smell of the sea."},
	{Key: "pastel-de-nata", Country: "620", Place: "Portugal", Proposed: true, Pins: []string{"yellow"}, Lives: "A scorched yolk custard in pastry that shatters."},
	{Key: "goulash", Country: "348", Place: "Hungary", Proposed: true, Pins: []string{"savoury"}, Lives: "Onions and paprika; the meat only thickens it."},
	{Key: "rendang", Country: "360", Place: "West Sumatra, Indonesia", Proposed: true, Pins: []string{"roast"}, Lives: "Coconut and spice boiled dry until they fry dark around each piece."},
	{Key: "pierogi", Country: "616", Place: "Poland", Proposed: true, Pins: []string{"savoury"}, Lives: "Thin dough, sour curd with potato, and onions fried in plenty of fat."},
}

// Supper is a day of the club: what is cooked, for how many, and when they sit
// down.
var Supper = struct {
	Name, ServeAt string
	Servings      float64
	Dishes        []string
}{"Tidewater Supper Club, December", "2026-12-05T19:30:00Z", 12, []string{"cullen-skink", "goulash", "pierogi", "pastel-de-nata"}}

// Evening is a cook-through of the club: what is cooked, since when, and what was
// different. Watched is the band that the probe watches, Scene what the bench
// plays; one that has Ended was cooked to its end.
type Evening struct {
	Name, Screen, Watched, Scene string
	Dishes                       []string
	Ago                          time.Duration
	Different                    []Difference
	Weighed                      Pot
	Words                        []string
	Ended                        bool
}

// Pot is a pot weighed before and after, in grams.
type Pot struct{ Before, After float64 }

// Evenings are one that is over and one that is halfway through.
var Evenings = []Evening{
	{Name: "October's trial: feijoada", Screen: "kitchen tablet", Dishes: []string{"feijoada"}, Ago: 30 * 24 * time.Hour, Ended: true,
		Different: []Difference{{"garlic", 1.5}}, Weighed: Pot{3120, 2540}, Words: []string{"The beans were from last year and took longer."}},
	{Name: "Thursday's trial", Screen: "kitchen tablet", Watched: "holding", Scene: "club-evening", Dishes: []string{"goulash", "cullen-skink"}, Ago: 100 * time.Minute,
		Different: []Difference{{"caraway", 1.5}}},
}

// Undecided are lines of a dish for which nothing is chosen yet, so that one dish is
// half way; Settled are dishes of which nothing more is to be changed.
var (
	Undecided = map[string]string{"khachapuri": "butter"}
	Settled   = []string{"goulash"}
)

// Begun are traditional dishes that the club has begun, by their keys: empty
// originals with what is known of them. Wished stand on its list.
var (
	Begun  = []string{"036-pavlova", "840-gumbo", "484-pozole-rojo", "388-ackee-and-saltfish", "504-harira", "356-palak-paneer", "566-egusi-soup", "246-lohikeitto"}
	Wished = []string{"604-causa-limena", "410-sundubu-jjigae", "818-molokhia"}
)

// Tables are two tastings of a dish by made-up guests: at the first there was too
// little smoke, then what the program proposed was tried, and a third time with a
// darker broth, which the second table tasted beside it.
var Tables = struct {
	Dish string
	// First was tasted alone; Mended is the fault that the table had found; Then were
	// tasted together.
	First       Said
	FirstSheets []Cup
	Mended      string
	Then        [2]Said
	ThenSheets  [][2]Cup
}{
	Dish:  "cullen-skink",
	First: Said{"Thin, and the smoke was far away.", "The potatoes boiled in plain water\nServed in cold bowls"},
	FirstSheets: []Cup{
		{Liking: 8, Smoke: 0, Salt: 0}, {Liking: 7, Smoke: 0, Salt: 1}, {Liking: 5, Smoke: -1, Salt: 1, Words: "Lovely and plain."},
		{Liking: 6, Smoke: -1, Salt: 1}, {Liking: 4, Smoke: -2, Salt: 0, Words: "Where is the smoke?"}, {Liking: 7, Smoke: 0, Salt: 1},
		{Liking: 5, Smoke: -1, Salt: 1}, {Liking: 6, Smoke: -1, Salt: 0},
	},
	Mended: "smoke",
	Then:   [2]Said{{"Closer: the smoke carries now.", "The potatoes boiled with a strip of kelp"}, {"Browned the onion longer: rounder, less clear.", "The onion browned for 20 minutes"}},
	ThenSheets: [][2]Cup{
		{{Liking: 8, Smoke: 0, Salt: 1}, {Liking: 7, Smoke: 0, Salt: 1}}, {{Liking: 7, Smoke: 0, Words: "I had seconds."}, {Liking: 7, Smoke: -1}},
		{{Liking: 7, Smoke: 0, Salt: 1}, {Liking: 6, Smoke: 0, Words: "More a stew."}}, {{Liking: 6, Smoke: -1, Salt: 1}, {Liking: 6, Smoke: -1, Salt: 1}},
		{{Liking: 8, Smoke: 0, Salt: 1}, {Liking: 6, Smoke: 0, Salt: 1}}, {{Liking: 6, Smoke: -1}, {Liking: 5, Smoke: 0}},
	},
}

// Said is how a trial was and what was different.
type Said struct{ Words, Different string }

// Cup is what a guest said of a trial.
type Cup struct {
	Liking, Smoke, Salt int
	Words               string
}

// Difference is a food that went in so many times as much as the card has it.
type Difference struct {
	Food  string
	Times float64
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
