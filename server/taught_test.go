package server_test

import (
	"bytes"
	"encoding/csv"
	"fmt"
	"image"
	"image/png"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/tasting"
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
