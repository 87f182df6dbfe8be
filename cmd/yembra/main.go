// Command yembra serves a kitchen, or answers the stateless questions from the
// command line.
package main

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"os"
	"os/signal"
	"path/filepath"
	"sync"
	"syscall"
	"time"
	_ "time/tzdata" // schedules name zones on machines without them

	"github.com/alecthomas/kong"

	"yembra/core/day"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/swap"
	"yembra/knowledge"
	"yembra/server"
	"yembra/store"
	"yembra/ui"
)

// version is set by the build.
var version = "dev"

type commands struct {
	Serve      serveCommand      `cmd:"" help:"Serve the kitchen in a data folder."`
	Demo       demoCommand       `cmd:"" help:"Serve the demo kitchen, freshly laid out."`
	Passphrase passphraseCommand `cmd:"" help:"Set the passphrase with which other screens sign in."`
	Backup     backupCommand     `cmd:"" help:"Write a kitchen to an archive of open formats."`
	Check      checkCommand      `cmd:"" help:"Tell whether a kitchen is whole."`
	Restore    restoreCommand    `cmd:"" help:"Bring an archive into a kitchen; nothing in it is lost."`
	Read       readCommand       `cmd:"" help:"Read a recipe and print what was understood."`
	Adapt      adaptCommand      `cmd:"" help:"Adapt a read recipe (a request as for POST /api/adapt)."`
	Plan       planCommand       `cmd:"" help:"Plan a day (a request as for POST /api/plan)."`
	Proof      proofCommand      `cmd:"" help:"Read recipes, adapt them and print the cards with what reading them back finds."`
}

type listen struct {
	Addr string `help:"Address to listen on. One that other machines can reach needs a passphrase, and is served over TLS." default:"127.0.0.1:8765"`
	Data string `help:"Data folder." type:"path"`
}

type (
	serveCommand struct {
		listen
		Name    []string `help:"Further names by which other machines know this one." placeholder:"HOST"`
		Cert    string   `help:"Certificate in PEM form; without it the program makes one." type:"existingfile"`
		Key     string   `help:"Key of the certificate." type:"existingfile"`
		Backups string   `help:"Folder of the backups that are made every day; a folder of the kitchen's when left out." type:"path"`
	}
	demoCommand struct {
		listen
		Afresh bool `help:"Take the kitchen in the data folder away first."`
	}
	checkCommand struct {
		Data string `help:"Data folder." type:"path"`
	}
	backupCommand struct {
		File string `arg:"" help:"Where to write the archive." type:"path"`
		Data string `help:"Data folder." type:"path"`
	}
	restoreCommand struct {
		File string `arg:"" help:"The archive." type:"existingfile"`
		Data string `help:"Data folder." type:"path"`
	}
	readCommand struct {
		File     string `arg:"" help:"The recipe as text; - reads standard input."`
		Measures string `help:"Whose cups and spoons: us, metric, imperial, australian." default:"us"`
	}
	adaptCommand struct {
		File string `arg:"" help:"The request as JSON; - reads standard input."`
	}
	proofCommand struct {
		Files    []string `arg:"" help:"Recipes as text; - reads standard input." name:"file"`
		Measures string   `help:"Whose cups and spoons: us, metric, imperial, australian." default:"us"`
		Preset   string   `help:"House rules: whole-food, whole-food-no-oil, like-for-like, no-onion-garlic, fasting-day, grain-bean-sea." default:"whole-food"`
	}
	planCommand struct {
		File string `arg:"" help:"The request as JSON; - reads standard input."`
	}
)

// Exit codes: 0 done, 1 the work failed, 2 wrong usage.
const (
	exitFailed = 1
	exitUsage  = 2
)

func main() {
	var c commands
	parser, err := kong.New(&c, kong.Name("yembra"), kong.Description("Carries traditional dishes over into whole-food vegan ones."))
	if err != nil {
		fmt.Fprintln(os.Stderr, "yembra:", err)
		os.Exit(exitFailed)
	}
	ctx, err := parser.Parse(os.Args[1:])
	if err != nil {
		fmt.Fprintln(os.Stderr, "yembra:", err)
		os.Exit(exitUsage)
	}
	if err := ctx.Run(); err != nil {
		fmt.Fprintln(os.Stderr, "yembra:", err)
		os.Exit(exitFailed)
	}
}

// core loads the knowledge and builds what needs no store.
func core() (*server.Kitchen, error) {
	shipped := knowledge.Shipped()
	l, err := larder.Load(shipped)
	if err != nil {
		return nil, err
	}
	k := server.NewKitchen(l)
	k.Version, k.Examples = version, examples
	if k.Knowledge, err = shipped.Version(); err != nil {
		return nil, err
	}
	return k, nil
}

func (s serveCommand) Run() error {
	folder, err := dataFolder(s.Data)
	if err != nil {
		return err
	}
	backups := s.Backups
	if backups == "" {
		backups = filepath.Join(folder, "backups")
	}
	return serve(serving{addr: s.Addr, folder: folder, backups: backups, names: s.Name, cert: s.Cert, key: s.Key})
}

// dataFolder is the folder named, or the user's own.
func dataFolder(named string) (string, error) {
	if named != "" {
		return named, nil
	}
	base, err := os.UserConfigDir()
	if err != nil {
		return "", fmt.Errorf("find the data folder (name one with --data): %w", err)
	}
	return filepath.Join(base, "yembra"), nil
}

// inKitchen opens the kitchen of a folder for one piece of work: to read, while
// another program may be serving it, or to write.
func inKitchen(data string, open func(context.Context, string, func() time.Time) (*store.Store, error), work func(context.Context, *server.Kitchen) error) error {
	folder, err := dataFolder(data)
	if err != nil {
		return err
	}
	k, err := core()
	if err != nil {
		return err
	}
	ctx := context.Background()
	if k.Store, err = open(ctx, folder, time.Now); err != nil {
		return err
	}
	if err = k.Refresh(ctx); err == nil {
		err = work(ctx, k)
	}
	return errors.Join(err, k.Store.Close())
}

func (b backupCommand) Run() error {
	return inKitchen(b.Data, store.OpenToRead, func(ctx context.Context, k *server.Kitchen) error {
		size, err := k.BackupTo(ctx, b.File, time.Now())
		if err != nil {
			return err
		}
		fmt.Printf("%s holds the kitchen (%d bytes), read back and whole.\n", b.File, size)
		return nil
	})
}

func (r restoreCommand) Run() error {
	file, err := os.Open(r.File)
	if err != nil {
		return fmt.Errorf("read the archive: %w", err)
	}
	defer file.Close()
	info, err := file.Stat()
	if err != nil {
		return fmt.Errorf("read the archive: %w", err)
	}
	return inKitchen(r.Data, store.Open, func(ctx context.Context, k *server.Kitchen) error {
		done, err := k.Restore(ctx, file, info.Size())
		if err != nil {
			return err
		}
		return printJSON(done)
	})
}

func (c checkCommand) Run() error {
	folder, err := dataFolder(c.Data)
	if err != nil {
		return err
	}
	ctx := context.Background()
	s, err := store.OpenToRead(ctx, folder, time.Now)
	if err != nil {
		return err
	}
	wrong, err := s.Check(ctx)
	if err = errors.Join(err, s.Close()); err != nil {
		return err
	}
	for _, w := range wrong {
		fmt.Println(w)
	}
	if len(wrong) > 0 {
		return fmt.Errorf("the kitchen in %s is not whole: %d things are wrong", folder, len(wrong))
	}
	fmt.Printf("The kitchen in %s is whole.\n", folder)
	return nil
}

// serve opens the kitchen and serves it until it is told to stop.
func serve(s serving) error {
	k, err := core()
	if err != nil {
		return err
	}
	ctx, stop := signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM)
	defer stop()
	network, err := s.guard(k)
	if err != nil {
		return err
	}
	if s.fresh {
		if err := store.Clear(s.folder); err != nil {
			return err
		}
	}
	if k.Store, err = store.Open(ctx, s.folder, time.Now); err != nil {
		return err
	}
	if err := k.Refresh(ctx); err != nil {
		return errors.Join(err, k.Store.Close())
	}
	if s.fresh {
		if err := layOut(ctx, k); err != nil {
			return errors.Join(err, k.Store.Close())
		}
	}
	files, err := ui.Files()
	if err != nil {
		return errors.Join(err, k.Store.Close())
	}
	app := server.New(k, server.Pages{Files: files})
	var keeping sync.WaitGroup
	keeping.Go(func() { k.MindStove(ctx) })
	keeping.Go(func() { k.MindShelf(ctx) })
	if s.backups != "" {
		keeping.Go(func() { k.KeepBackups(ctx, s.backups, time.Now) })
	}
	err = s.listen(ctx, app, network)
	stop()
	keeping.Wait()
	return errors.Join(err, k.Store.Close())
}

func input(file string) ([]byte, error) {
	var data []byte
	var err error
	if file == "-" {
		data, err = io.ReadAll(io.LimitReader(os.Stdin, server.BodyLimit+1))
	} else {
		data, err = os.ReadFile(file)
	}
	if err != nil {
		return nil, fmt.Errorf("read the input: %w", err)
	}
	if len(data) > server.BodyLimit {
		return nil, fmt.Errorf("the input holds more than %d bytes", server.BodyLimit)
	}
	return data, nil
}

func printJSON(v any) error {
	e := json.NewEncoder(os.Stdout)
	e.SetIndent("", "  ")
	e.SetEscapeHTML(false)
	return e.Encode(v)
}

func (r readCommand) Run() error {
	k, err := core()
	if err != nil {
		return err
	}
	data, err := input(r.File)
	if err != nil {
		return err
	}
	text := string(data)
	d, err := k.Read(server.ReadRequest{Text: &text, Measures: measure.System(r.Measures)})
	if err != nil {
		return err
	}
	return printJSON(d)
}

func (p proofCommand) Run() error {
	k, err := core()
	if err != nil {
		return err
	}
	for _, file := range p.Files {
		data, err := input(file)
		if err != nil {
			return err
		}
		if _, err := k.Proof(os.Stdout, string(data), p.Measures, swap.HouseRules{Preset: p.Preset}); err != nil {
			return fmt.Errorf("%s: %w", file, err)
		}
	}
	return nil
}

func (a adaptCommand) Run() error {
	k, err := core()
	if err != nil {
		return err
	}
	data, err := input(a.File)
	if err != nil {
		return err
	}
	var req server.AdaptRequest
	if err := server.DecodeStrict(data, &req); err != nil {
		return err
	}
	answer, err := k.Adapt(req)
	if err != nil {
		return err
	}
	return printJSON(answer)
}

func (p planCommand) Run() error {
	data, err := input(p.File)
	if err != nil {
		return err
	}
	var req day.Request
	if err := server.DecodeStrict(data, &req); err != nil {
		return err
	}
	answer, err := server.Plan(context.Background(), req)
	if err != nil {
		return err
	}
	return printJSON(answer)
}
