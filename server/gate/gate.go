// Package gate holds what guards a kitchen that other machines can reach: its
// passphrase, how often one may guess, its certificate, and codes to scan.
package gate

import (
	"crypto/rand"
	"crypto/subtle"
	"encoding/base64"
	"errors"
	"fmt"
	"io/fs"
	"os"
	"path/filepath"
	"strings"
	"time"
	"unicode/utf8"

	"github.com/boombuler/barcode/qr"
	"golang.org/x/crypto/argon2"
)

// How a passphrase is hashed: argon2id, about 85 ms and 19 MiB a try.
const (
	passes    = 2
	memory    = 19 * 1024
	lanes     = 1
	saltBytes = 16
	hashBytes = 32
)

// LeastLetters is the least that a passphrase must have.
const LeastLetters = 10

// file is where the hash is kept in the kitchen's folder.
const file = "passphrase"

// Hash hashes a passphrase in the usual text form.
func Hash(passphrase string) (string, error) {
	if n := utf8.RuneCountInString(passphrase); n < LeastLetters {
		return "", fmt.Errorf("the passphrase has %d letters; it needs at least %d", n, LeastLetters)
	}
	salt := make([]byte, saltBytes)
	if _, err := rand.Read(salt); err != nil {
		return "", fmt.Errorf("draw a salt: %w", err)
	}
	sum := argon2.IDKey([]byte(passphrase), salt, passes, memory, lanes, hashBytes)
	b64 := base64.RawStdEncoding.EncodeToString
	return fmt.Sprintf("$argon2id$v=%d$m=%d,t=%d,p=%d$%s$%s", argon2.Version, memory, passes, lanes, b64(salt), b64(sum)), nil
}

// Matches tells whether a passphrase has this hash.
func Matches(hash, passphrase string) bool {
	salt, want, m, t, p, err := parse(hash)
	if err != nil {
		return false
	}
	got := argon2.IDKey([]byte(passphrase), salt, t, m, p, uint32(len(want)))
	return subtle.ConstantTimeCompare(got, want) == 1
}

func parse(hash string) (salt, sum []byte, m, t uint32, p uint8, err error) {
	parts := strings.Split(hash, "$")
	var version int
	if len(parts) != 6 || parts[1] != "argon2id" {
		return nil, nil, 0, 0, 0, errors.New("it is no argon2id hash")
	}
	if _, err = fmt.Sscanf(parts[2], "v=%d", &version); err == nil {
		_, err = fmt.Sscanf(parts[3], "m=%d,t=%d,p=%d", &m, &t, &p)
	}
	if err == nil {
		salt, err = base64.RawStdEncoding.DecodeString(parts[4])
	}
	if err == nil {
		sum, err = base64.RawStdEncoding.DecodeString(parts[5])
	}
	if err == nil && (version != argon2.Version || len(sum) == 0 || t == 0 || p == 0) {
		err = errors.New("its figures cannot be")
	}
	return salt, sum, m, t, p, err
}

// Set keeps a passphrase's hash in the kitchen's folder.
func Set(folder, passphrase string) error {
	hash, err := Hash(passphrase)
	if err != nil {
		return err
	}
	if err := os.MkdirAll(folder, 0o700); err != nil {
		return fmt.Errorf("make the data folder: %w", err)
	}
	aside := filepath.Join(folder, "."+file)
	if err := os.WriteFile(aside, []byte(hash+"\n"), 0o600); err != nil {
		return fmt.Errorf("keep the passphrase: %w", err)
	}
	if err := os.Rename(aside, filepath.Join(folder, file)); err != nil {
		return fmt.Errorf("keep the passphrase: %w", err)
	}
	return nil
}

// ErrNone tells that no passphrase was set.
var ErrNone = errors.New("no passphrase was set")

// Read reads the hash of a kitchen's passphrase.
func Read(folder string) (string, error) {
	data, err := os.ReadFile(filepath.Join(folder, file))
	if errors.Is(err, fs.ErrNotExist) {
		return "", ErrNone
	}
	if err != nil {
		return "", fmt.Errorf("read the passphrase: %w", err)
	}
	hash := strings.TrimSpace(string(data))
	if _, _, _, _, _, err := parse(hash); err != nil {
		return "", fmt.Errorf("read the passphrase: %w; set it again", err)
	}
	return hash, nil
}

// How often one may guess: MostTries wrong ones an hour, and from freeTries on
// with a wait that doubles up to longestWait.
const (
	MostTries   = 20
	within      = time.Hour
	freeTries   = 3
	longestWait = time.Minute
)

// Tries are the wrong tries of late.
type Tries struct{ wrong []time.Time }

// Wait is how long the next try must wait, 0 for not at all.
func (t *Tries) Wait(now time.Time) time.Duration {
	for len(t.wrong) > 0 && now.Sub(t.wrong[0]) > within {
		t.wrong = t.wrong[1:]
	}
	n := len(t.wrong)
	switch {
	case n >= MostTries:
		return t.wrong[0].Add(within).Sub(now)
	case n < freeTries:
		return 0
	}
	wait := min(time.Second<<(n-freeTries), longestWait)
	return max(0, t.wrong[n-1].Add(wait).Sub(now))
}

// Wrong remembers a wrong try, Right forgets them.
func (t *Tries) Wrong(now time.Time) { t.wrong = append(t.wrong, now) }

// Right forgets the wrong tries.
func (t *Tries) Right() { t.wrong = nil }

// Picture draws a text as a code to scan: rows of 1 for dark and 0 for light.
func Picture(text string) ([]string, error) {
	code, err := qr.Encode(text, qr.M, qr.Auto)
	if err != nil {
		return nil, fmt.Errorf("draw the code: %w", err)
	}
	b := code.Bounds()
	rows := make([]string, 0, b.Dy())
	for y := b.Min.Y; y < b.Max.Y; y++ {
		var row strings.Builder
		for x := b.Min.X; x < b.Max.X; x++ {
			if r, _, _, _ := code.At(x, y).RGBA(); r == 0 {
				row.WriteByte('1')
			} else {
				row.WriteByte('0')
			}
		}
		rows = append(rows, row.String())
	}
	return rows, nil
}

// OnTerminal draws a code with half blocks, dark on light with a quiet edge.
func OnTerminal(rows []string) string {
	const edge = 2
	dark := func(x, y int) bool {
		x, y = x-edge, y-edge
		return y >= 0 && y < len(rows) && x >= 0 && x < len(rows[y]) && rows[y][x] == '1'
	}
	var out strings.Builder
	for y := 0; y < len(rows)+2*edge; y += 2 {
		for x := range len(rows) + 2*edge {
			out.WriteString(map[[2]bool]string{{true, true}: " ", {true, false}: "▄", {false, true}: "▀", {false, false}: "█"}[[2]bool{dark(x, y), dark(x, y+1)}])
		}
		out.WriteByte('\n')
	}
	return out.String()
}
