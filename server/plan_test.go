package server_test

import (
	"encoding/json"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/day"
)

func TestPlanAnswersAndSaysWhatIsWrong(t *testing.T) {
	a := open(t)
	status, _, data := a.ask("POST", "/api/plan", `{"serveAt": "2026-12-05T19:30:00+01:00",
		"kitchen": {"cooks": 1, "rings": 1, "ovens": [], "kit": {}, "awake": {"from": "07:00", "to": "23:00"}},
		"tasks": [{"id": "soak", "minutes": 480, "hands": 0, "rings": 0, "oven": null, "kit": [], "after": [], "serveWithin": null, "startAt": null},
		          {"id": "boil", "minutes": 60, "hands": 0, "rings": 1, "after": [{"id": "soak", "minGap": 0, "maxGap": 120}]}]}`)
	require.Equal(t, 200, status, string(data))
	var p day.Plan
	require.NoError(t, json.Unmarshal(data, &p))
	require.True(t, p.Feasible && p.Optimal)
	require.Equal(t, "2026-12-05T10:30:00+01:00", *p.StartAt)
	require.Equal(t, []int{0}, p.Tasks[1].Rings)

	for body, want := range map[string]struct {
		status int
		words  string
	}{
		`{"serveAt": "2026-12-05T19:30:00Z", "kitchen": {"cooks": 1}, "tasks": [{"id": "a", "minutes": -1}]}`:                                               {422, `"tasks[0].minutes","detail":"must be at least 0"`},
		`{"serveAt": "2026-12-05T19:30:00Z", "kitchen": {"cooks": 1}, "tasks": [{"id": "a", "minutes": 1, "after": [{"id": "b"}]}]}`:                        {422, `tasks[0].after[0].id`},
		`{"serveAt": "2026-12-05T19:30:00Z", "kitchen": {"cooks": 1}, "tasks": [{"id": "a", "after": [{"id": "b"}]}, {"id": "b", "after": [{"id": "a"}]}]}`: {422, `circle`},
		`{"serveAt": "2026-12-05T19:30:00Z", "kitchen": {"cooks": 1}, "tasks": [{"id": "a", "minutes": "ten"}]}`:                                            {400, `minutes`},
		`{"serveAt": "2026-12-05T19:30:00Z", "kitchen": {"chefs": 1}, "tasks": []}`:                                                                         {400, `chefs`},
		`{"serveAt": "2026-12-05T19:30:00Z", "kitchen": {"cooks": 1}, "tasks": [{"id": "a", "minutes": 1, "rings": 2}]}`:                                    {200, `"feasible":false,"tasks":[],"startAt":null`},
	} {
		status, _, data := a.ask("POST", "/api/plan", body)
		require.Equal(t, want.status, status, body)
		require.Contains(t, string(data), want.words)
	}
}
