package main

import (
	"bytes"
	"cmp"
	"encoding/json"
	"fmt"
	"io"
	"net"
	"net/http"
	"os"
	"os/exec"
	"slices"
	"strconv"
	"strings"
	"time"

	"yembra/server"
)

// requests measures what a shelf is asked for, each beside a bare handler that sends the
// same bytes.
func requests(base, dish string, runs int) error {
	fmt.Println("| request | median | bare handler | ratio | kB |\n|---|---|---|---|---|")
	for _, x := range []struct{ name, path string }{
		{"first page", "/api/dishes"}, {"page 100 by name", "/api/dishes?sort=name&from=5940"}, {"filter: country", "/api/dishes?country=300"}, {"filter: state, no milk", "/api/dishes?state=decided&without=milk,nuts"},
		{"search: onion", "/api/dishes?q=onion"}, {"search: mouss 77", "/api/dishes?q=mouss%2077"}, {"what the shelf holds", "/api/shelf"}, {"open a dish", "/api/dishes/" + dish},
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
	return nil
}

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
	if err := requests(base, list.Dishes[3].ID, runs); err != nil {
		return err
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
