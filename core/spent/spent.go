// Package spent measures the time that work takes: by the clock, or by the processor where
// that is less, as other programs on the machine lengthen the time by the clock; but no less
// than a share of the clock, so that work which only waits is not free. Tests hold bounded
// work to a bound with it.
package spent

import (
	"fmt"
	"syscall"
	"time"
)

// Tries is how often work may be tried until it keeps its bound: a machine that is short
// of cache or clock for a moment is forgiven, work that is too much is not.
const Tries = 3

// forgiven is how many times as long as on an idle machine work may take by the clock; an
// estimate of a machine on which others work too.
const forgiven = 4

// Start begins to measure; what it returns tells the time spent since.
func Start() func() time.Duration {
	clock, used := time.Now(), processor()
	return func() time.Duration { so := time.Since(clock); return min(so, max(processor()-used, so/forgiven)) }
}

// processor is the time of the processor that this program has used, over all its threads.
func processor() time.Duration {
	var u syscall.Rusage
	if err := syscall.Getrusage(syscall.RUSAGE_SELF, &u); err != nil {
		panic(fmt.Sprintf("the system does not tell the processor time: %v", err))
	}
	return time.Duration(u.Utime.Nano() + u.Stime.Nano())
}

// On is the time that the work takes.
func On(work func()) time.Duration {
	so := Start()
	work()
	return so()
}

// Within does work until it has once taken less than a bound, at most Tries times, and
// returns the least it took. Work that is done again must come out the same.
func Within(bound time.Duration, work func()) time.Duration {
	least := On(work)
	for n := 1; n < Tries && least >= bound; n++ {
		least = min(least, On(work))
	}
	return least
}
