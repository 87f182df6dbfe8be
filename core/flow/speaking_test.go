package flow

import (
	"cmp"
	"fmt"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/recipe"
)

// Further ways of speaking, each on the least recipe that shows it.
func TestFurtherWaysOfSpeaking(t *testing.T) {
	hear(t, []way{
		{"the fat stays in the pan", "500 g beef|2 tbsp oil|2 onions", "Brown the beef in the oil, then take it out. Soften the onions in the same oil. Return the beef.", []string{"a0 brown/brown(0.0; with 0.1)", "a1 take out/remove(@a0)", "a2 soften/sweat(0.2; with @a0)", "a3 return/return(@a1; into @a2)"}},
		{"no verb at all", "300 g rice|120 g chicken|2 tbsp oil", "Heat the oil. Chicken in, 3 minutes. Lid on.", []string{"a0 heat/heat(0.2)", "a1 put in/add(0.1; into @a0; 3-3 min)", "a2 lid on/cover(@a1)"}},
		{"no more than a heat", "300 g dough|2 onions", "Top the dough with the onions. 200C, 25 minutes, till brown.", []string{"a0 top/top(0.0; with 0.1)", "a1 bake/bake(@a0; 25-25 min; 200 C; till brown)"}},
		{"a sign told by its shape", "4 egg whites|100 g sugar", "Whisk the whites to stiff peaks. Fold in the sugar.", []string{"a0 whisk/whisk(0.0; to stiff peaks)", "a1 fold in/fold(0.1; into @a0)"}},
		{"what is left in the pot", "500 g potatoes|1 l water|1 leek", "Boil the potatoes and leek in the water. Take the leek out and slice it. Blend what is left in the pot until smooth.", []string{"a0 boil/boil(0.0, 0.2; with 0.1)", "a1 take out/remove(@a0)", "a2 slice/slice(@a1)", "a3 blend/blend(@a0; until smooth)"}},
		{"a place already there", "200 g crumbs|80 g butter|300 ml cream", "Mix the crumbs with the butter and bake for 8 minutes. Whip the cream and spread over.", []string{"a0 mix/mix(0.0; with 0.1)", "a1 bake/bake(@a0; 8-8 min)", "a2 whip/whisk(0.2)", "a3 spread over/spread(@a2; into @a1)"}},
		{"vessels that are measures too", "300 ml custard|4 prunes", "Divide the prunes between four cups and pour the custard over them.", []string{"a0 divide/divide(0.1; into 'four cups)", "a1 pour/pour(0.0; into @a0)"}},
		{"pieces counted on the list", "8 slices white bread|50 g butter", "Cut each slice into four triangles. Fry in the butter.", []string{"a0 cut/cut(0.0; makes triangle)", "a1 fry in/fry(@a0; with 0.1)"}},
		{"the rest, said late", "8 slices white bread|60 g sultanas", "Cut the bread. Arrange half of it in a dish, scatter over the sultanas and cover with the rest.", []string{"a0 cut/cut(0.0)", "a1 arrange/layer(0.5×@a0; into 'dish)", "a2 scatter over/sprinkle(0.1; into @a1)", "a3 cover/cover(@a2; with 0.5×@a0)"}},
		{"what something is left to do", "2 onions|2 tbsp oil|1 l stock", "Fry the onions in the oil and let them colour. Add the stock and let it reduce by half.", []string{"a0 fry/fry(0.0; with 0.1)", "a1 let colour/sear(@a0)", "a2 add/add(0.2; into @a1)", "a3 let reduce/reduce(@a2; how: by half)"}},
		{"a list with a manner in it", "1 sausage|1 l water|2 onions", "Put the water, the sausage in one piece and the onions into a pot.", []string{"a0 put/place(0.1, 0.0, 0.2; into 'pot; how: in one piece)"}},
		{"one verb, two times", "200 g beans|1 cabbage", "Blanch the beans for 3 minutes, the cabbage for 1 minute; refresh everything in iced water.", []string{"a0 blanch/blanch(0.0; 3-3 min)", "a1 blanch/blanch(0.1; 1-1 min)", "a2 refresh/rinse(@a0, @a1; with 'iced water)"}},
		{"while something goes in", "100 g flour|300 ml milk|2 eggs", "Whisk the flour with the eggs while you pour in the milk.", []string{"a0 whisk/whisk(0.0; with 0.2)", "a1 pour in/pour(0.1; into @a0)", "remark: while you"}},
		{"a remark that says how long", "2 onions|2 tbsp oil", "Fry the onions in the oil until golden, which takes a good 20 minutes.", []string{"a0 fry/fry(0.0; with 0.1; 20-20 min; until golden; how: which takes a good 20 minutes)"}},
		{"before other work", "200 ml milk|2 eggs|50 g cheese", "Warm the milk. Let it cool a bit before beating in the eggs and cheese.", []string{"a0 warm/warm(0.0)", "a1 let cool/cool(@a0; how: a bit)", "a2 beat in/beat(0.1, 0.2; into @a1)", "remark: before"}},
		{"lifted out, and the pot goes on", "1 kg steak|2 l water", "Simmer the steak in the water. Lift out the steak and let it cool; strain.", []string{"a0 simmer/simmer(0.0; with 0.1)", "a1 lift out/remove(@a0)", "a2 let cool/cool(@a1)", "a3 strain/strain(@a0)"}},
		{"something put right that nobody lists", "300 g rice", "Boil the rice. Taste and correct the salt.", []string{"a0 boil/boil(0.0)", "a1 taste/taste(@a0)", "a2 correct/season(@a1; with 'salt)"}},
		{"something that may go in", "200 g chocolate|1 tbsp rum", "Melt the chocolate. Beat in the rum, if you are using it.", []string{"a0 melt/melt(0.0)", "a1 beat in/beat(0.1; into @a0; how: if you are using it)"}},
		{"over a sieve, and under a tap", "500 g beans", "Boil the beans, cool under the tap and press through a fine sieve.", []string{"a0 boil/boil(0.0)", "a1 cool under/cool(@a0; how: under the tap)", "a2 press through/strain(@a1; how: through a fine sieve)"}},
		{"a width by a length", "500 g puff pastry", "Roll out the pastry to 30 x 40 cm.", []string{"a0 roll out/roll(0.0)"}},
		{"a word of the text's own", "60 g butter|70 g flour|400 ml stock", "Melt the butter, stir in the flour and whisk in the stock. Roll the stiff ragout into balls the size of a walnut.", []string{"a0 melt/melt(0.0)", "a1 stir in/stir(0.1; into @a0)", "a2 whisk in/whisk(0.2; into @a1)", "a3 roll into balls/shape(@a2; makes ball; how: the size of a walnut)"}},
		{"some of which something is said", "1 kg mussels|200 ml wine", "Steam the mussels in the wine. Discard any that stay closed.", []string{"a0 steam/steam(0.0; with 0.1)", "a1 discard/discard(0.1×@a0)"}},
		{"what is cut of a juice is another thing", "120 ml lime juice|300 ml cream", "Whisk the lime juice into the cream. Garnish with lime slices.", []string{"a0 whisk/whisk(0.0; into 0.1)", "a1 garnish/top(@a0; with 'lime slices)"}},
		{"work that goes on", "80 g oil|2 onions", "Heat the oil and keep stirring for 3 minutes. Carry on cooking until it is brown. Keep it simmering for an hour.", []string{"a0 heat/heat(0.0)", "a1 keep stirring/stir(@a0; 3-3 min)", "a2 carry on cooking/cook(@a1; until it is brown)", "a3 keep simmering/simmer(@a2; 60-60 min)"}},
		{"what is kept is no work that goes on", "300 g rice|1 l water", "Boil the rice in the water. Keep the cooking water.", []string{"a0 boil/boil(0.0; with 0.1)", "a1 keep/reserve(@a0)"}},
		{"two verbs to one tin", "115 g butter|190 g flour|3 bananas", "Heat the oven to 175C and butter and flour a loaf tin. Melt the butter.", []string{"a0 heat the oven/preheat('oven; 175 C)", "a1 butter/grease('loaf tin; with 0.043×0.0)", "a2 flour/coat('loaf tin; with 0.1)", "a3 melt/melt(0.957×0.0)"}},
		{"what is made from what follows", "300 g flour|5 g psyllium|100 ml water", "Make a firm dough from the flour, psyllium gel and water.", []string{"a0 make/mix(0.0, 'psyllium gel, 0.2; makes dough)"}},
		{"what is made with what follows", "40 g oil|300 g lentils|400 ml stock", "Mash the lentils. Make a thick sauce with the oil and stock.", []string{"a0 mash/mash(0.1)", "a1 make/mix(0.0, 0.2; makes sauce)"}},
		{"the sauce that was made, beside one of the list", "600 g tofu|2 tsp fish sauce||Peanut sauce|150 g peanuts|200 ml coconut milk", "Grill the tofu with the fish sauce. Simmer the peanuts in the coconut milk. Serve the tofu with the sauce.", []string{"a0 grill/grill(0.0; with 0.1)", "a1 simmer/simmer(1.0; with 1.1)", "a2 serve/serve(@a0; with @a1)"}},
		{"the other pieces of a line", "4 slices white bread|2 slices ham|1 tsp mustard", "Spread two slices of bread with the mustard, put a slice of ham on each and top with the other slices.", []string{"a0 spread/spread(0.5×0.0; with 0.2)", "a1 put/place(0.1; into @a0)", "a2 top/top(@a1; with 0.5×0.0)"}},
		{"half the salt of another day", "1 cabbage", "Toss the cabbage with a teaspoon of salt.", []string{"a0 toss/toss(0.0; with 'salt)"}},
	})
}

// way is a way of speaking: the lines, the method, and what is read of it.
type way struct {
	name, lines, method string
	want                []string
}

// hear holds ways of speaking to what is read of them.
func hear(t *testing.T, ways []way) {
	t.Helper()
	for _, c := range ways {
		t.Run(c.name, func(t *testing.T) { require.Equal(t, c.want, heard(t, c.lines, c.method)) })
	}
}

// heard is what is read of a method over a few lines: actions, asides, questions.
func heard(t *testing.T, lines, text string) []string {
	t.Helper()
	d := read(t, "Dish\nServes 4\n\n"+strings.ReplaceAll(lines, "|", "\n")+"\n\nMethod\n1. "+text)
	var got, ids []string
	for _, s := range asTold(d) {
		for _, a := range s.Actions {
			got, ids = append(got, show(a)), append(ids, a.ID, fmt.Sprintf("a%d", len(ids)/2))
		}
		for _, a := range s.Asides {
			got = append(got, a.Kind+": "+string([]rune(s.Text)[a.From:a.Upto]))
		}
		for _, q := range s.Questions {
			got = append(got, "?? "+q.Text)
		}
	}
	for i := range got {
		got[i] = strings.NewReplacer(ids...).Replace(got[i])
	}
	return got
}

// asTold are the steps of all parts in the order in which they were told.
func asTold(d recipe.Dish) []recipe.Step {
	var all []recipe.Step
	for _, c := range d.Components {
		all = append(all, c.Steps...)
	}
	slices.SortStableFunc(all, func(a, b recipe.Step) int { return cmp.Compare(a.Order, b.Order) })
	return all
}

// What a step has made under a name with a joining word is one thing by that name.
func TestAMadeThingKeepsANameOfTwo(t *testing.T) {
	d := read(t, "Stew\n\n400 g tempeh\n300 g mushrooms\n1 l stock\n\nMethod\n1. Sear the mushrooms and the tempeh together.\n2. Boil the stock.\n3. Add the mushrooms and tempeh to the stock.")
	d.Components[0].Steps[0].Makes = "mushrooms and tempeh"
	reader(t).Dish(&d)
	add := d.Components[0].Steps[2].Actions[0]
	require.Len(t, add.To, 1)
	require.NotNil(t, add.To[0].Made)
}
