package server

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/day"
)

func TestWhatWasSaidOfADayFollowsItsTasks(t *testing.T) {
	jobs := []day.Job{
		{Task: day.Task{ID: "d.s4.work"}, Name: "Chop", Was: "d.0.1.work"},
		{Task: day.Task{ID: "d.s5.wait"}, Name: "Simmer", Was: "d.0.2.wait"},
	}
	d := DayDocument{ServeAt: "2026-12-05T19:30:00Z", Pins: map[string]string{"d.0.2.wait": "2026-12-05T18:00:00Z"}, Progress: []day.Progress{
		{ID: "d.0.1.work", Start: "2026-12-05T17:00:00Z", Minutes: 10, Done: true},
		{ID: "d.s4.work", Start: "2026-12-05T17:00:00Z", Minutes: 10, Done: true},
		{ID: "d.s9.work", Name: "Flake the fish", Start: "2026-12-05T17:10:00Z", Minutes: 5},
		{ID: "d.s5.wait", Start: "1026-12-05T17:10:00Z", Minutes: 5},
	}}
	begun, aside := d.settle(jobs)
	require.Equal(t, map[string]string{"d.s5.wait": "2026-12-05T18:00:00Z"}, d.Pins)
	require.Equal(t, []day.Progress{{ID: "d.s4.work", Name: "Chop", Start: "2026-12-05T17:00:00Z", Minutes: 10, Done: true}}, begun)
	require.Len(t, aside, 2, "of a task that is gone, and at an impossible time")
	require.Equal(t, "Flake the fish", aside[0].Name)
	require.Equal(t, "d.s5.wait", aside[1].ID)
	require.Len(t, d.Progress, 3, "nothing that was said is lost")
}
