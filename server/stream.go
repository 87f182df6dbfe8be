package server

import (
	"bufio"
	"fmt"
	"time"

	"github.com/gofiber/fiber/v3"

	"yembra/server/texts"
	"yembra/store"
)

// streamPath is where screens listen; an answer there goes on for streamFor, and
// the screen then asks again.
const (
	streamPath = "/api/stream"
	streamFor  = 50 * time.Second
	beatEvery  = 10 * time.Second
)

// readings is what screens are told of the devices, many times a second; who
// misses one misses nothing.
const readings = "devices"

// stream tells a screen what changes, as server-sent events.
func (k *Kitchen) stream(c fiber.Ctx) error {
	own, _ := c.Locals(sessionKey{}).(store.Session)
	l, n, ok := k.hearth.listen(own.ID)
	if !ok {
		return problem{Title: texts.Say("busy"), Status: fiber.StatusServiceUnavailable, Detail: texts.Say("screensAreListeningAlready", mostListeners)}
	}
	c.Set(fiber.HeaderContentType, "text/event-stream")
	h := k.hearth
	return c.SendStreamWriter(func(w *bufio.Writer) {
		defer h.leave(l)
		end, beat := time.After(streamFor), time.NewTicker(beatEvery)
		defer beat.Stop()
		say := func(data []byte) bool {
			_, err := w.Write(data)
			return err == nil && w.Flush() == nil
		}
		if !say(fmt.Appendf(nil, "retry: 300\nevent: hello\ndata: {\"n\":%d}\n\n", n)) {
			return
		}
		for {
			select {
			case data, open := <-l.said:
				if !open || !say(data) {
					return
				}
			case <-beat.C:
				if !say([]byte(": still here\n\n")) {
					return
				}
			case <-end:
				return
			case <-h.closing.Done():
				return
			}
		}
	})
}
