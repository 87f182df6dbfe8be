// Command bigkitchen fills a kitchen with thousands of dishes and measures it over
// HTTP: how long a page of the shelf, a filter, a search and opening a dish take, as
// medians, beside a bare handler that sends the same bytes; how long it takes to start
// and how much memory it holds.
package main

import (
	"bytes"
	"cmp"
	"context"
	"encoding/json"
	"flag"
	"fmt"
	"io"
	"log"
	"math/rand/v2"
	"net"
	"net/http"
	"os"
	"os/exec"
	"path/filepath"
	"slices"
	"strconv"
	"strings"
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
	recipes, err := demo.Recipes()
	if err != nil {
		return err
	}
	reader, book := flow.NewReader(l), swap.NewBook(l)
	var kinds []store.Document
	for _, r := range recipes {
		d := reader.Read(r.Text, measure.Metric)
		dec := swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood, Off: []string{}}, Pins: r.Pins, Swaps: map[string]string{}, Boosters: []swap.Dose{}}
		if r.Proposed {
			if dec, err = book.Propose(d, dec, swap.Closest); err != nil {
				return err
			}
		}
		doc := store.Document{Name: d.Name, Place: r.Place, Country: r.Country, Source: r.Text, Original: d, Decisions: dec}
		doc.Settle()
		kinds = append(kinds, doc)
	}
	rng := rand.New(rand.NewPCG(1, 2))
	countries := l.Countries()
	now := time.Now().UTC()
	history := func(i int) (store.History, error) {
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

// measured starts the program and measures it.
func measured(folder, binary string, runs int, archive bool) error {
	port, err := freePort()
	if err != nil {
		return err
	}
	addr := "127.0.0.1:" + port
	from := time.Now()
	child := exec.Command(binary, "serve", "--addr", addr, "--data", folder)
	child.Stderr = os.Stderr
	if err := child.Start(); err != nil {
		return err
	}
	defer func() { _ = child.Process.Kill(); _ = child.Wait() }()
	base := "http://" + addr
	for {
		if _, err := get(base + "/api/health"); err == nil {
			break
		}
		if time.Since(from) > time.Minute {
			return fmt.Errorf("the program does not answer")
		}
		time.Sleep(5 * time.Millisecond)
	}
	fmt.Printf("start to first answer: %d ms\n", time.Since(from).Milliseconds())
	page, err := get(base + "/api/dishes")
	if err != nil {
		return err
	}
	var list server.ShelfView
	if err := json.Unmarshal(page, &list); err != nil {
		return err
	}
	if list.Stale > 0 || list.Dishes[0].Stale {
		return fmt.Errorf("the shelf is still being worked out")
	}
	fmt.Println("| request | median | bare handler | ratio | kB |\n|---|---|---|---|---|")
	for _, x := range []struct{ name, path string }{
		{"first page", "/api/dishes"}, {"page 100 by name", "/api/dishes?sort=name&from=5940"}, {"filter: country", "/api/dishes?country=300"}, {"filter: state, no milk", "/api/dishes?state=decided&without=milk,nuts"},
		{"search: onion", "/api/dishes?q=onion"}, {"search: mouss 77", "/api/dishes?q=mouss%2077"}, {"what the shelf holds", "/api/shelf"}, {"open a dish", "/api/dishes/" + list.Dishes[3].ID},
	} {
		body, err := get(base + x.path)
		if err != nil {
			return fmt.Errorf("%s: %w", x.name, err)
		}
		took, err := median(base+x.path, runs)
		if err != nil {
			return err
		}
		bare, err := bareMedian(body, runs)
		if err != nil {
			return err
		}
		fmt.Printf("| %s | %.1f ms | %.2f ms | %.0f | %d |\n", x.name, ms(took), ms(bare), float64(took)/float64(bare), len(body)>>10)
	}
	if err := memory(child.Process.Pid, "after that"); err != nil {
		return err
	}
	if !archive {
		return nil
	}
	return archived(base, child.Process.Pid, binary)
}

// memory prints what a process holds, and what it held at most.
func memory(pid int, when string) error {
	status, err := os.ReadFile(fmt.Sprintf("/proc/%d/status", pid))
	if err != nil {
		return err
	}
	for line := range strings.Lines(string(status)) {
		if f := strings.Fields(line); len(f) > 1 && (f[0] == "VmRSS:" || f[0] == "VmHWM:") {
			kb, err := strconv.Atoi(f[1])
			if err != nil {
				return err
			}
			fmt.Printf("%s %s %d MB\n", when, map[string]string{"VmRSS:": "memory", "VmHWM:": "memory at most"}[f[0]], kb>>10)
		}
	}
	return nil
}

// archived takes the whole kitchen out and brings it into an empty one.
func archived(base string, pid int, binary string) error {
	file, err := os.CreateTemp("", "yembra-big-*.zip")
	if err != nil {
		return err
	}
	defer os.Remove(file.Name())
	from := time.Now()
	answer, err := http.Get(base + "/api/archive")
	if err != nil {
		return err
	}
	n, err := io.Copy(file, answer.Body)
	if err = cmp.Or(err, answer.Body.Close(), file.Close()); err != nil {
		return err
	}
	fmt.Printf("archive out: %d MB in %.0f s\n", n>>20, time.Since(from).Seconds())
	if err := memory(pid, "with it out"); err != nil {
		return err
	}
	folder, err := os.MkdirTemp("", "yembra-big-")
	if err != nil {
		return err
	}
	defer os.RemoveAll(folder)
	port, err := freePort()
	if err != nil {
		return err
	}
	child := exec.Command(binary, "serve", "--addr", "127.0.0.1:"+port, "--data", folder)
	child.Stderr = os.Stderr
	if err := child.Start(); err != nil {
		return err
	}
	defer func() { _ = child.Process.Kill(); _ = child.Wait() }()
	for range 2000 {
		if _, err := get("http://127.0.0.1:" + port + "/api/health"); err == nil {
			break
		}
		time.Sleep(5 * time.Millisecond)
	}
	if file, err = os.Open(file.Name()); err != nil {
		return err
	}
	defer file.Close()
	from = time.Now()
	in, err := http.Post("http://127.0.0.1:"+port+"/api/archive", "application/zip", file)
	if err != nil {
		return err
	}
	defer in.Body.Close()
	body, err := io.ReadAll(in.Body)
	if err != nil || in.StatusCode != http.StatusOK {
		return fmt.Errorf("archive in: status %d, %s: %w", in.StatusCode, body, err)
	}
	fmt.Printf("archive in: %.0f s, %s\n", time.Since(from).Seconds(), body)
	return memory(child.Process.Pid, "with it in")
}

func ms(d time.Duration) float64 { return float64(d.Microseconds()) / 1000 }

func get(url string) ([]byte, error) {
	answer, err := http.Get(url)
	if err != nil {
		return nil, err
	}
	defer answer.Body.Close()
	body, err := io.ReadAll(answer.Body)
	if err == nil && answer.StatusCode != http.StatusOK {
		err = fmt.Errorf("status %d: %s", answer.StatusCode, body)
	}
	return body, err
}

func median(url string, runs int) (time.Duration, error) {
	took := make([]time.Duration, runs)
	for i := range took {
		from := time.Now()
		if _, err := get(url); err != nil {
			return 0, err
		}
		took[i] = time.Since(from)
	}
	slices.SortFunc(took, func(a, b time.Duration) int { return cmp.Compare(a, b) })
	return took[runs/2], nil
}

// bareMedian is how long the same bytes take from a handler that does nothing else.
func bareMedian(body []byte, runs int) (time.Duration, error) {
	listener, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		return 0, err
	}
	bare := &http.Server{Handler: http.HandlerFunc(func(w http.ResponseWriter, _ *http.Request) { _, _ = io.Copy(w, bytes.NewReader(body)) }), ReadHeaderTimeout: time.Second}
	go func() { _ = bare.Serve(listener) }()
	defer bare.Close()
	return median("http://"+listener.Addr().String(), runs)
}

func freePort() (string, error) {
	l, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		return "", err
	}
	defer l.Close()
	return strconv.Itoa(l.Addr().(*net.TCPAddr).Port), nil
}
