package server_test

import (
	"bytes"
	"encoding/csv"
	"fmt"
	"image"
	"image/png"
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

// photograph keeps a picture of a dish or a trial and returns its id.
func (a app) photograph(kind, about string) string {
	a.t.Helper()
	var body bytes.Buffer
	require.NoError(a.t, png.Encode(&body, image.NewRGBA(image.Rect(0, 0, 600, 400))))
	status, _, data := a.ask("POST", "/api/pictures/"+kind+"/"+about, body.String(), "Content-Type", "image/png")
	require.Equal(a.t, 201, status, string(data))
	list := into[[]server.Picture](a.t, data)
	return list[len(list)-1].ID
}

// adapted is a new dish with every line decided.
func (a app) adapted(text string) server.DishView {
	a.t.Helper()
	d := a.newDish(text)
	_, _, data := a.ask("POST", "/api/dishes/"+d.ID+"/proposals", nil)
	closest := into[[]server.Proposal](a.t, data)[0]
	status, _, data := a.ask("PUT", "/api/dishes/"+d.ID, server.SaveRequest{What: "adapted it", Decisions: &closest.Decisions}, "If-Match", fmt.Sprintf("%q", fmt.Sprint(d.Edit)))
	require.Equal(a.t, 200, status, string(data))
	return into[server.DishView](a.t, data)
}

// served keeps a trial of a dish, lays a table for it, and has six say the same of a
// trait.
func (a app) served(dish, trait string, said int) server.Tasting {
	a.t.Helper()
	status, _, data := a.ask("POST", "/api/dishes/"+dish+"/trials", server.TrialRequest{Words: "As the card has it."})
	require.Equal(a.t, 201, status, string(data))
	trials := into[[]server.TrialView](a.t, data)
	status, _, data = a.ask("POST", "/api/dishes/"+dish+"/tastings", server.TastingRequest{Trials: []string{trials[len(trials)-1].ID}, Traits: []string{trait}})
	require.Equal(a.t, 201, status, string(data))
	t := into[server.Tasting](a.t, data)
	for i := range 6 {
		require.NoError(a.t, a.kitchen.KeepSheet(a.t.Context(), t.ID, server.SheetRequest{Taster: fmt.Sprint(i), Said: []server.SheetTrial{{Letter: "A", Liking: 5 + i%3, Traits: map[string]int{trait: said}}}}))
	}
	return t
}

func steps(v server.DishView, trait string) (steps, learned float64) {
	for _, x := range v.Adaptation.Traits {
		if x.Trait == trait {
			return x.Steps, x.Learned
		}
	}
	return 0, 0
}

func (a app) seen(dish, query string) server.DishView {
	a.t.Helper()
	status, _, data := a.ask("GET", "/api/dishes/"+dish+query, nil)
	require.Equal(a.t, 200, status, string(data))
	return into[server.DishView](a.t, data)
}

func TestAClosedTastingTeachesTheKitchen(t *testing.T) {
	a := open(t)
	d := a.adapted(skink)
	was, _ := steps(d, "richness")
	require.NotZero(t, was)
	table := a.served(d.ID, "richness", -1)
	now, learned := steps(a.seen(d.ID, ""), "richness")
	require.Equal(t, was, now, "an open tasting teaches nothing yet")
	require.Zero(t, learned)

	status, _, data := a.ask("POST", "/api/tastings/"+table.ID+"/close", nil)
	require.Equal(t, 200, status, string(data))
	want := tasting.Correct("richness", []tasting.Tasted{{Sheets: 6, Mean: -1, Foretold: table.Served[0].Steps["richness"]}}).Correction
	v := a.seen(d.ID, "")
	now, learned = steps(v, "richness")
	require.InDelta(t, want, learned, 1e-9)
	require.InDelta(t, was+want, now, 1e-9)
	require.Contains(t, strings.Join(v.Learned, "|"), "Richness is tasted")
	require.Contains(t, strings.Join(v.Learned, "|"), "from 6 sheets of one tasting")

	plain := a.seen(d.ID, "?by=book")
	now, learned = steps(plain, "richness")
	require.Equal(t, was, now, "by the book it is as it was")
	require.Zero(t, learned)
	require.Empty(t, plain.Learned)
	_, _, card := a.ask("GET", "/api/dishes/"+d.ID+"/card/markdown", nil)
	require.Contains(t, string(card), "Richness is tasted")

	// What is foreseen of the next trial is without what tables have taught.
	second := a.served(d.ID, "richness", 0)
	require.InDelta(t, table.Served[0].Steps["richness"], second.Served[0].Steps["richness"], 1e-9)

	_, _, data = a.ask("GET", "/api/learned", nil)
	all := into[server.LearnedView](t, data)
	require.Len(t, all.Taught, 1)
	require.Positive(t, all.Taught[0].Since)
	require.Len(t, all.Lessons, 1)
	require.InDelta(t, -1.5, all.Lessons[0].Tasted, 1e-9)
	path := "/api/taught/" + all.Lessons[0].Key
	status, _, data = a.ask("DELETE", path, nil)
	require.Equal(t, 200, status, string(data))
	require.Empty(t, into[server.LearnedView](t, data).Taught)
	require.True(t, into[server.LearnedView](t, data).Lessons[0].Off)
	now, _ = steps(a.seen(d.ID, ""), "richness")
	require.InDelta(t, was, now, 1e-9)
	_, _, data = a.ask("POST", path, nil)
	require.Len(t, into[server.LearnedView](t, data).Taught, 1)
	status, _, _ = a.ask("DELETE", "/api/taught/"+table.ID+"/A/sweet", nil)
	require.Equal(t, 404, status)

	// Of a dish that is half decided nobody knows what was tasted.
	half := a.served(a.newDish(skink).ID, "richness", 2)
	require.True(t, half.Served[0].Open)
	a.ask("POST", "/api/tastings/"+half.ID+"/close", nil)
	_, _, data = a.ask("GET", "/api/learned", nil)
	require.Len(t, into[server.LearnedView](t, data).Lessons, 1)

	// Opened again, it teaches nothing until it is closed.
	a.ask("POST", "/api/tastings/"+table.ID+"/close", nil)
	now, _ = steps(a.seen(d.ID, ""), "richness")
	require.InDelta(t, was, now, 1e-9)
}

func TestTheFoodThatBringsATraitIsCorrected(t *testing.T) {
	a := open(t)
	d := a.adapted(skink)
	table := a.served(d.ID, "smoke", -2)
	b := table.Served[0].Brings["smoke"]
	require.NotEmpty(t, b.Food)
	require.Greater(t, b.Share, 0.6)
	was, _ := steps(d, "smoke")
	a.ask("POST", "/api/tastings/"+table.ID+"/close", nil)
	_, _, data := a.ask("GET", "/api/learned", nil)
	taught := into[server.LearnedView](t, data).Taught
	require.Len(t, taught, 1)
	require.Equal(t, b.Food, taught[0].Food)
	now, _ := steps(a.seen(d.ID, ""), "smoke")
	require.Less(t, now, was-0.3)
	require.Contains(t, strings.Join(a.seen(d.ID, "").Learned, "|"), "times as strongly as the book has it")
}

func TestATriangleIsDealtOutAndToldAtTheEnd(t *testing.T) {
	a := open(t)
	d := a.newDish(skink)
	_, _, data := a.ask("POST", "/api/dishes/"+d.ID+"/trials", server.TrialRequest{})
	trial := into[[]server.TrialView](t, data)[0].ID
	status, _, _ := a.ask("POST", "/api/dishes/"+d.ID+"/tastings", server.TastingRequest{Trials: []string{trial}, Triangle: true})
	require.Equal(t, 422, status, "two things are told apart")
	status, _, data = a.ask("POST", "/api/dishes/"+d.ID+"/tastings", server.TastingRequest{Trials: []string{trial, "original"}, Triangle: true, Open: true, Guests: []string{"Guest 1", " Guest 1 ", "Guest 2"}})
	require.Equal(t, 201, status, string(data))
	table := into[server.Tasting](t, data)
	require.True(t, table.Blind)
	require.Equal(t, []string{"Guest 1", "Guest 2"}, table.Guests)
	_, _, data = a.ask("POST", "/api/links", server.LinkRequest{Kind: "tasting", About: table.ID, Hours: 3})
	link := into[server.ShownCode](t, data).URL
	path := "/api/guest/" + link[strings.LastIndex(link, "/")+1:]
	for i := range 9 {
		taster := fmt.Sprint("t", i)
		_, _, data = a.ask("GET", path+"?taster="+taster, nil)
		sheet := into[server.GuestView](t, data).Sheet
		require.True(t, sheet.Triangle)
		require.Equal(t, i+1, sheet.Tray)
		require.Empty(t, sheet.Letters)
		require.Equal(t, []string{"Guest 1", "Guest 2"}, sheet.Guests)
		require.NotContains(t, string(data), "original")
		odd := tasting.OddCup(tasting.Tray(table.ID, i))
		if i == 8 {
			odd = odd%3 + 1 // one is wrong
		}
		status, _, data = a.ask("POST", path+"/sheet", server.SheetRequest{Taster: taster, Odd: odd})
		require.Equal(t, 200, status, string(data))
	}
	status, _, _ = a.ask("POST", path+"/sheet", server.SheetRequest{Taster: "t1", Odd: 4})
	require.Equal(t, 422, status)
	status, _, _ = a.ask("POST", path+"/sheet", server.SheetRequest{Taster: "t1", Said: []server.SheetTrial{{Letter: "A"}}})
	require.Equal(t, 422, status)

	_, _, data = a.ask("GET", "/api/tastings/"+table.ID, nil)
	v := into[server.TastingView](t, data)
	require.Len(t, v.Sheets, 9)
	require.Len(t, v.Trays, 12, "six by six, one more than are seated")
	require.Empty(t, v.Odd, "nothing is told before the end")
	require.Nil(t, v.Answer.Triangle)
	require.False(t, slices.ContainsFunc(v.Sheets, func(s server.Sheet) bool { return s.Odd > 0 }))
	for i, tray := range v.Trays {
		for cup, thing := range tray {
			require.Equal(t, table.Served[tasting.Tray(table.ID, i)[cup]].Name, thing)
		}
	}
	_, _, data = a.ask("POST", "/api/tastings/"+table.ID+"/close", nil)
	v = into[server.TastingView](t, data)
	require.Contains(t, v.Odd, "8 of 9 found the odd one")
	require.InDelta(t, tasting.Odd(9, 8).P, v.Answer.Triangle.P, 1e-12)
	_, _, data = a.ask("GET", "/api/tastings/"+table.ID+"/csv", nil)
	rows, err := csv.NewReader(bytes.NewReader(data)).ReadAll()
	require.NoError(t, err)
	require.Len(t, rows, 10)
	require.Equal(t, "said odd", rows[0][6])
	_, _, data = a.ask("GET", "/api/learned", nil)
	require.Empty(t, into[server.LearnedView](t, data).Taught)
}

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
