package server_test

import (
	"encoding/json"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/server"
)

func TestACorrectionOfAFoodReachesEveryAnswer(t *testing.T) {
	a := open(t)
	convert := `{"food":"carrot","amount":{"low":2,"high":2,"unit":"piece"},"to":"g"}`
	grams := func() float64 {
		status, _, data := a.ask("POST", "/api/convert", convert)
		require.Equal(t, 200, status, string(data))
		return into[server.ConvertAnswer](t, data).Amount.High
	}
	before := grams()
	status, _, data := a.ask("PUT", "/api/larder/foods/carrot", `{"id":"carrot","pieces":{"piece":100},"note":"scale"}`)
	require.Equal(t, 200, status, string(data))
	v := into[server.FoodView](t, data)
	require.Equal(t, larder.Corrected, v.Own)
	require.Equal(t, "scale", v.Entry.Note)
	require.InDelta(t, 200, grams(), 0.001)
	status, _, _ = a.ask("DELETE", "/api/larder/foods/carrot", nil)
	require.Equal(t, 200, status)
	require.InDelta(t, before, grams(), 0.001)
	status, _, _ = a.ask("DELETE", "/api/larder/foods/carrot", nil)
	require.Equal(t, 404, status, "there is nothing to take back")
}

func TestAFoodOfTheCooksOwnStaysWhileADishUsesIt(t *testing.T) {
	a := open(t)
	status, _, data := a.ask("PUT", "/api/larder/foods/sea-crumb", `{"id":"sea-crumb","name":"sea crumb","origin":"plant","density":0.3}`)
	require.Equal(t, 200, status, string(data))
	text, err := json.Marshal(server.CreateRequest{Text: "Soup\n\n2 cups sea crumb\n1 onion\n\nMethod\n1. Boil the onion with the sea crumb for 10 minutes."})
	require.NoError(t, err)
	status, _, data = a.ask("POST", "/api/dishes", string(text))
	require.Equal(t, 201, status, string(data))
	status, _, data = a.ask("DELETE", "/api/larder/foods/sea-crumb", nil)
	require.Equal(t, 409, status)
	require.Contains(t, string(data), "Soup")
	status, _, data = a.ask("PUT", "/api/larder/foods/other-crumb", `{"id":"other-crumb","name":"other crumb","origin":"moon"}`)
	require.Equal(t, 422, status)
	require.Contains(t, string(data), "origin")
	status, _, data = a.ask("GET", "/api/larder/foods?shelf=own", nil)
	require.Equal(t, 200, status)
	require.Len(t, into[[]server.FoodHit](t, data), 1)
}

func TestTheKitchensSettingsAreKept(t *testing.T) {
	a := open(t)
	_, _, data := a.ask("GET", "/api/kitchen", nil)
	require.Equal(t, "metric", string(into[server.Settings](t, data).Measures))
	status, _, data := a.ask("PUT", "/api/kitchen", `{"measures":"imperial","diners":[{"name":" Wren ","cannotEat":["soy"]}]}`)
	require.Equal(t, 200, status, string(data))
	_, _, data = a.ask("GET", "/api/kitchen", nil)
	got := into[server.Settings](t, data)
	require.Equal(t, "imperial", string(got.Measures))
	require.Equal(t, []server.Diner{{Name: "Wren", CannotEat: []string{"soy"}}}, got.Diners)
	for _, bad := range []string{`{"measures":"cubits"}`, `{"measures":"us","diners":[{"name":""}]}`} {
		status, _, _ := a.ask("PUT", "/api/kitchen", bad)
		require.Equal(t, 422, status, bad)
	}
}

func TestATableNamesTheFoodsOfItsLines(t *testing.T) {
	a := open(t)
	table := "component,kind,text,food\n,name,Broth,\n,line,100 g dragon scales,leek\n,line,1 onion,\n,line,1 carrot,nonsense\n,step,Boil it all for an hour.,\n"
	body, err := json.Marshal(map[string]string{"text": table})
	require.NoError(t, err)
	status, _, data := a.ask("POST", "/api/read", string(body))
	require.Equal(t, 200, status, string(data))
	lines := into[recipe.Dish](t, data).Components[0].Lines
	require.Equal(t, "leek", lines[0].FoodID())
	require.Contains(t, lines[0].Why, "Named by the cook")
	require.Equal(t, "onion", lines[1].FoodID())
	require.Equal(t, "carrot", lines[2].FoodID(), "a food that is not known is read from the text")
	body, err = json.Marshal(map[string]string{"text": "kind,text\nsong,la", "format": "csv"})
	require.NoError(t, err)
	status, _, data = a.ask("POST", "/api/read", string(body))
	require.Equal(t, 400, status)
	require.Contains(t, string(data), "row 2")
}

func TestCorrectedAllergensReachTheRules(t *testing.T) {
	a := open(t)
	adapt := func() string {
		body, err := json.Marshal(map[string]string{"text": "Stew\n\n500 g beef mince\n1 onion\n\nMethod\n1. Brown the mince with the onion for 10 minutes."})
		require.NoError(t, err)
		_, _, read := a.ask("POST", "/api/read", string(body))
		status, _, data := a.ask("POST", "/api/adapt", `{"original":`+string(read)+`,"houseRules":{"preset":"whole-food","off":["tree-nuts"]},"aim":"closest"}`)
		require.Equal(t, 200, status, string(data))
		return string(data)
	}
	before := adapt()
	require.NotContains(t, before, `"food":"walnut"`)
	require.Contains(t, before, `"food":"bulgur"`)
	status, _, data := a.ask("PUT", "/api/larder/foods/bulgur", `{"id":"bulgur","allergens":["nuts"]}`)
	require.Equal(t, 200, status, string(data))
	require.NotContains(t, adapt(), `"food":"bulgur"`, "what the cook says holds nuts is left out too")
}

func TestTheShelvesCountTheirFoods(t *testing.T) {
	a := open(t)
	_, _, data := a.ask("GET", "/api/larder/shelves", nil)
	total := 0
	for _, s := range into[[]server.Shelf](t, data) {
		_, _, data := a.ask("GET", "/api/larder/foods?shelf="+s.ID, nil)
		require.Len(t, into[[]server.FoodHit](t, data), s.Foods, s.ID)
		total += s.Foods
	}
	require.GreaterOrEqual(t, total, 1600)
}
