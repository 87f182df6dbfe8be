package server

import (
	"bufio"
	"bytes"
	"compress/gzip"
	"fmt"
	"io"
	"net"
	"net/http"
	"runtime"
	"strings"
	"testing"
	"time"

	"github.com/gofiber/fiber/v3"
	"github.com/stretchr/testify/require"
)

// listening serves a kitchen on a port of its own.
func listening(t *testing.T) (addr string) {
	t.Helper()
	_, app := kitchenIn(t, t.TempDir())
	at := make(chan string, 1)
	go func() {
		_ = app.Listen("127.0.0.1:0", fiber.ListenConfig{DisableStartupMessage: true, ListenerAddrFunc: func(a net.Addr) { at <- a.String() }})
	}()
	t.Cleanup(func() { _ = app.ShutdownWithTimeout(time.Second) })
	return <-at
}

// say writes bytes as they are and reads what comes back.
func say(t *testing.T, addr, text string) (*http.Response, string) {
	t.Helper()
	c, err := net.Dial("tcp", addr)
	require.NoError(t, err)
	defer c.Close()
	require.NoError(t, c.SetDeadline(time.Now().Add(10*time.Second)))
	_, err = io.WriteString(c, text)
	require.NoError(t, err)
	answer, err := http.ReadResponse(bufio.NewReader(c), &http.Request{Method: strings.Fields(text)[0]})
	require.NoError(t, err)
	body, err := io.ReadAll(answer.Body)
	require.NoError(t, err)
	return answer, string(body)
}

func zipped(t *testing.T, data []byte) []byte {
	t.Helper()
	var b bytes.Buffer
	w := gzip.NewWriter(&b)
	_, err := w.Write(data)
	require.NoError(t, err)
	require.NoError(t, w.Close())
	return b.Bytes()
}

func heap() uint64 {
	var m runtime.MemStats
	runtime.GC()
	runtime.ReadMemStats(&m)
	return m.HeapAlloc
}

// A packed body is not unpacked, however often it is packed, and a foreign host
// is refused before any body is looked at.
func TestPackedBodiesAreNotUnpacked(t *testing.T) {
	addr := listening(t)
	bomb := zipped(t, zipped(t, make([]byte, 200<<20)))
	before := heap()
	for _, path := range []string{"/api/read", "/api/archive", "/"} {
		for host, status := range map[string]int{addr: 415, "kitchen.example": 403} {
			answer, _ := say(t, addr, fmt.Sprintf("POST %s HTTP/1.1\r\nHost: %s\r\nContent-Encoding: gzip, gzip\r\nContent-Length: %d\r\n\r\n%s", path, host, len(bomb), bomb))
			require.Equal(t, status, answer.StatusCode, "%s %s", host, path)
		}
	}
	require.Less(t, heap(), before+(64<<20))
}

func TestOnlyThisMachinesNamesAreAnswered(t *testing.T) {
	addr := listening(t)
	_, port, err := net.SplitHostPort(addr)
	require.NoError(t, err)
	for host, status := range map[string]int{
		addr: 200, "localhost:" + port: 200, "LOCALHOST": 200, "[::1]:" + port: 200,
		"x@localhost": 403, "localhost@x": 403, "localhost:80@x": 403, "evil.example": 403, "127.0.0.1.evil.example": 403, "localhost.": 403, "": 403,
	} {
		answer, _ := say(t, addr, "GET /api/health HTTP/1.1\r\nHost: "+host+"\r\n\r\n")
		require.Contains(t, []int{status, max(status, 400)}, answer.StatusCode, host)
		require.Equal(t, status == 200, answer.StatusCode == 200, host)
	}
	for _, two := range []string{"Host: " + addr + "\r\nHost: evil.example", "Host: evil.example\r\nHost: " + addr, "Host: " + addr + "\r\nhost: " + addr} {
		answer, _ := say(t, addr, "GET /api/health HTTP/1.1\r\n"+two+"\r\n\r\n")
		require.GreaterOrEqual(t, answer.StatusCode, 400, two)
	}
	answer, _ := say(t, addr, "GET http://evil.example/api/health HTTP/1.1\r\nHost: "+addr+"\r\n\r\n")
	require.GreaterOrEqual(t, answer.StatusCode, 400, "a whole address in the first line")
	for origin, status := range map[string]int{"http://" + addr: 400, "http://x@" + addr: 403, "http://evil.example": 403, "null": 403} {
		answer, _ := say(t, addr, "POST /api/read HTTP/1.1\r\nHost: "+addr+"\r\nOrigin: "+origin+"\r\nContent-Length: 1\r\n\r\n{")
		require.Equal(t, status, answer.StatusCode, origin)
	}
}

func TestEveryAnswerCarriesItsHeaders(t *testing.T) {
	addr := listening(t)
	for _, line := range []string{"GET /api/health", "HEAD /api/health", "GET /api/nothing", "GET /api/dishes", "HEAD /api/archive"} {
		answer, _ := say(t, addr, line+" HTTP/1.1\r\nHost: "+addr+"\r\nConnection: close\r\n\r\n")
		require.Equal(t, "no-store", answer.Header.Get("Cache-Control"), line)
		require.Equal(t, "nosniff", answer.Header.Get("X-Content-Type-Options"), line)
		require.NotEmpty(t, answer.Header.Get("Content-Security-Policy"), line)
		require.Equal(t, strings.Contains(line, "nothing"), answer.StatusCode == 404, line)
	}
}

// What is only announced takes no memory, and what is too long is refused with a
// reason that arrives.
func TestBodiesTakeNoMoreThanTheyMay(t *testing.T) {
	addr := listening(t)
	before := heap()
	var open []net.Conn
	for range 200 {
		c, err := net.Dial("tcp", addr)
		require.NoError(t, err)
		open = append(open, c)
		_, err = fmt.Fprintf(c, "POST /api/archive HTTP/1.1\r\nHost: %s\r\nContent-Length: %d\r\n\r\nPK", addr, 16<<20)
		require.NoError(t, err)
	}
	time.Sleep(200 * time.Millisecond)
	require.Less(t, heap(), before+(64<<20))
	from := time.Now()
	answer, _ := say(t, addr, "GET /api/health HTTP/1.1\r\nHost: "+addr+"\r\n\r\n")
	require.Equal(t, 200, answer.StatusCode, "200 slow ones do not stop the next")
	require.Less(t, time.Since(from), time.Second)
	for _, c := range open {
		require.NoError(t, c.Close())
	}
	long := strings.Repeat(" ", BodyLimit+1)
	answer, body := say(t, addr, fmt.Sprintf("POST /api/read HTTP/1.1\r\nHost: %s\r\nContent-Length: %d\r\n\r\n%s", addr, len(long), long))
	require.Equal(t, 413, answer.StatusCode)
	require.Contains(t, body, "2 MiB")
	chunked := fmt.Sprintf("%x\r\n%s\r\n0\r\n\r\n", len(long), long)
	answer, _ = say(t, addr, "POST /api/read HTTP/1.1\r\nHost: "+addr+"\r\nTransfer-Encoding: chunked\r\n\r\n"+chunked)
	require.Equal(t, 413, answer.StatusCode)
	fits := `{"text":"` + strings.Repeat(" ", 200<<10) + `Soup","measures":"metric"}`
	answer, body = say(t, addr, fmt.Sprintf("POST /api/read HTTP/1.1\r\nHost: %s\r\nContent-Length: %d\r\n\r\n%s", addr, len(fits), fits))
	require.Equal(t, 200, answer.StatusCode, body)
}
