package server_test

import (
	"fmt"
	"net/url"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/swap"
	"yembra/core/tasting"
	"yembra/demo"
	"yembra/formats"
	"yembra/server"
)

func TestADishGoesBackToATrialAndBranches(t *testing.T) {
	a := open(t)
	d := a.adapted(skink)
	keep := func() string {
		_, _, data := a.ask("POST", "/api/dishes/"+d.ID+"/trials", server.TrialRequest{})
		list := into[[]server.TrialView](t, data)
		return list[len(list)-1].ID
	}
	boosted := func(food string) {
		v := a.seen(d.ID, "")
		dec := v.Document.Decisions
		dec.Boosters = append(dec.Boosters, swap.Dose{Food: food, Grams: 6})
		status, _, data := a.ask("PUT", "/api/dishes/"+d.ID, server.SaveRequest{What: food, Decisions: &dec}, "If-Match", fmt.Sprintf("%q", fmt.Sprint(v.Edit)))
		require.Equal(t, 200, status, string(data))
	}
	one := keep()
	boosted("miso")
	two := keep()
	edit := fmt.Sprintf("%q", fmt.Sprint(a.seen(d.ID, "").Edit))
	status, _, _ := a.ask("POST", "/api/dishes/"+d.ID+"/trials/"+one+"/return", nil, "If-Match", `"1"`)
	require.Equal(t, 412, status)
	status, _, data := a.ask("POST", "/api/dishes/"+d.ID+"/trials/"+one+"/return", nil, "If-Match", edit)
	require.Equal(t, 200, status, string(data))
	back := into[server.DishView](t, data)
	require.Equal(t, d.Document.Decisions.Boosters, back.Document.Decisions.Boosters)
	require.Equal(t, one, back.Document.Base.Trial)
	_, _, data = a.ask("GET", "/api/dishes/"+d.ID+"/trials", nil)
	require.True(t, into[[]server.TrialView](t, data)[0].Now, "the dish stands there again")
	boosted("tamari")
	three := keep()
	boosted("caper")
	four := keep()
	_, _, data = a.ask("GET", "/api/dishes/"+d.ID+"/trials", nil)
	list := into[[]server.TrialView](t, data)
	require.Equal(t, []string{one, two, three, four}, []string{list[0].ID, list[1].ID, list[2].ID, list[3].ID})
	require.Equal(t, []string{"", one, one, three}, []string{list[0].After, list[1].After, list[2].After, list[3].After})
	require.Equal(t, []int{0, 0, 1, 1}, []int{list[0].Branch, list[1].Branch, list[2].Branch, list[3].Branch})
	require.Equal(t, []bool{false, false, false, true}, []bool{list[0].Now, list[1].Now, list[2].Now, list[3].Now})

	status, _, _ = a.ask("POST", "/api/dishes/"+d.ID+"/variants", server.VariantRequest{Name: " ", Trial: two})
	require.Equal(t, 422, status)
	status, _, data = a.ask("POST", "/api/dishes/"+d.ID+"/variants", server.VariantRequest{Name: "with miso", Trial: two})
	require.Equal(t, 201, status, string(data))
	variant := into[server.DishView](t, data)
	require.Equal(t, d.ID, variant.Document.Variant.Of)
	require.Equal(t, "with miso", variant.Document.Variant.Name)
	require.True(t, slices.ContainsFunc(variant.Document.Decisions.Boosters, func(x swap.Dose) bool { return x.Food == "miso" }))
	_, _, data = a.ask("POST", "/api/dishes/"+variant.ID+"/variants", server.VariantRequest{Name: "third"})
	require.Equal(t, d.ID, into[server.DishView](t, data).Document.Variant.Of, "a variant of a variant is one of the dish")
	_, _, data = a.ask("GET", "/api/dishes/"+d.ID+"/trials/between?a=now&b="+url.QueryEscape("dish:"+variant.ID), nil)
	lines := strings.Join(into[server.BetweenView](t, data).Lines, "|")
	require.Contains(t, lines, "miso")
	require.Contains(t, lines, "gone: ")
}

func TestTheNextChangeIsTakenAndRemembered(t *testing.T) {
	a := open(t)
	d := a.adapted(skink)
	table := a.served(d.ID, "smoke", 0)
	for i := range 3 {
		require.NoError(t, a.kitchen.KeepSheet(t.Context(), table.ID, server.SheetRequest{Taster: fmt.Sprint("more", i), Said: []server.SheetTrial{{Letter: "A", Liking: 3, Traits: map[string]int{"smoke": -1}}}}))
	}
	_, _, data := a.ask("GET", "/api/tastings/"+table.ID+"/next", nil)
	next := into[[]server.NextChange](t, data)
	require.Len(t, next, 1)
	require.NotEmpty(t, next[0].Ways)
	for _, w := range next[0].Ways {
		taken := server.TakenChange{Trait: "smoke", Side: tasting.TooLittle, Dose: w.Dose, Line: w.Line, Factor: w.Factor, Step: w.Step, Minutes: w.Minutes}
		v := a.seen(d.ID, "")
		was, _ := steps(v, "smoke")
		edit := fmt.Sprintf("%q", fmt.Sprint(v.Edit))
		status, _, data := a.ask("POST", "/api/tastings/"+table.ID+"/next", server.ChangeRequest{Take: []server.TakenChange{taken}}, "If-Match", edit)
		require.Equal(t, 200, status, string(data))
		after := into[server.DishView](t, data)
		require.Equal(t, "the table wanted more smoke", after.What)
		now, _ := steps(after, "smoke")
		require.InDelta(t, was+w.Steps, now, 1e-9, w.Say)
		require.Contains(t, string(data), "able wanted more smoke", "why is remembered: %s", w.Say)
		require.True(t, after.CanUndo)
		a.ask("POST", "/api/dishes/"+d.ID+"/undo", nil, "If-Match", fmt.Sprintf("%q", fmt.Sprint(after.Edit)))
	}
	for _, wrong := range []string{`{"take": []}`, `{"take": [{"trait": "smoke", "side": "too-little"}]}`, `{"take": [{"trait": "charm", "side": "too-little", "line": "l1", "factor": 2}]}`, `{"take": [{"trait": "smoke", "side": "too-little", "line": "l1", "factor": 99}]}`} {
		status, _, _ := a.ask("POST", "/api/tastings/"+table.ID+"/next", wrong, "If-Match", `"1"`)
		require.Equal(t, 422, status, wrong)
	}
}

func TestATrialGoesOutWithWhatTheTableSaid(t *testing.T) {
	a := open(t)
	d := a.adapted(skink)
	table := a.served(d.ID, "smoke", -1)
	trial := table.Served[0].Trial
	shot := a.photograph("trial", trial)
	path := "/api/dishes/" + d.ID + "/trials/" + trial + "/card/"
	status, _, data := a.ask("GET", path+"markdown", nil)
	require.Equal(t, 200, status, string(data))
	for _, words := range []string{"As the card has it.", "What the table said", "liked 6.0 of 9, by 6", "6 of 6 said too little smoke", "onion", "Holds", "nuts", "Take care"} {
		require.Contains(t, string(data), words)
	}
	require.NotContains(t, string(data), "kcal")
	status, _, _ = a.ask("GET", path+"jsonld", nil)
	require.Equal(t, 404, status)
	status, head, with := a.ask("GET", path+"pdf", nil)
	require.Equal(t, 200, status)
	require.Equal(t, "application/pdf", head.Get("Content-Type"))
	require.Equal(t, "%PDF", string(with[:4]))
	status, _, _ = a.ask("DELETE", "/api/pictures/"+shot, nil)
	require.Equal(t, 204, status)
	_, _, without := a.ask("GET", path+"pdf", nil)
	require.Greater(t, len(with), len(without)+500, "the plate is printed")
	status, _, _ = a.ask("PUT", "/api/pictures/"+shot, nil)
	require.Equal(t, 204, status)
	_, _, data = a.ask("GET", "/api/dishes/"+d.ID+"/trials", nil)
	require.Equal(t, shot, into[[]server.TrialView](t, data)[0].Pictures[0].ID)

	status, head, data = a.ask("GET", "/api/pictures/"+shot+"?small=true", nil)
	require.Equal(t, 200, status)
	require.Equal(t, "image/jpeg", head.Get("Content-Type"))
	require.Contains(t, head.Get("Cache-Control"), "immutable")
	require.NotEmpty(t, data)
	for path, body := range map[string]string{"/api/pictures/dish/" + d.ID: "no picture", "/api/pictures/soup/" + d.ID: "x"} {
		status, _, _ = a.ask("POST", path, body)
		require.Equal(t, 422, status)
	}
	status, _, _ = a.ask("POST", "/api/pictures/trial/"+d.ID, "x")
	require.Equal(t, 404, status)
}

func TestTheWeekdayCardTakesLessWorkAndKeepsTheRules(t *testing.T) {
	a := open(t)
	quicker := 0
	for _, text := range []string{skink, demoText(t, "moussaka"), demoText(t, "rendang")} {
		d := a.adapted(text)
		status, _, data := a.ask("GET", "/api/dishes/"+d.ID+"/card?weekday=true&servings=2", nil)
		require.Equal(t, 200, status, string(data))
		card := into[formats.Card](t, data)
		require.NotEmpty(t, card.Weekday)
		require.Empty(t, card.Open)
		if strings.HasPrefix(card.Weekday, "No quicker") {
			continue
		}
		quicker++
		var steps, hands, steps2, hands2 int
		_, err := fmt.Sscanf(card.Weekday, "%d steps and about %d minutes of hands, instead of %d and %d.", &steps, &hands, &steps2, &hands2)
		require.NoError(t, err, card.Weekday)
		require.True(t, steps < steps2 || hands < hands2, card.Weekday)
		_, _, data = a.ask("GET", "/api/dishes/"+d.ID+"/card", nil)
		require.Empty(t, into[formats.Card](t, data).Weekday)
		require.Equal(t, d.Document.Decisions, a.seen(d.ID, "").Document.Decisions, "what was decided stays")
	}
	require.Positive(t, quicker)
}

func demoText(t *testing.T, key string) string {
	t.Helper()
	recipes, err := demo.Recipes()
	require.NoError(t, err)
	return recipes[slices.IndexFunc(recipes, func(r demo.Recipe) bool { return r.Key == key })].Text
}
