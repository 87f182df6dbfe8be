// Command bigkitchen fills a kitchen with thousands of dishes and measures it over
// HTTP: how long a page of the shelf, a filter, a search and opening a dish take, as
// medians, beside a bare handler that sends the same bytes; how long it takes to start
// and how much memory it holds.
package main

import (
	"context"
	"encoding/json"
	"flag"
	"fmt"
	"log"
	"math/rand/v2"
	"os"
	"path/filepath"
	"time"

	"github.com/google/uuid"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/swap"
	"yembra/demo"
	"yembra/knowledge"
	"yembra/server"
	"yembra/store"
)

func main() {
	dishes := flag.Int("dishes", 10_000, "how many dishes")
	revisions := flag.Int("revisions", 3, "how many revisions each")
	binary := flag.String("binary", "bin/yembra", "the program to measure")
	runs := flag.Int("runs", 101, "how often each request is sent")
	archive := flag.Bool("archive", true, "whether the archive goes out and in, too")
	folder := flag.String("data", "", "a folder to lay it out in and keep; one that was laid out is measured as it is")
	flag.Parse()
	if err := run(*dishes, *revisions, *binary, *runs, *folder, *archive); err != nil {
		log.Fatal(err)
	}
}

func run(dishes, revisions int, binary string, runs int, folder string, archive bool) error {
	if folder == "" {
		made, err := os.MkdirTemp("", "yembra-big-")
		if err != nil {
			return err
		}
		defer os.RemoveAll(made)
		folder = made
	}
	from := time.Now()
	if !store.Holds(folder) {
		if err := fill(context.Background(), folder, dishes, revisions); err != nil {
			return err
		}
	}
	info, err := os.Stat(filepath.Join(folder, "kitchen.db"))
	if err != nil {
		return err
	}
	fmt.Printf("%d dishes, %d revisions, %d MB, laid out in %.0f s; unless they were there\n", dishes, dishes*revisions, info.Size()>>20, time.Since(from).Seconds())
	return measured(folder, binary, runs, archive)
}

// documents are the dishes of the club, decided, of which the big kitchen's are variants.
func documents(l *larder.Larder) ([]store.Document, error) {
	recipes, err := demo.Recipes()
	if err != nil {
		return nil, err
	}
	reader, book := flow.NewReader(l), swap.NewBook(l)
	var kinds []store.Document
	for _, r := range recipes {
		d := reader.Read(r.Text, measure.Metric)
		dec := swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood, Off: []string{}}, Pins: r.Pins, Swaps: map[string]string{}, Boosters: []swap.Dose{}}
		if r.Proposed {
			if dec, err = book.Propose(d, dec, swap.Closest); err != nil {
				return nil, err
			}
		}
		doc := store.Document{Name: d.Name, Place: r.Place, Country: r.Country, Source: r.Text, Original: d, Decisions: dec}
		doc.Settle()
		kinds = append(kinds, doc)
	}
	return kinds, nil
}

// histories makes up dishes of all countries with their revisions.
func histories(l *larder.Larder, kinds []store.Document, revisions int) func(int) (store.History, error) {
	rng := rand.New(rand.NewPCG(1, 2))
	countries := l.Countries()
	now := time.Now().UTC()
	return func(i int) (store.History, error) {
		id, err := uuid.NewV7()
		if err != nil {
			return store.History{}, err
		}
		doc := kinds[i%len(kinds)]
		country := countries[rng.IntN(len(countries))]
		doc.Name, doc.Place, doc.Country = fmt.Sprintf("%s number %d", doc.Name, i+1), country.Name, country.Code
		at := func(n int) string { return now.Add(time.Duration(i+n) * time.Second).Format(time.RFC3339Nano) }
		h := store.History{ID: id.String(), Created: at(0), Changed: at(revisions), Edit: int64(revisions), Revision: int64(revisions)}
		for n := range revisions {
			doc.LastID = 100 + n
			body, err := json.Marshal(doc)
			if err != nil {
				return h, err
			}
			r := store.Revision{Number: int64(n + 1), Made: at(n), What: "changed it", Body: body}
			if n > 0 {
				parent := int64(n)
				r.Parent = &parent
			}
			h.Revisions = append(h.Revisions, r)
		}
		return h, nil
	}
}

// fill lays a kitchen out: the demo's dishes again and again, under other names, in
// every country.
func fill(ctx context.Context, folder string, dishes, revisions int) error {
	shipped := knowledge.Shipped()
	l, err := larder.Load(shipped)
	if err != nil {
		return err
	}
	k := server.NewKitchen(l)
	if k.Knowledge, err = shipped.Version(); err != nil {
		return err
	}
	if k.Store, err = store.Open(ctx, folder, time.Now); err != nil {
		return err
	}
	defer k.Store.Close()
	if err := k.Refresh(ctx); err != nil {
		return err
	}
	kinds, err := documents(l)
	if err != nil {
		return err
	}
	history := histories(l, kinds, revisions)
	_, err = k.Store.Restore(ctx, store.Brought{
		Dishes: func(yield func(store.History, error) bool) {
			for i := range dishes {
				if h, err := history(i); !yield(h, err) || err != nil {
					return
				}
			}
		},
		Pictures: func(func(store.WholePicture, error) bool) {},
	})
	if err != nil {
		return err
	}
	return shelve(ctx, k, l)
}

// shelve keeps what the shelf shows of every dish; like dishes are worked out once.
func shelve(ctx context.Context, k *server.Kitchen, l *larder.Larder) error {
	known := map[string]store.Summary{}
	for {
		list, _, err := k.Store.Stale(ctx, k.Stamp(), atOnce)
		if err != nil || len(list) == 0 {
			return err
		}
		sums := make([]store.Summary, len(list))
		for i, d := range list {
			m, done := known[d.Document.Source]
			if !done {
				m = k.Summary(d)
				known[d.Document.Source] = m
			}
			c := l.CountryOf(d.Document.Country)
			m.Region, m.Kitchen = c.Region, c.Kitchen
			sums[i] = m
		}
		if err := k.Store.Refreshed(ctx, list, sums); err != nil {
			return err
		}
	}
}

// atOnce is how many dishes are shelved in one go.
const atOnce = 500
