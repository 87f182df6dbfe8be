package server_test

import (
	"fmt"
	"reflect"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/recipe"
	"yembra/core/swap"
	"yembra/formats"
	"yembra/server"
)

// nilLists finds the lists of a decoded answer that were null: a screen walks every
// list it is given. Fields that may be left out are not looked into.
func nilLists(v reflect.Value, path string) []string {
	var out []string
	switch v.Kind() {
	case reflect.Pointer, reflect.Interface:
		if !v.IsNil() {
			out = nilLists(v.Elem(), path)
		}
	case reflect.Slice:
		if v.IsNil() && v.Type().Elem().Kind() != reflect.Uint8 {
			return []string{path}
		}
		for i := range v.Len() {
			out = append(out, nilLists(v.Index(i), fmt.Sprintf("%s[%d]", path, i))...)
		}
	case reflect.Struct:
		for i := range v.NumField() {
			f := v.Type().Field(i)
			if tag := f.Tag.Get("json"); f.IsExported() && tag != "-" && !strings.Contains(tag, "omitempty") && !strings.Contains(tag, "omitzero") {
				out = append(out, nilLists(v.Field(i), path+"."+f.Name)...)
			}
		}
	}
	return out
}

func TestListsAreNeverNull(t *testing.T) {
	a := open(t)
	for _, text := range []string{
		skink,
		"Soup\n\n1 onion\n2 carrots",
		"Soup\n\n200 g beef\n1 egg",
		"Method\n1. Boil the potatoes for 20 minutes.",
		"Two things\n\nFor the soup\n1 onion\n\nFor the top\n30 g butter\n\nMethod\n1. Fry the onion in the butter.",
		"Only a name",
	} {
		_, _, read := a.ask("POST", "/api/read", map[string]string{"text": text})
		require.Empty(t, nilLists(reflect.ValueOf(into[recipe.Dish](t, read)), "read"), text)
		status, _, body := a.ask("POST", "/api/adapt", fmt.Sprintf(`{"original": %s}`, read))
		require.Equal(t, 200, status, string(body))
		require.Empty(t, nilLists(reflect.ValueOf(into[swap.Adaptation](t, body)), "adapt"), text)
		if !strings.Contains(text, "onion") && !strings.Contains(text, "egg") {
			continue
		}
		status, _, body = a.ask("POST", "/api/dishes", map[string]string{"text": text})
		require.Equal(t, 201, status, string(body))
		dish := into[server.DishView](t, body)
		require.Empty(t, nilLists(reflect.ValueOf(dish), "dish"), text)
		_, _, body = a.ask("GET", "/api/dishes/"+dish.ID+"/card", nil)
		require.Empty(t, nilLists(reflect.ValueOf(into[formats.Card](t, body)), "card"), text)
	}
	require.NotEmpty(t, nilLists(reflect.ValueOf(swap.Adaptation{}), "x"), "the walk finds nulls")
}
