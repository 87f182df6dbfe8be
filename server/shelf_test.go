package server_test

import (
	"encoding/json"
	"fmt"
	"net/url"
	"slices"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/server"
)

func (a app) shelf(query string) server.ShelfView {
	a.t.Helper()
	status, _, data := a.ask("GET", "/api/dishes"+query, nil)
	require.Equal(a.t, 200, status, string(data))
	return into[server.ShelfView](a.t, data)
}

func names(v server.ShelfView) (out []string) {
	for _, d := range v.Dishes {
		out = append(out, d.Name)
	}
	return out
}

func TestTheShelfShowsWhatTheDishIs(t *testing.T) {
	a := open(t)
	d := a.adapted(skink)
	v := a.shelf("")
	require.Len(t, v.Dishes, 1)
	row := v.Dishes[0]
	require.Equal(t, d.Adaptation.Tally, row.Tally)
	require.Equal(t, len(d.Adaptation.Swaps), row.Swaps)
	require.Equal(t, "decided", row.State)
	require.False(t, row.Stale)
	require.Len(t, row.Threads, len(d.Adaptation.Traits))
	for i, x := range d.Adaptation.Traits {
		require.InDelta(t, x.Steps, row.Threads[i].Steps, 1e-9)
	}
	require.NotEmpty(t, row.Allergens)

	// Undo brings back what the shelf showed, in the same step.
	status, _, data := a.ask("POST", "/api/dishes/"+d.ID+"/undo", nil, "If-Match", fmt.Sprintf("%q", fmt.Sprint(d.Edit)))
	require.Equal(t, 200, status, string(data))
	require.Equal(t, "original", a.shelf("").Dishes[0].State)
	edit := fmt.Sprintf("%q", fmt.Sprint(d.Edit+1))
	status, _, data = a.ask("PUT", "/api/dishes/"+d.ID, `{"settled": true, "labels": ["winter", " winter ", "fish"], "from": "the harbour kitchen", "country": "826", "notes": {"": "with bread"}, "disputed": [{"point": "cream or none", "chosen": "none", "why": "clearer"}]}`, "If-Match", edit)
	require.Equal(t, 200, status, string(data))
	row = a.shelf("").Dishes[0]
	require.Equal(t, "settled", row.State)
	require.Equal(t, []string{"winter", "fish"}, row.Labels)
	require.Equal(t, "Northern Europe", row.Region)
	saved := a.seen(d.ID, "").Document
	require.Equal(t, "with bread", saved.Notes[""])
	require.Equal(t, "none", saved.Disputed[0].Chosen)
	for _, wrong := range []string{`{"labels": ["a|b"]}`, `{"disputed": [{"point": " "}]}`, `{"from": "` + string(make([]byte, 0)) + fmt.Sprintf("%0300d", 1) + `"}`} {
		status, _, _ = a.ask("PUT", "/api/dishes/"+d.ID, wrong, "If-Match", fmt.Sprintf("%q", fmt.Sprint(d.Edit+2)))
		require.Equal(t, 422, status, wrong)
	}
}

func TestTheShelfIsNarrowedSortedAndPaged(t *testing.T) {
	a := open(t)
	leek := "Leek soup\n\nServes 4\n\n3 leeks\n500 g potatoes\n1 l water\n\nMethod\n\n1. Simmer for 20 minutes."
	for i, x := range []struct{ text, place string }{{skink, "Scotland"}, {leek, "Wales, United Kingdom"}, {"Élan stew" + leek[9:], "France"}} {
		status, _, data := a.ask("POST", "/api/dishes", map[string]string{"text": x.text, "place": x.place})
		require.Equal(t, 201, status, "%d %s", i, data)
	}
	require.Equal(t, []string{"Élan stew", "Leek soup", "Cullen skink"}, names(a.shelf("")))
	require.Equal(t, []string{"Cullen skink", "Élan stew", "Leek soup"}, names(a.shelf("?sort=name")))
	require.Equal(t, []string{"Élan stew", "Cullen skink", "Leek soup"}, names(a.shelf("?sort=place")))
	page := a.shelf("?sort=name&most=2&from=1")
	require.Equal(t, []string{"Élan stew", "Leek soup"}, names(page))
	require.Equal(t, 3, page.All)
	require.Equal(t, []string{"Élan stew"}, names(a.shelf("?q=elan")))
	require.Equal(t, []string{"Leek soup", "Élan stew"}, names(a.shelf("?q=lee")), "what is so called before what holds it")
	require.Equal(t, []string{"Leek soup"}, names(a.shelf("?country=826")), "a place that names its country")
	require.Equal(t, []string{"Élan stew"}, names(a.shelf("?region="+url.QueryEscape("Western Europe"))))
	require.Equal(t, []string{"Leek soup"}, names(a.shelf("?kitchen="+url.QueryEscape("British and Irish"))))
	require.Equal(t, []string{"Cullen skink"}, names(a.shelf("?state=original")))
	require.ElementsMatch(t, []string{"Leek soup", "Élan stew"}, names(a.shelf("?rules="+url.QueryEscape("no soy,Whole food"))))
	require.Len(t, a.shelf("?without=milk,celery").Dishes, 3, "an adaptation that is open holds no milk")
	for _, wrong := range []string{"?state=lost", "?sort=colour", "?from=-1", "?most=0", "?most=9999", "?from=x"} {
		status, _, _ := a.ask("GET", "/api/dishes"+wrong, nil)
		require.Equal(t, 422, status, wrong)
	}

	// From what is in the house.
	_, _, data := a.ask("GET", "/api/kitchen", nil)
	var settings map[string]json.RawMessage
	require.NoError(t, json.Unmarshal(data, &settings))
	settings["house"] = json.RawMessage(`["leek"]`)
	delete(settings, "unfit")
	status, _, data := a.ask("PUT", "/api/kitchen", settings)
	require.Equal(t, 200, status, string(data))
	near := a.shelf("?house=true")
	require.Equal(t, []string{"potato"}, near.Dishes[0].Missing)

	_, _, data = a.ask("GET", "/api/shelf", nil)
	f := into[server.ShelfFacets](t, data)
	require.Equal(t, map[string]int{"decided": 1}, f.Countries["826"])
	require.Contains(t, f.Rules, "no soy")
	require.NotContains(t, f.Rules, "no deep-frying", "that is no matter of foods")
	require.Contains(t, f.Allergens, "milk")
}

func TestDishesArePutAwayTakenAndBroughtBack(t *testing.T) {
	t.Parallel()
	a := open(t)
	d := a.newDish(skink)
	many := func(do string, ids ...string) int {
		status, _, _ := a.ask("POST", "/api/shelf", server.ManyRequest{Do: do, IDs: ids})
		return status
	}
	status, _, data := a.ask("POST", "/api/dishes/"+d.ID+"/copy", server.CopyRequest{})
	require.Equal(t, 201, status, string(data))
	other := into[server.DishView](t, data)
	require.Equal(t, "Cullen skink, copy", other.Document.Name)

	require.Equal(t, 204, many("away", d.ID, other.ID))
	require.Empty(t, a.shelf("").Dishes)
	require.Len(t, a.shelf("?away=true").Dishes, 2)
	require.Equal(t, 204, many("back", d.ID))
	require.Equal(t, []string{"Cullen skink"}, names(a.shelf("")))
	require.Equal(t, 200, func() int { status, _, _ := a.ask("GET", "/api/dishes/"+other.ID, nil); return status }(), "what is put away can be opened")

	_, _, data = a.ask("POST", "/api/dishes/"+d.ID+"/trials", server.TrialRequest{})
	require.NotEmpty(t, data)
	status, _, data = a.ask("POST", "/api/days", server.CreateDayRequest{Name: "Supper", ServeAt: "2026-12-05T19:30:00+01:00", Dishes: []server.DayDish{{ID: d.ID, Servings: 4}}})
	require.Equal(t, 201, status, string(data))
	_, _, data = a.ask("GET", "/api/dishes/"+d.ID+"/needs", nil)
	needs := into[server.NeedsView](t, data)
	require.Equal(t, "Supper", needs.Days[0].Name)
	require.Equal(t, 1, needs.Trials)
	require.Equal(t, 30, needs.Until)

	require.Equal(t, 204, many("take", d.ID))
	for path, want := range map[string]int{"/api/dishes/" + d.ID: 404, "/api/dishes/" + d.ID + "/card": 404, "/api/days": 200} {
		status, _, data = a.ask("GET", path, nil)
		require.Equal(t, want, status, "%s %s", path, data)
	}
	require.Len(t, a.shelf("?gone=true").Dishes, 1)
	_, _, archive := a.ask("GET", "/api/archive", nil)
	b := open(t)
	status, _, data = b.ask("POST", "/api/archive", string(archive))
	require.Equal(t, 200, status, string(data))
	require.Empty(t, b.shelf("").Dishes)
	require.Len(t, b.shelf("?gone=true").Dishes, 1)
	require.Len(t, b.shelf("?away=true").Dishes, 1)
	require.Equal(t, 204, many("bring", d.ID))
	require.Equal(t, "Cullen skink", a.seen(d.ID, "").Document.Name)
	require.Equal(t, 404, many("away", "nobody"))
	require.Equal(t, 422, many("burn", d.ID))
	require.Equal(t, 422, many("away"))

	status, _, data = a.ask("POST", "/api/dishes/"+d.ID+"/variants", server.VariantRequest{Name: "with cream"})
	require.Equal(t, 201, status, string(data))
	_, _, data = a.ask("GET", "/api/dishes/"+into[server.DishView](t, data).ID+"/variants", nil)
	schools := into[[]server.DishSummary](t, data)
	require.Len(t, schools, 2)
	require.True(t, slices.ContainsFunc(schools, func(x server.DishSummary) bool { return x.Variant == "with cream" }))
}

func TestTheShelfKnowsWhoAteAndHowItWasLiked(t *testing.T) {
	a := open(t)
	d := a.adapted(skink)
	table := a.served(d.ID, "smoke", -1)
	require.NoError(t, a.kitchen.KeepSheet(t.Context(), table.ID, server.SheetRequest{Taster: "x", Name: "Guest 9", Said: []server.SheetTrial{{Letter: "A", Liking: 9}}}))
	shot := a.photograph("dish", d.ID)
	require.NoError(t, a.kitchen.Tables(t.Context()))
	row := a.shelf("?eater=" + url.QueryEscape("Guest 9")).Dishes[0]
	require.Equal(t, "tried", row.State)
	require.Equal(t, 1, row.Trials)
	require.InDelta(t, 45.0/7, *row.Liking, 1e-9)
	require.Equal(t, shot, row.Picture)
	require.Empty(t, a.shelf("?eater=Nobody").Dishes)
	a.ask("DELETE", "/api/pictures/"+shot, nil)
	require.NoError(t, a.kitchen.Tables(t.Context()))
	require.Empty(t, a.shelf("").Dishes[0].Picture)
}

// What the shelf shows is worked out anew when what the kitchen knows changes.
func TestTheShelfIsWorkedOutAnew(t *testing.T) {
	a, _ := openIn(t, t.TempDir())
	d := a.adapted(skink)
	before := a.shelf("").Dishes[0]
	table := a.served(d.ID, "richness", -2)
	a.ask("POST", "/api/tastings/"+table.ID+"/close", nil)
	require.True(t, a.shelf("").Dishes[0].Stale, "until then it says so")
	require.NoError(t, a.kitchen.WorkShelf(t.Context()))
	after := a.shelf("").Dishes[0]
	require.False(t, after.Stale)
	at := slices.IndexFunc(after.Threads, func(x server.ThreadMark) bool { return x.Trait == "richness" })
	require.Less(t, after.Threads[at].Steps, before.Threads[at].Steps)
}

func TestATraditionalDishIsWishedForAndBegun(t *testing.T) {
	t.Parallel()
	a := open(t)
	list := func(query string) []server.TodoDish {
		status, _, data := a.ask("GET", "/api/todo"+query, nil)
		require.Equal(t, 200, status, string(data))
		return into[[]server.TodoDish](t, data)
	}
	greek := list("?country=300")
	require.Greater(t, len(greek), 4)
	require.NotEmpty(t, list("?region="+url.QueryEscape("Southern Europe")+"&q=cheese%20melt"))
	key := greek[0].Key
	status, _, _ := a.ask("PUT", "/api/todo/"+key, server.WishRequest{Wish: true})
	require.Equal(t, 204, status)
	require.Equal(t, key, list("?wishes=true")[0].Key)
	status, _, data := a.ask("POST", "/api/todo/"+key, nil)
	require.Equal(t, 201, status, string(data))
	d := into[server.DishView](t, data)
	require.Equal(t, "300", d.Document.Country)
	require.NotEmpty(t, d.Document.Notes[""])
	require.NotEmpty(t, d.Document.Decisions.Pins)
	require.Empty(t, d.Faults, "an empty original can be opened")
	require.Equal(t, "original", a.shelf("").Dishes[0].State)
	at := slices.IndexFunc(list("?country=300"), func(x server.TodoDish) bool { return x.Key == key })
	require.Equal(t, d.ID, list("?country=300")[at].Dish)
	status, _, _ = a.ask("POST", "/api/todo/none", nil)
	require.Equal(t, 404, status)
	_, _, archive := a.ask("GET", "/api/archive", nil)
	b := open(t)
	status, _, data = b.ask("POST", "/api/archive", string(archive))
	require.Equal(t, 200, status, string(data))
}

func TestWhatWasMasteredServesInDishesThatAreNear(t *testing.T) {
	a := open(t)
	d := a.adapted(skink)
	other := a.newDish("Fish pie\n\nServes 4\n\n400 g smoked haddock\n500 ml whole milk\n50 g butter\n500 g potatoes\n\nMethod\n\n1. Poach the haddock in the milk for 10 minutes.\n2. Mash the potatoes with the butter.")
	a.newDish("Fruit salad\n\nServes 4\n\n2 apples\n2 pears\n\nMethod\n\n1. Slice the fruit.")
	_, _, data := a.ask("GET", "/api/dishes/"+d.ID+"/near", nil)
	near := into[[]server.NearDish](t, data)
	require.Len(t, near, 1)
	require.Equal(t, other.ID, near[0].ID)
	require.Regexp(t, "^it rests on .+, for which you have .+ here(, and both live from .+)?$", near[0].Say)

	status, head, data := a.ask("GET", "/api/shelf/cards?ids="+d.ID+","+other.ID, nil)
	require.Equal(t, 200, status)
	require.Equal(t, "application/zip", head.Get("Content-Type"))
	require.Equal(t, "PK", string(data[:2]))
	status, _, _ = a.ask("GET", "/api/shelf/cards", nil)
	require.Equal(t, 422, status)
	status, _, _ = a.ask("POST", "/api/shelf/examples", nil)
	require.Equal(t, 409, status, "this kitchen has dishes")
}
