package recipe_test

import (
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/recipe"
)

// reads is what a line of a list is read as: its amount, its mass, its name, its food, what is said of it, where it comes from, and
// what else it offers or asks for.
func reads(l recipe.Line) string {
	amount := "-"
	if l.Amount != nil {
		amount = fmt.Sprintf("%.4g-%.4g %s", l.Amount.Low, l.Amount.High, l.Amount.Unit)
	}
	said := []string{amount, fmt.Sprintf("%.0f g", l.Mass()), l.Name, l.FoodID(), l.Preparation, string(l.Origin)}
	for _, a := range l.Alternatives {
		said = append(said, "or "+a.Food)
	}
	for _, a := range l.Also {
		said = append(said, "and "+a.Food)
	}
	return strings.Join(said, " | ")
}

// Amounts said twice, packs of packs, lengths, sticks, choices, pairs and parts, each on its own line.
func TestLinesAreReadAsTheyAreMeant(t *testing.T) {
	for text, want := range map[string]string{
		"1 x 400 g tin tomatoes":          "1-1 can | 400 g | tomatoes | tinned-tomatoes |  | plant",
		"2 400-g packets tofu":            "2-2 can | 800 g | tofu | firm-tofu |  | plant",
		"1 x 500 g block tofu":            "1-1 block | 500 g | tofu | firm-tofu |  | plant",
		"2 x 200 g bunches asparagus":     "2-2 bunch | 400 g | asparagus | asparagus |  | plant",
		"1 (14 oz/400 g) can chickpeas":   "1-1 can | 238 g | chickpeas | chickpeas |  | plant",
		"1 (14 oz, 400 g) can chickpeas":  "1-1 can | 238 g | chickpeas | chickpeas |  | plant",
		"3 (6 ounce) salmon fillets":      "3-3 piece | 510 g | salmon fillets | salmon |  | animal",
		"1 14-oz firm tofu block":         "1-1 piece | 397 g | firm tofu block | firm-tofu |  | plant",
		"1 lb 2 oz beef":                  "1.125-1.125 lb | 510 g | beef | beef-stewing |  | animal",
		"1 lb + 2 oz beef":                "1.125-1.125 lb | 510 g | beef | beef-stewing |  | animal",
		"1 lb & 2 oz beef":                "1.125-1.125 lb | 510 g | beef | beef-stewing |  | animal",
		"1 lb, 2 oz beef":                 "1.125-1.125 lb | 510 g | beef | beef-stewing |  | animal",
		"1 cup 2 tbsp milk":               "1.12-1.12 cup | 288 g | milk | whole-milk |  | animal",
		"1 cup, 2 tbsp milk":              "1.12-1.12 cup | 288 g | milk | whole-milk |  | animal",
		"8 oz (225 g) cheddar":            "8-8 oz | 225 g | cheddar | cheddar |  | animal",
		"225 g (8 oz) cheddar":            "225-225 g | 225 g | cheddar | cheddar |  | animal",
		"8 oz [225 g] cheddar":            "8-8 oz | 225 g | cheddar | cheddar |  | animal",
		"1 lb (450 g / 2 cups) mince":     "1-1 lb | 450 g | mince | beef-mince |  | animal",
		"1 cup [120 g, sifted] flour":     "1-1 cup | 120 g | flour | plain-flour |  | plant",
		"1 lb (16 oz) beef":               "1-1 lb | 454 g | beef | beef-stewing |  | animal",
		"500 g (0.5 kg) beef":             "500-500 g | 500 g | beef | beef-stewing |  | animal",
		"2-inch piece ginger":             "2-2 piece | 25 g | ginger | ginger |  | plant",
		"1 2-inch piece ginger":           "1-1 piece | 25 g | ginger | ginger |  | plant",
		"1 (3-inch) piece ginger":         "1-1 piece | 38 g | ginger | ginger |  | plant",
		"1 3 inch piece ginger":           "1-1 piece | 38 g | ginger | ginger |  | plant",
		"5 cm piece ginger":               "5-5 piece | 25 g | ginger | ginger |  | plant",
		"2 5-cm cinnamon sticks":          "2-2 stick | 8 g | cinnamon sticks | cinnamon |  | plant",
		"1 stick butter":                  "1-1 stick | 113 g | butter | butter |  | animal",
		"1 stick margarine":               "1-1 stick | 113 g | margarine | margarine |  | mixed",
		"1 stick celery":                  "1-1 stick | 50 g | celery | celery |  | plant",
		"1 stick lard":                    "1-1 stick | 113 g | lard | lard |  | animal",
		"2 sticks cinnamon":               "2-2 stick | 8 g | cinnamon | cinnamon |  | plant",
		"1 stick olive oil":               "1-1 stick | 113 g | olive oil | olive-oil |  | plant",
		"teaspoon of salt":                "1-1 tsp | 6 g | salt | salt |  | mineral",
		"glug of oil":                     "1-1 glug | 14 g | oil | vegetable-oil |  | plant",
		"dash of milk":                    "1-1 dash | 1 g | milk | whole-milk |  | animal",
		"4 cloves (garlic)":               "4-4 piece | 0 g | cloves | clove-spice | garlic | plant",
		"4 cloves (of one bulb), chopped": "4-4 piece | 0 g | cloves | clove-spice | chopped, of one bulb | plant",
		"4 cloves":                        "4-4 piece | 0 g | cloves | clove-spice |  | plant",
		"coconut cream":                   "- | 0 g | coconut cream | coconut-cream |  | plant",
		"peanut butter":                   "- | 0 g | peanut butter | peanut-butter |  | plant",
		"oat milk":                        "- | 0 g | oat milk | oat-milk |  | plant",
		"almond cheese":                   "- | 0 g | almond cheese |  |  | plant",
		"firm white fillets such as cod":  "- | 0 g | fillets | cod | firm white, such as cod | animal",
		"soft herbs such as parsley":      "- | 0 g | soft herbs | mixed-herbs | such as parsley | plant",
		"chicken or vegetable stock":      "- | 0 g | chicken or vegetable stock | chicken-stock |  | animal | or vegetable-stock",
		"chicken (or vegetable) stock":    "- | 0 g | chicken (or vegetable) stock | chicken-stock | or vegetable | animal | or vegetable-stock",
		"butter or oil":                   "- | 0 g | butter or oil | butter |  | animal | or vegetable-oil",
		"2 eggs or 100 g tofu":            "2-2 piece | 100 g | eggs or 100 g tofu | egg |  | animal | or firm-tofu",
		"parsley or coriander":            "- | 0 g | parsley or coriander | parsley |  | plant | or coriander-leaf",
		"lentils or beef mince":           "- | 0 g | lentils or beef mince | brown-lentils |  | mixed | or beef-mince",
		"beef mince or lentils":           "- | 0 g | beef mince or lentils | beef-mince |  | animal | or brown-lentils",
		"2 tins sardines":                 "2-2 can | 180 g | sardines | tinned-sardine |  | animal",
		"2 sardines":                      "2-2 piece | 120 g | sardines | sardine |  | animal",
		"salt and pepper":                 "- | 0 g | salt and pepper | salt |  | mineral | and black-pepper",
		"parsley and mint leaves":         "- | 0 g | parsley and mint leaves | parsley |  | plant | and mint",
		"peas and bacon":                  "- | 0 g | peas and bacon | bacon |  | animal | and green-pea",
		"sea salt and black pepper":       "- | 0 g | sea salt and black pepper | salt |  | mineral | and black-pepper",
		"juice of 2 lemons":               "2-2 piece | 90 g | lemons | lemon-juice | juice only | plant",
		"zest and juice of 1 lime":        "1-1 piece | 30 g | lime | lime-juice | juice only | plant",
		"juice and zest of 1 lemon":       "1-1 piece | 45 g | lemon | lemon-juice | juice only | plant",
		"zest of an orange":               "1-1 piece | 10 g | orange | orange-zest | zest only | plant",
		"juice + zest of 1 lemon":         "1-1 piece | 45 g | lemon | lemon-juice | juice only | plant",
		"yolks of 2 eggs":                 "2-2 piece | 35 g | eggs | egg-yolk | yolk only | animal",
		"garrofón (butter beans)":         "- | 0 g | garrofón | butter-beans | butter beans | plant",
		"2 carrots - peeled":              "2-2 piece | 140 g | carrots | carrot | peeled | plant",
		"2 carrots -peeled":               "2-2 piece | 140 g | carrots | carrot | peeled | plant",
		"2 carrots. Peeled":               "2-2 piece | 140 g | carrots | carrot | Peeled | plant",
		"1.5 kg potatoes":                 "1.5-1.5 kg | 1500 g | potatoes | potato |  | plant",
		"approx. 2 kg potatoes":           "2-2 kg | 2000 g | potatoes | potato |  | plant",
		"butter - 50 g":                   "50-50 g | 50 g | butter | butter |  | animal",
		"Flour: 200 g":                    "200-200 g | 200 g | Flour | plain-flour |  | plant",
		"onion, 2 medium":                 "2-2 piece | 260 g | onion | onion |  | plant",
		"Stock (500 ml)":                  "500-500 ml | 500 g | Stock | stock-generic |  | mixed",
		"chicken flavour stock cube":      "- | 0 g | chicken flavour stock cube | stock-cube |  | mixed",
		"Worcestershire sauce":            "- | 0 g | Worcestershire sauce | worcestershire-sauce |  | animal",
	} {
		require.Equal(t, want, reads(reader(t).Line(text, measure.Metric)), text)
	}
}
