package store

import (
	"context"
	"encoding/json"
	"strings"
	"unicode"
)

// Shelved is a dish as it stands on the shelf.
type Shelved struct {
	Number                                  int64
	ID, Name, Place, Country, Region, State string
	Changed                                 string
	Family, Variant                         string
	Labels                                  []string
	Swaps, Open, Trials                     int
	Liking                                  *float64
	Allergens, Needs                        []string
	Picture                                 string
	Stale, Away                             bool
	Body                                    json.RawMessage
}

// Wanted is what is looked for on the shelf; what is empty does not count.
type Wanted struct {
	Words                                   string
	Country, Region, Kitchen, State, Family string
	// Without are allergens that it must not hold, Rules those that it must keep.
	Without, Rules, Labels []string
	Eater, Uses            string
	// Away asks for what was put away, instead of all else; Gone for what was taken
	// away for good and can still be brought back.
	Away, Gone bool
	Sort       Sorting
	From, Most int
	// Stamp names the present knowledge.
	Stamp string
}

// Sorting is the order of a shelf.
type Sorting string

const shelfColumns = `s.number, s.dish, s.name, s.place, s.country, s.region, s.state, s.changed, s.family, s.variant, s.labels, s.swaps, s.open, s.trials, s.liking, s.allergens, coalesce(m.needs, ''), s.picture, s.stamp, s.away, coalesce(m.body, '{}')`

// terms are the words of a search as they are looked up: each may be the beginning of
// one.
func terms(text string) string {
	var out []string
	for _, w := range strings.FieldsFunc(text, func(r rune) bool { return unicode.IsSpace(r) || unicode.IsControl(r) }) {
		if len(out) == mostTerms {
			break
		}
		out = append(out, `"`+strings.ReplaceAll(w, `"`, `""`)+`"*`)
	}
	return strings.Join(out, " ")
}

// mostTerms is how many words of a search count.
const mostTerms = 20

// Numbered are the rows of the shelf with these numbers, in this order; what has gone
// meanwhile is left out.
func (s *Store) Numbered(ctx context.Context, numbers []int64, stamp string) ([]Shelved, error) {
	if len(numbers) == 0 {
		return []Shelved{}, nil
	}
	values := make([]any, len(numbers))
	for i, n := range numbers {
		values[i] = n
	}
	rows := map[int64]Shelved{}
	err := each(ctx, s.read, `SELECT `+shelfColumns+` FROM shelf s LEFT JOIN shelf_more m ON m.number = s.number WHERE s.number IN (?`+strings.Repeat(", ?", len(numbers)-1)+`)`, func(scan func(...any) error) error {
		var x Shelved
		var labels, allergens, needs, own, body string
		err := scan(&x.Number, &x.ID, &x.Name, &x.Place, &x.Country, &x.Region, &x.State, &x.Changed, &x.Family, &x.Variant, &labels, &x.Swaps, &x.Open, &x.Trials, &x.Liking, &allergens, &needs, &x.Picture, &own, &x.Away, &body)
		x.Labels, x.Allergens, x.Needs, x.Stale, x.Body = listed(labels), listed(allergens), listed(needs), own != stamp, json.RawMessage(body)
		rows[x.Number] = x
		return err
	}, values...)
	list := []Shelved{}
	for _, n := range numbers {
		if x, there := rows[n]; there {
			list = append(list, x)
		}
	}
	return list, err
}

func listed(bars string) []string {
	if bars = strings.Trim(bars, "|"); bars == "" {
		return []string{}
	}
	return strings.Split(bars, "|")
}

// Kin is what makes dishes akin: the foods of the original, the swaps chosen and the
// traits that are strong.
type Kin struct {
	Number              int64
	ID                  string
	Uses, Chosen, Lives []string
}

// AllKin lists what makes the dishes of the shelf akin.
func (s *Store) AllKin(ctx context.Context) ([]Kin, error) {
	var out []Kin
	err := each(ctx, s.read, `SELECT s.number, s.dish, m.uses, m.swaps, m.lives FROM shelf s JOIN shelf_more m ON m.number = s.number WHERE s.gone = 0 AND s.away = 0`, func(scan func(...any) error) error {
		var k Kin
		var uses, chosen, lives string
		err := scan(&k.Number, &k.ID, &uses, &chosen, &lives)
		k.Uses, k.Chosen, k.Lives = listed(uses), listed(chosen), listed(lives)
		out = append(out, k)
		return err
	})
	return out, err
}
