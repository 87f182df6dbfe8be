package gate_test

import (
	"crypto/x509"
	"os"
	"path/filepath"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"yembra/server/gate"
)

func TestAPassphraseIsKeptOnlyAsItsHash(t *testing.T) {
	folder := t.TempDir()
	_, err := gate.Read(folder)
	require.ErrorIs(t, err, gate.ErrNone)
	require.ErrorContains(t, gate.Set(folder, "too short"), "at least 10")
	require.NoError(t, gate.Set(folder, "tide and thyme"))
	hash, err := gate.Read(folder)
	require.NoError(t, err)
	require.True(t, strings.HasPrefix(hash, "$argon2id$v=19$m=19456,t=2,p=1$"), hash)
	require.NotContains(t, hash, "tide")
	require.True(t, gate.Matches(hash, "tide and thyme"))
	for _, wrong := range []string{"", "tide and thym", "Tide and thyme", "tide and thyme "} {
		require.False(t, gate.Matches(hash, wrong), wrong)
	}
	info, err := os.Stat(filepath.Join(folder, "passphrase"))
	require.NoError(t, err)
	require.Equal(t, os.FileMode(0o600), info.Mode().Perm())
	require.NoError(t, os.WriteFile(filepath.Join(folder, "passphrase"), []byte("tide and thyme"), 0o600))
	_, err = gate.Read(folder)
	require.ErrorContains(t, err, "set it again")
	require.False(t, gate.Matches("$argon2id$v=19$m=0,t=0,p=0$$", ""))
}

func TestGuessingIsSlowAndEnds(t *testing.T) {
	var tries gate.Tries
	now := time.Date(2026, 12, 5, 17, 0, 0, 0, time.UTC)
	tried := 0
	for range 3600 { // a guess a second for an hour
		if tries.Wait(now) == 0 {
			tries.Wrong(now)
			tried++
		}
		now = now.Add(time.Second)
	}
	require.LessOrEqual(t, tried, gate.MostTries)
	require.Positive(t, tries.Wait(now.Add(-time.Second)))
	require.Zero(t, tries.Wait(now.Add(time.Hour)), "after an hour one may try again")
	var honest gate.Tries
	for range 3 {
		require.Zero(t, honest.Wait(now), "three wrong ones are forgiven at once")
		honest.Wrong(now)
	}
	require.InDelta(t, 1, honest.Wait(now).Seconds(), 1e-9)
	honest.Right()
	require.Zero(t, honest.Wait(now))
}

func TestACertificateIsMadeForTheKitchensNamesAndRenewed(t *testing.T) {
	folder := t.TempDir()
	now := time.Now()
	clock := func() time.Time { return now }
	names := []string{"kitchen.local", "192.0.2.7", "localhost"}
	first, err := gate.Own(folder, names, clock)
	require.NoError(t, err)
	pair, err := first.Config().GetCertificate(nil)
	require.NoError(t, err)
	leaf, err := x509.ParseCertificate(pair.Certificate[0])
	require.NoError(t, err)
	for _, name := range names {
		require.NoError(t, leaf.VerifyHostname(name))
	}
	require.Error(t, leaf.VerifyHostname("elsewhere.example"))
	require.Len(t, first.Fingerprint(), 32*3-1)

	same, err := gate.Own(folder, names, clock)
	require.NoError(t, err)
	require.Equal(t, first.Fingerprint(), same.Fingerprint(), "it is kept")
	more, err := gate.Own(folder, append(names, "tablet.local"), clock)
	require.NoError(t, err)
	require.NotEqual(t, first.Fingerprint(), more.Fingerprint(), "another name, another certificate")
	now = now.Add(380 * 24 * time.Hour)
	late, err := gate.Own(folder, names, clock)
	require.NoError(t, err)
	require.NotEqual(t, more.Fingerprint(), late.Fingerprint(), "made anew before it ends")
	given, err := gate.Given(filepath.Join(folder, "tls", "cert.pem"), filepath.Join(folder, "tls", "key.pem"))
	require.NoError(t, err)
	require.Equal(t, late.Fingerprint(), given.Fingerprint())
	own, err := given.Names()
	require.NoError(t, err)
	require.ElementsMatch(t, names, own, "it tells its own names")
	require.NoError(t, os.WriteFile(filepath.Join(folder, "tls", "cert.pem"), []byte("rubbish"), 0o600))
	_, err = gate.Own(folder, names, clock)
	require.ErrorContains(t, err, "take")
}

func TestCodesToScanAreSquare(t *testing.T) {
	rows, err := gate.Picture("https://192.0.2.7:8765/enter#abcdefghijklmnopqrstuv")
	require.NoError(t, err)
	for _, row := range rows {
		require.Len(t, row, len(rows))
	}
	require.Equal(t, "1111111", rows[0][:7], "a finder in the corner")
	require.Equal(t, "1000001", rows[1][:7])
	drawn := gate.OnTerminal(rows)
	require.Equal(t, (len(rows)+4+1)/2, strings.Count(drawn, "\n"))
	names, err := gate.Names([]string{"kitchen.example"})
	require.NoError(t, err)
	require.Equal(t, "kitchen.example", names[0])
	require.Contains(t, names, "localhost")
}
