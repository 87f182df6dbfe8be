// Command yembra serves a kitchen, or answers the stateless questions from the
// command line.
package main

import (
	"context"
	"errors"
	"fmt"
	"os"
	"path/filepath"
	"time"
	_ "time/tzdata" // schedules name zones on machines without them

	"github.com/alecthomas/kong"

	"yembra/core/larder"
	"yembra/knowledge"
	"yembra/server"
	"yembra/store"
)

// version is set by the build.
var version = "dev"

type commands struct {
	Serve      serveCommand      `cmd:"" help:"Serve the kitchen in a data folder."`
	Demo       demoCommand       `cmd:"" help:"Serve the demo kitchen, freshly laid out."`
	TakeOver   takeOverCommand   `cmd:"" help:"Bring the newest copy of a kitchen here and go on with it."`
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
		Replica string   `help:"Where a running copy of the kitchen goes: a folder (another disk, a share), or s3://bucket/path?endpoint=URL with AWS_ACCESS_KEY_ID and AWS_SECRET_ACCESS_KEY in the environment." placeholder:"WHERE"`
		Backups string   `help:"Folder of the backups that are made every day; a folder of the kitchen's when left out." type:"path"`
	}
	takeOverCommand struct {
		serveCommand
		From  string `required:"" help:"Where the copy is: a folder, or s3://bucket/path?endpoint=URL." placeholder:"WHERE"`
		Force bool   `help:"Take it from a machine that still writes there; that one stops."`
		Only  bool   `help:"Bring it here and stop, without serving it."`
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
