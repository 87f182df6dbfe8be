package gate

import (
	"context"
	"crypto/ecdsa"
	"crypto/elliptic"
	"crypto/rand"
	"crypto/sha256"
	"crypto/tls"
	"crypto/x509"
	"crypto/x509/pkix"
	"encoding/hex"
	"encoding/pem"
	"errors"
	"fmt"
	"io/fs"
	"math/big"
	"net"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"sync/atomic"
	"time"
)

// How long a certificate of the kitchen's own is good, and how long before its
// end another is made.
const (
	goodFor     = 397 * 24 * time.Hour
	renewBefore = 30 * 24 * time.Hour
	checkEvery  = 12 * time.Hour
)

// Certificate is the one that a kitchen shows, made anew when its time comes.
type Certificate struct {
	now     func() time.Time
	folder  string
	names   []string
	current atomic.Pointer[tls.Certificate]
}

// Given loads a certificate that the cook has from elsewhere.
func Given(certFile, keyFile string) (*Certificate, error) {
	pair, err := tls.LoadX509KeyPair(certFile, keyFile)
	if err != nil {
		return nil, fmt.Errorf("load the certificate: %w", err)
	}
	c := &Certificate{now: time.Now}
	c.current.Store(&pair)
	return c, nil
}

// Own is a certificate of the kitchen's own for names and addresses, made when
// there is none yet or it ends soon or is for others.
func Own(folder string, names []string, now func() time.Time) (*Certificate, error) {
	c := &Certificate{now: now, folder: filepath.Join(folder, "tls"), names: names}
	return c, c.renew()
}

// Config is how the kitchen speaks over the network.
func (c *Certificate) Config() *tls.Config {
	return &tls.Config{MinVersion: tls.VersionTLS12, GetCertificate: func(*tls.ClientHelloInfo) (*tls.Certificate, error) { return c.current.Load(), nil }}
}

// Fingerprint is the SHA-256 of the certificate, as browsers show it.
func (c *Certificate) Fingerprint() string {
	sum := sha256.Sum256(c.current.Load().Certificate[0])
	text := strings.ToUpper(hex.EncodeToString(sum[:]))
	var pairs []string
	for i := 0; i < len(text); i += 2 {
		pairs = append(pairs, text[i:i+2])
	}
	return strings.Join(pairs, ":")
}

// Names are those that the certificate itself is for, but for whole domains.
func (c *Certificate) Names() ([]string, error) {
	leaf, err := x509.ParseCertificate(c.current.Load().Certificate[0])
	if err != nil {
		return nil, fmt.Errorf("read the certificate: %w", err)
	}
	names := slices.DeleteFunc(slices.Clone(leaf.DNSNames), func(name string) bool { return strings.Contains(name, "*") })
	for _, ip := range leaf.IPAddresses {
		names = append(names, ip.String())
	}
	return names, nil
}

// Keep makes the certificate anew when its time comes, until it is told to stop.
func (c *Certificate) Keep(ctx context.Context, failed func(error)) {
	if c.folder == "" {
		return
	}
	tick := time.NewTicker(checkEvery)
	defer tick.Stop()
	for {
		select {
		case <-ctx.Done():
			return
		case <-tick.C:
			if err := c.renew(); err != nil {
				failed(err)
			}
		}
	}
}

// renew loads the certificate of the folder, or makes another.
func (c *Certificate) renew() error {
	certFile, keyFile := filepath.Join(c.folder, "cert.pem"), filepath.Join(c.folder, "key.pem")
	pair, err := tls.LoadX509KeyPair(certFile, keyFile)
	if err == nil && c.fits(&pair) {
		c.current.Store(&pair)
		return nil
	}
	if err != nil && !errors.Is(err, fs.ErrNotExist) {
		return fmt.Errorf("load the kitchen's certificate: %w; take %s away to have another made", err, c.folder)
	}
	cert, key, err := c.make()
	if err != nil {
		return err
	}
	if err := os.MkdirAll(c.folder, 0o700); err != nil {
		return fmt.Errorf("keep the certificate: %w", err)
	}
	if err := os.WriteFile(keyFile, key, 0o600); err != nil {
		return fmt.Errorf("keep the key: %w", err)
	}
	if err := os.WriteFile(certFile, cert, 0o600); err != nil {
		return fmt.Errorf("keep the certificate: %w", err)
	}
	if pair, err = tls.X509KeyPair(cert, key); err != nil {
		return fmt.Errorf("read the certificate that was made: %w", err)
	}
	c.current.Store(&pair)
	return nil
}

// fits tells whether a certificate is for all names and good for a while yet.
func (c *Certificate) fits(pair *tls.Certificate) bool {
	leaf, err := x509.ParseCertificate(pair.Certificate[0])
	if err != nil || c.now().Add(renewBefore).After(leaf.NotAfter) {
		return false
	}
	return !slices.ContainsFunc(c.names, func(name string) bool { return leaf.VerifyHostname(name) != nil })
}

func (c *Certificate) make() (cert, key []byte, err error) {
	private, err := ecdsa.GenerateKey(elliptic.P256(), rand.Reader)
	if err != nil {
		return nil, nil, fmt.Errorf("make a key: %w", err)
	}
	serial, err := rand.Int(rand.Reader, new(big.Int).Lsh(big.NewInt(1), 127))
	if err != nil {
		return nil, nil, fmt.Errorf("number the certificate: %w", err)
	}
	t := x509.Certificate{
		SerialNumber: serial, Subject: pkix.Name{CommonName: "Yembra kitchen"}, NotBefore: c.now().Add(-time.Hour), NotAfter: c.now().Add(goodFor),
		KeyUsage: x509.KeyUsageDigitalSignature, ExtKeyUsage: []x509.ExtKeyUsage{x509.ExtKeyUsageServerAuth}, BasicConstraintsValid: true,
	}
	for _, name := range c.names {
		if ip := net.ParseIP(name); ip != nil {
			t.IPAddresses = append(t.IPAddresses, ip)
		} else {
			t.DNSNames = append(t.DNSNames, name)
		}
	}
	der, err := x509.CreateCertificate(rand.Reader, &t, &t, &private.PublicKey, private)
	if err != nil {
		return nil, nil, fmt.Errorf("make the certificate: %w", err)
	}
	raw, err := x509.MarshalPKCS8PrivateKey(private)
	if err != nil {
		return nil, nil, fmt.Errorf("write the key: %w", err)
	}
	return pem.EncodeToMemory(&pem.Block{Type: "CERTIFICATE", Bytes: der}), pem.EncodeToMemory(&pem.Block{Type: "PRIVATE KEY", Bytes: raw}), nil
}

// Names are those of this machine: given ones first, then its addresses in the
// network, its host name, and what it calls itself.
func Names(given []string) ([]string, error) {
	names := slices.Clone(given)
	add := func(name string) {
		if name != "" && !slices.Contains(names, name) {
			names = append(names, name)
		}
	}
	addresses, err := net.InterfaceAddrs()
	if err != nil {
		return nil, fmt.Errorf("find this machine's addresses: %w", err)
	}
	for _, a := range addresses {
		if ip, ok := a.(*net.IPNet); ok && ip.IP.IsGlobalUnicast() {
			add(ip.IP.String())
		}
	}
	if host, err := os.Hostname(); err == nil {
		add(strings.ToLower(host))
		if !strings.Contains(host, ".") {
			add(strings.ToLower(host) + ".local")
		}
	}
	for _, own := range []string{"localhost", "127.0.0.1", "::1"} {
		add(own)
	}
	return names, nil
}
