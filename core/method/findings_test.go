package method

import (
	"slices"
	"strings"
	"sync"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/swap"
	"yembra/knowledge"
)

var carrier = sync.OnceValues(func() (*Carrier, error) {
	l, err := larder.Load(knowledge.Shipped())
	if err != nil {
		return nil, err
	}
	return NewCarrier(swap.NewBook(l), flow.NewReader(l)), nil
})

const stew = "Stew\nServes 4\n\n800 g lamb shoulder\n2 onions, sliced\n500 ml beef stock\n\nMethod\n1. Soften the onions for 10 minutes.\n2. Add the lamb and the stock and simmer for 2 hours until tender. Serve."

// spoiled carries a stew over, changes its steps as a fault of the writer would, and
// reads the card back.
func spoiled(t *testing.T, change func(*swap.Component)) []swap.FindingKind {
	t.Helper()
	c, err := carrier()
	require.NoError(t, err)
	d := c.reader.Read(stew, measure.Metric)
	dec := swap.Decisions{HouseRules: swap.HouseRules{Preset: "like-for-like"}, Swaps: map[string]string{"components[0].lines[0]": "tempeh-braise", "components[0].lines[2]": "vegetable-stock-plain"}}
	a, err := c.book.Apply(d, dec, false)
	require.NoError(t, err)
	p := c.plan(&d, &a)
	c.component(p, 0, dec)
	name(&d.Components[0], &a.Components[0], 0)
	if change != nil {
		change(&a.Components[0])
	}
	c.check(p, c.readBack(&d, &a))
	var kinds []swap.FindingKind
	for _, s := range a.Components[0].Steps {
		for _, f := range s.Findings {
			require.NotContains(t, f.Text, "{text}")
			require.NotEmpty(t, f.Text)
			kinds = append(kinds, f.Kind)
		}
	}
	return kinds
}

// last is the step that comes from the original's second.
func last(comp *swap.Component) *swap.Step {
	at := slices.IndexFunc(comp.Steps, func(s swap.Step) bool { return slices.Equal(s.From, []int{1}) })
	return &comp.Steps[at]
}

// Whatever goes wrong in the writing is found when the card is read back.
func TestReadingBackFindsFaults(t *testing.T) {
	require.Empty(t, spoiled(t, nil), "a sound card has no findings")
	for want, change := range map[swap.FindingKind]func(*swap.Component){
		swap.NamesAnimal: func(c *swap.Component) {
			last(c).Text, last(c).Change = "Add the beef and simmer with the tempeh and the vegetable stock for 30 minutes.", swap.Changed
		},
		swap.NotRead: func(c *swap.Component) {
			last(c).Text, last(c).Change = "Spoonfuls of fat on all sides. Add the tempeh and the vegetable stock.", swap.Changed
		},
		swap.UnusedLine: func(c *swap.Component) { last(c).Text = "Pour in the vegetable stock and simmer for 30 minutes." },
		swap.BeyondLimit: func(c *swap.Component) {
			last(c).Text = "Add the tempeh and the vegetable stock and simmer for 3 hours."
		},
		swap.TooEarly: func(c *swap.Component) {
			at := slices.IndexFunc(c.Steps, func(s swap.Step) bool { return s.Prepares != "" })
			prep := c.Steps[at]
			prep.Takes = nil
			c.Steps = append(slices.Delete(c.Steps, at, at+1), prep)
			last(c).Text = "Add the tempeh and the vegetable stock and simmer for 30 minutes."
		},
		swap.Unlisted: func(c *swap.Component) {
			last(c).Text, last(c).Change = "Add the tempeh, the vegetable stock and some saffron and simmer for 30 minutes.", swap.Changed
		},
		swap.OtherThan: func(c *swap.Component) { last(c).Quote = "What the original says." },
	} {
		require.Contains(t, spoiled(t, change), want)
	}
}

// The name of a cut is no animal's, and still speaks of what is gone.
func TestTheNameOfACutIsFound(t *testing.T) {
	require.Contains(t, spoiled(t, func(c *swap.Component) {
		last(c).Text, last(c).Change = "Add the tempeh and the vegetable stock and simmer for 30 minutes, with the side of each shoulder up.", swap.Changed
	}), swap.NamesAnimal)
}

// What behaves as the table says goes in when it should: at the start where it
// bears the pot, late where it does not.
func TestStandInsGoInWhenTheyBearIt(t *testing.T) {
	c, err := carrier()
	require.NoError(t, err)
	for _, x := range []struct{ swap, want string }{
		{"jackfruit-potato-braise", "jackfruit pieces"},
		{"mushroom-chestnut-braise", "mushrooms and chestnuts"},
	} {
		d := c.reader.Read(stew, measure.Metric)
		a, err := c.Adapt(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: "like-for-like"}, Swaps: map[string]string{"components[0].lines[0]": x.swap}}, false)
		require.NoError(t, err)
		text := ""
		for _, s := range a.Components[0].Steps {
			text += s.Text + " "
		}
		require.Contains(t, text, x.want)
		require.NotContains(t, text, "2 hours", x.swap)
	}
}

// Every rule of the tables that carry a method over can be reached, and says why.
func TestCarryTablesAreWhole(t *testing.T) {
	c, err := carrier()
	require.NoError(t, err)
	l := c.book.Larder()
	for _, s := range l.Swaps() {
		f := l.MainFood(s)
		if f == nil {
			continue
		}
		b := l.BehaviourOf(f, s.Formula[0].Form)
		require.GreaterOrEqual(t, b.Bears, 0.0, s.ID)
		require.LessOrEqual(t, b.Done, b.Bears, "%s is spoilt before it is done", s.ID)
	}
	for _, way := range []string{"peel", "rest", "drain", "slice", "brown", "soak"} {
		r := l.CarryRuleFor(l.Technique(way), way, "", larder.Meat, []string{larder.Ready, larder.Prepared, larder.Browned})
		require.NotNil(t, r, way)
		require.Equal(t, larder.CarryDrop, r.Then, way)
		require.NotEmpty(t, r.Why, way)
	}
	require.Nil(t, l.CarryRuleFor(l.Technique("marinate"), "marinate", "", larder.Meat, []string{larder.Ready}), "what is marinated goes on being marinated")
	u := l.SmallUseFor(l.Technique("grease"), "butter", larder.Dairy)
	require.NotEmpty(t, u.Foods)
	require.Empty(t, l.SmallUseFor(l.Technique("serve"), "cured-meat", larder.Meat).Foods, "bacon that only a step names goes")
}

// What cannot be made in the amounts listed is said, and what can is not.
func TestAmountsThatCannotBeMadeAreSaid(t *testing.T) {
	c, err := carrier()
	require.NoError(t, err)
	said := func(text string, swaps map[string]string) (out []string) {
		d := c.reader.Read(text, measure.Metric)
		a, err := c.Adapt(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: "like-for-like"}, Swaps: swaps}, false)
		require.NoError(t, err)
		for _, s := range a.Components[0].Steps {
			for _, f := range s.Findings {
				if f.Kind == swap.NotMade {
					out = append(out, f.Text)
				}
			}
		}
		return out
	}
	dough := func(eggs string) string {
		return "Noodles\nServes 4\n\n300 g plain flour\n" + eggs + " eggs\n60 ml water\n\nMethod\n1. Knead the flour, eggs and water to a smooth dough for 8 minutes. Roll it out thinly."
	}
	egg := "components[0].lines[1]"
	mixed := strings.Replace(dough("3"), "Knead the flour, eggs and water to a smooth dough for 8 minutes", "Mix the flour, eggs and water to a stiff dough", 1)
	require.Contains(t, said(mixed, map[string]string{egg: "potato-bind"})[0], "The dough has")
	wetter := said(dough("3"), map[string]string{egg: "potato-bind"})
	require.Len(t, wetter, 1)
	require.Regexp(t, `The dough has \d+ g of liquid for 100 g of the rest, the original \d+ g`, wetter[0])
	require.Empty(t, said(dough("1/4"), map[string]string{egg: "potato-bind"}))
	kneaded := "Balls\nServes 4\n\n500 g minced beef\n1 onion, grated\n1 tsp salt\n\nMethod\n1. Knead the mince with the onion and salt and shape into balls. Fry them for 8 minutes."
	require.Empty(t, said(kneaded, map[string]string{"components[0].lines[0]": "root-nut-mince"}), "a kneaded mince is no dough")

	chilli := func(cream string) string {
		return "Soup\nServes 4\n\n500 g carrots\n" + cream + " ml double cream\n500 ml water\n\nMethod\n1. Simmer the carrots in the water for 20 minutes.\n2. Stir in the cream."
	}
	require.Empty(t, said(chilli("5"), map[string]string{egg: "silken-cashew-cream"}), "its preparation says how much to make")
}
