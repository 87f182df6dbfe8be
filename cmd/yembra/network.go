package main

import (
	"bufio"
	"context"
	"crypto/tls"
	"errors"
	"fmt"
	"io"
	"log/slog"
	"net"
	"os"
	"slices"
	"strings"
	"time"

	"github.com/gofiber/fiber/v3"
	"golang.org/x/term"

	"yembra/server"
	"yembra/server/gate"
)

// serving is where and how a kitchen is served.
type serving struct {
	addr, folder string
	// backups is the folder of those that are made every day, empty for none.
	backups string
	// names are further ones of this machine; cert and key a certificate from
	// elsewhere.
	names     []string
	cert, key string
	// replica is where a running copy goes, empty for none.
	replica string
	// fresh lays the demo out.
	fresh bool
}

// loopback tells whether only this machine can reach an address.
func loopback(addr string) bool {
	host, _, err := net.SplitHostPort(addr)
	if err != nil {
		return false
	}
	ip := net.ParseIP(host)
	return host == "localhost" || ip != nil && ip.IsLoopback()
}

// network is how a kitchen is reached by other machines.
type network struct {
	certificate *gate.Certificate
	// addresses are where a screen finds it, the likeliest first.
	addresses []string
}

// guard readies a kitchen for an address: one that other machines can reach needs
// a passphrase and a certificate. It returns nil where nobody else can.
func (s serving) guard(k *server.Kitchen) (*network, error) {
	host, port, err := net.SplitHostPort(s.addr)
	if err != nil {
		return nil, fmt.Errorf("the address %q is not HOST:PORT: %w", s.addr, err)
	}
	if (s.cert == "") != (s.key == "") {
		return nil, errors.New("a certificate comes with its key: name both --cert and --key")
	}
	if loopback(s.addr) {
		return nil, nil
	}
	// Read at every try, so that another passphrase counts at once.
	passphrase := func() (string, error) { return gate.Read(s.folder) }
	if _, err := passphrase(); errors.Is(err, gate.ErrNone) {
		return nil, fmt.Errorf("other machines could reach %s, and this kitchen has no passphrase: set one with “yembra passphrase --data %s”", s.addr, s.folder)
	} else if err != nil {
		return nil, err
	}
	certificate, names, err := s.certified(host)
	if err != nil {
		return nil, err
	}
	n := &network{certificate: certificate}
	for _, name := range names {
		n.addresses = append(n.addresses, "https://"+net.JoinHostPort(name, port))
	}
	k.Guard(&server.Access{Passphrase: passphrase, Names: names, Addresses: n.addresses, Fingerprint: certificate.Fingerprint})
	return n, nil
}

// certified is the certificate and the names that the kitchen answers to: those
// that were given, of the address it listens on, of a certificate from elsewhere,
// and of the machine.
func (s serving) certified(host string) (*gate.Certificate, []string, error) {
	given := slices.Clone(s.names)
	if ip := net.ParseIP(host); host != "" && (ip == nil || !ip.IsUnspecified()) {
		given = append(given, host)
	}
	if s.cert == "" {
		names, err := gate.Names(given)
		if err != nil {
			return nil, nil, err
		}
		certificate, err := gate.Own(s.folder, names, time.Now)
		return certificate, names, err
	}
	certificate, err := gate.Given(s.cert, s.key)
	if err != nil {
		return nil, nil, err
	}
	own, err := certificate.Names()
	if err != nil {
		return nil, nil, err
	}
	names, err := gate.Names(append(given, own...))
	return certificate, names, err
}

// listen serves until it is told to stop.
func (s serving) listen(ctx context.Context, app *fiber.App, n *network) error {
	config := fiber.ListenConfig{DisableStartupMessage: true, GracefulContext: ctx, ShutdownTimeout: 4 * time.Second}
	if n == nil {
		fmt.Printf("Yembra %s serves the kitchen at http://%s (stop with Ctrl+C)\n", version, s.addr)
		return app.Listen(s.addr, config)
	}
	l, err := net.Listen("tcp", s.addr)
	if err != nil {
		return fmt.Errorf("listen: %w", err)
	}
	go n.certificate.Keep(ctx, func(err error) { slog.Error("the certificate could not be made anew", "cause", err) })
	address := n.addresses[0]
	rows, err := gate.Picture(address)
	if err != nil {
		return err
	}
	fmt.Printf("Yembra %s serves the kitchen at %s (stop with Ctrl+C)\n%s\nThe certificate's SHA-256 fingerprint, to compare on the first visit:\n%s\n", version, address, gate.OnTerminal(rows), n.certificate.Fingerprint())
	return app.Listener(tls.NewListener(l, n.certificate.Config()), config)
}

type passphraseCommand struct {
	Data string `help:"Data folder." type:"path"`
}

// Run asks for a passphrase twice, or takes the first line of what is piped in.
func (p passphraseCommand) Run() error {
	folder, err := dataFolder(p.Data)
	if err != nil {
		return err
	}
	phrase, err := askPassphrase(os.Stdin)
	if err != nil {
		return err
	}
	if err := gate.Set(folder, phrase); err != nil {
		return err
	}
	fmt.Println("The passphrase is set. Screens that are signed in stay so; sign them out in Kitchen if others knew the old one.")
	return nil
}

func askPassphrase(in *os.File) (string, error) {
	if !term.IsTerminal(int(in.Fd())) {
		line, err := bufio.NewReader(io.LimitReader(in, 4096)).ReadString('\n')
		if err != nil && !errors.Is(err, io.EOF) {
			return "", fmt.Errorf("read the passphrase: %w", err)
		}
		return strings.TrimRight(line, "\r\n"), nil
	}
	ask := func(what string) (string, error) {
		fmt.Fprint(os.Stderr, what)
		typed, err := term.ReadPassword(int(in.Fd()))
		fmt.Fprintln(os.Stderr)
		if err != nil {
			return "", fmt.Errorf("read the passphrase: %w", err)
		}
		return string(typed), nil
	}
	first, err := ask(fmt.Sprintf("Passphrase (at least %d letters): ", gate.LeastLetters))
	if err != nil {
		return "", err
	}
	second, err := ask("Once more: ")
	if err != nil {
		return "", err
	}
	if first != second {
		return "", errors.New("the two are not the same; nothing was changed")
	}
	return first, nil
}
