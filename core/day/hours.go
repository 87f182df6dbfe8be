package day

import "sort"

// hours are the stretches, in ticks before serving, in which work by hand may
// lie; nil means always.
type hours []window

// openHours lays the waking hours of every day out backwards from serving, at
// second ofDay of its day, as far as the horizon. Stretches that touch are one.
func openHours(ofDay int, awake window, tick, horizon int) hours {
	const day = 24 * 60 * 60
	var out hours
	for d := 1; ; d-- {
		from := (ofDay - awake.to*60 - d*day) / tick
		to := (ofDay - awake.from*60 - d*day) / tick
		if from > horizon {
			return out
		}
		if to < 0 {
			continue
		}
		from = max(from, 0)
		if n := len(out); n > 0 && from <= out[n-1].to {
			out[n-1].to = to
		} else {
			out = append(out, window{from, to})
		}
	}
}

// after returns the first start at or after t of a job of the given length
// that lies wholly in open hours; never when there is none.
func (h hours) after(t, length int) int {
	if h == nil {
		return t
	}
	for k := sort.Search(len(h), func(k int) bool { return h[k].to >= t }); k < len(h); k++ {
		if s := max(t, h[k].from); s+length <= h[k].to {
			return s
		}
	}
	return never
}

// before returns the last start at or before t of a job of the given length
// that lies wholly in open hours; -1 when there is none.
func (h hours) before(t, length int) int {
	if h == nil {
		return t
	}
	for k := sort.Search(len(h), func(k int) bool { return h[k].from > t }) - 1; k >= 0; k-- {
		if s := min(t, h[k].to-length); s >= h[k].from {
			return s
		}
	}
	return -1
}

// within sums the open ticks between two times.
func (h hours) within(from, to int) int {
	if h == nil {
		return to - from
	}
	sum := 0
	for k := sort.Search(len(h), func(k int) bool { return h[k].to > from }); k < len(h) && h[k].from < to; k++ {
		sum += min(to, h[k].to) - max(from, h[k].from)
	}
	return sum
}

// longest is the length of the longest stretch; never when hours do not bind.
func (h hours) longest() int {
	if h == nil {
		return never
	}
	most := 0
	for _, w := range h {
		most = max(most, w.to-w.from)
	}
	return most
}
