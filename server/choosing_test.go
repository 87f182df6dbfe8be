package server_test

import (
	"encoding/json"
	"fmt"
	"strconv"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/character"
	"yembra/core/swap"
	"yembra/formats"
	"yembra/server"
)

func (a app) newDish(text string) server.DishView {
	a.t.Helper()
	body, err := json.Marshal(map[string]string{"text": text})
	require.NoError(a.t, err)
	status, _, data := a.ask("POST", "/api/dishes", string(body))
	require.Equal(a.t, 201, status, string(data))
	return into[server.DishView](a.t, data)
}

func TestThePreviewShowsWithoutKeeping(t *testing.T) {
	a := open(t)
	d := a.newDish(skink)
	dec := d.Document.Decisions
	dec.Swaps = map[string]string{"components[0].lines[0]": "smoked-tofu-flakes"}
	status, _, data := a.ask("POST", "/api/dishes/"+d.ID+"/preview", server.PreviewRequest{Decisions: dec})
	require.Equal(t, 200, status, string(data))
	shown := into[swap.Adaptation](t, data)
	require.Len(t, shown.Swaps, 1)
	require.NotEmpty(t, shown.Traits[0].From)
	_, _, data = a.ask("GET", "/api/dishes/"+d.ID, nil)
	require.Empty(t, into[server.DishView](t, data).Adaptation.Swaps)
	for _, bad := range []string{`{"decisions":{"pins":["colour"]}}`, `{"decisions":{"houseRules":{"preset":"none"}}}`} {
		status, _, _ := a.ask("POST", "/api/dishes/"+d.ID+"/preview", bad)
		require.Equal(t, 422, status, bad)
	}
	status, _, _ = a.ask("POST", "/api/dishes/nothing/preview", `{"decisions":{}}`)
	require.Equal(t, 404, status)
}

func TestTheTraySaysWhatADoseMovesAndWhatIsBarred(t *testing.T) {
	a := open(t)
	d := a.newDish(skink)
	dec := d.Document.Decisions
	dec.HouseRules.Off = []string{"soy"}
	dec.Boosters = []swap.Dose{{Food: "smoked-paprika", Grams: 1.2}}
	status, _, data := a.ask("PUT", "/api/dishes/"+d.ID, server.SaveRequest{What: "x", Decisions: &dec}, "If-Match", strconv.FormatInt(d.Edit, 10))
	require.Equal(t, 200, status, string(data))
	_, _, data = a.ask("GET", "/api/dishes/"+d.ID+"/boosters", nil)
	tray := map[string]swap.TrayItem{}
	for _, item := range into[[]swap.TrayItem](t, data) {
		tray[item.Food] = item
		require.NotEmpty(t, item.When)
		require.NotEmpty(t, item.Shown)
	}
	require.GreaterOrEqual(t, len(tray), 50)
	require.Equal(t, "no soy", tray["miso"].Barred)
	require.InDelta(t, 1.2, tray["smoked-paprika"].Grams, 1e-9)
	require.True(t, tray["smoked-paprika"].Helps, "without the haddock nothing smokes")
	moved := map[string]float64{}
	for _, m := range tray["smoked-paprika"].Moves {
		moved[m.Trait] = m.Steps
	}
	require.Greater(t, moved[character.Smoke], 0.2)
	require.GreaterOrEqual(t, tray["smoked-paprika"].Most, 1.2)
}

func TestWhatALineDoesIsToldAndCorrected(t *testing.T) {
	a := open(t)
	d := a.newDish("Bake\nServes 4\n\n2 eggs\n300 ml milk\n1 bay leaf\n\nMethod\n1. Beat the eggs with the milk, add the bay leaf and bake for 30 minutes until set.")
	roles := map[string]swap.LineRole{}
	for _, r := range d.Roles {
		roles[r.Ref] = r
	}
	require.Equal(t, "set", roles["components[0].lines[0]"].Use.Name)
	require.Contains(t, roles["components[0].lines[2]"].Fate, "lifted out")
	dec := d.Document.Decisions
	dec.Uses = map[string]string{"components[0].lines[0]": "bind"}
	status, _, data := a.ask("PUT", "/api/dishes/"+d.ID, server.SaveRequest{What: "corrected", Decisions: &dec}, "If-Match", strconv.FormatInt(d.Edit, 10))
	require.Equal(t, 200, status, string(data))
	changed := into[server.DishView](t, data)
	require.Equal(t, "bind", changed.Slots[0].Use.Name)
	require.True(t, changed.Slots[0].Use.Corrected)
}

func TestDecisionsNobodyCanCookAreRefused(t *testing.T) {
	a := open(t)
	d := a.newDish(skink)
	for field, change := range map[string]func(*swap.Decisions){
		"decisions.boosters[0]": func(dec *swap.Decisions) { dec.Boosters = []swap.Dose{{Food: "unobtainium", Grams: 1}} },
		"decisions.amounts[components[0].lines[0]]": func(dec *swap.Decisions) {
			dec.Amounts = map[string]float64{"components[0].lines[0]": 90}
		},
		"houseRules.vegetablesPerGrain": func(dec *swap.Decisions) { dec.HouseRules.VegetablesPerGrain = -1 },
	} {
		dec := d.Document.Decisions
		change(&dec)
		status, _, data := a.ask("PUT", "/api/dishes/"+d.ID, server.SaveRequest{What: "x", Decisions: &dec}, "If-Match", strconv.FormatInt(d.Edit, 10))
		require.Equal(t, 422, status, field)
		require.Contains(t, string(data), field)
	}
}

func TestNewDishesBeginWithTheKitchensRulesAndItsGuests(t *testing.T) {
	a := open(t)
	status, _, data := a.ask("PUT", "/api/kitchen", `{"measures":"metric","diners":[{"name":"Wren","cannotEat":["nuts","onion and garlic"]}],"houseRules":{"preset":"whole-food","off":["soy"],"saltPerServing":1.5,"mild":true}}`)
	require.Equal(t, 200, status, string(data))
	rules := a.newDish(skink).Document.Decisions.HouseRules
	require.Equal(t, "whole-food", rules.Preset)
	require.ElementsMatch(t, []string{"soy", "tree-nuts", "onion-garlic"}, rules.Off)
	require.InDelta(t, 1.5, rules.SaltPerServing, 1e-9)
	require.True(t, rules.Mild)
	status, _, data = a.ask("PUT", "/api/kitchen", `{"measures":"metric","houseRules":{"preset":"cannibal"}}`)
	require.Equal(t, 422, status, string(data))
}

// Each of the fourteen allergens that a diner names is left out of new dishes; what
// nothing can leave out is refused and not forgotten.
func TestWhatDinersNameIsHeeded(t *testing.T) {
	a := open(t)
	for what, off := range map[string]string{"gluten": "gluten", "crustaceans": "crustaceans", "egg": "egg", "fish": "fish", "peanuts": "peanut", "soy": "soy", "milk": "milk",
		"nuts": "tree-nuts", "celery": "celery", "mustard": "mustard", "sesame": "sesame", "sulphites": "sulphites", "lupin": "lupin", "molluscs": "molluscs"} {
		status, _, data := a.ask("PUT", "/api/kitchen", `{"measures":"metric","diners":[{"name":"Wren","cannotEat":["`+what+`"]}]}`)
		require.Equal(t, 200, status, string(data))
		require.Equal(t, []string{off}, a.newDish(skink).Document.Decisions.HouseRules.Off, what)
	}
	status, _, data := a.ask("PUT", "/api/kitchen", `{"measures":"metric","diners":[{"name":"Wren","cannotEat":["soy","noise"]}]}`)
	require.Equal(t, 422, status, string(data))
	require.Contains(t, string(data), "diners[0].cannotEat[1]")
}

func TestTheRulesAreListedInWords(t *testing.T) {
	a := open(t)
	_, _, data := a.ask("GET", "/api/rules", nil)
	rules := into[server.RulesView](t, data)
	require.Len(t, rules.Presets, 6)
	require.Len(t, rules.Switches, 22)
	require.Contains(t, rules.Presets[4].Hard, "rock salt only")
}

func TestTheBalanceOfADish(t *testing.T) {
	a := open(t)
	d := a.newDish(skink)
	_, _, data := a.ask("POST", "/api/dishes/"+d.ID+"/proposals", nil)
	dec := into[[]server.Proposal](t, data)[0].Decisions
	status, _, data := a.ask("PUT", "/api/dishes/"+d.ID, server.SaveRequest{What: "x", Decisions: &dec}, "If-Match", strconv.FormatInt(d.Edit, 10))
	require.Equal(t, 200, status, string(data))
	status, _, data = a.ask("GET", "/api/dishes/"+d.ID+"/balance", nil)
	require.Equal(t, 200, status, string(data))
	sheet := into[server.BalanceView](t, data)
	require.InDelta(t, 4, sheet.Servings, 1e-9)
	require.Contains(t, sheet.Allergens.Gone, "fish")
	require.Len(t, sheet.Accounts, 5)
	for _, r := range sheet.Rules {
		require.Empty(t, r.Broken, r.Rule)
	}
	status, _, _ = a.ask("GET", "/api/dishes/nothing/balance", nil)
	require.Equal(t, 404, status)
}

func TestTheCardIsGivenOutInEveryFormat(t *testing.T) {
	a := open(t)
	d := a.newDish(skink)
	for format, kind := range map[string]string{"pdf": "application/pdf", "html": "text/html", "markdown": "text/markdown", "jsonld": "application/ld+json", "csv": "text/csv"} {
		status, head, data := a.ask("GET", "/api/dishes/"+d.ID+"/card/"+format, nil)
		require.Equal(t, 200, status, format)
		require.Contains(t, head.Get("Content-Type"), kind)
		require.Contains(t, head.Get("Content-Disposition"), "cullen-skink.")
		require.NotEmpty(t, data)
		if format == "markdown" {
			require.Contains(t, string(data), "## Not finished")
		}
	}
	status, _, data := a.ask("GET", "/api/dishes/"+d.ID+"/card/pdf?paper=letter", nil)
	require.Equal(t, 200, status)
	require.Contains(t, string(data), "612.00 792.00")
	status, _, _ = a.ask("GET", "/api/dishes/"+d.ID+"/card/docx", nil)
	require.Equal(t, 404, status)
}

func TestTheCardIsSizedToTheTable(t *testing.T) {
	a := open(t)
	d := a.newDish(skink)
	serves := d.Document.Original.Serves.Mid()
	status, _, data := a.ask("GET", fmt.Sprintf("/api/dishes/%s/card?servings=%g", d.ID, serves*3), nil)
	require.Equal(t, 200, status, string(data))
	sized := into[formats.Card](t, data)
	require.InDelta(t, 3, sized.Factor, 1e-9)
	require.InDelta(t, serves*3, sized.Dish.Serves.Mid(), 1e-9)
	require.NotEmpty(t, sized.Sizing)
	require.Len(t, sized.Beside, len(sized.Dish.Components))
	line := sized.Dish.Components[0].Lines[0]
	status, _, data = a.ask("GET", fmt.Sprintf("/api/dishes/%s/card?have=%g&line=0.0", d.ID, line.Mass()/2), nil)
	require.Equal(t, 200, status, string(data))
	require.InDelta(t, 1.5, into[formats.Card](t, data).Factor, 1e-9)
	status, _, data = a.ask("GET", "/api/dishes/"+d.ID+"/card?from=round:20&pan=round:40", nil)
	require.Equal(t, 200, status, string(data))
	require.InDelta(t, 4, into[formats.Card](t, data).Factor, 1e-9)
	status, _, data = a.ask("GET", fmt.Sprintf("/api/dishes/%s/card/markdown?servings=%g", d.ID, serves*3), nil)
	require.Equal(t, 200, status)
	require.Contains(t, string(data), "At this size")
	require.Contains(t, string(data), fmt.Sprintf("Serves %g", serves*3))
	for query, field := range map[string]string{"servings=many": "servings", "servings=0": "servings", "servings=4000": "servings", "factor=-1": "factor",
		"have=100&line=x": "line", "have=100&line=9.9": "line", "from=oval:3&pan=round:20": "from", "from=round:20&pan=?": "pan", "from=round:20&pan=round:24&by=weight": "by"} {
		status, _, data = a.ask("GET", "/api/dishes/"+d.ID+"/card?"+query, nil)
		require.Equal(t, 422, status, query)
		require.Contains(t, string(data), `"field":"`+field+`"`)
	}
}
