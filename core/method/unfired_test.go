package method_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"yembra/core/flow"
	"yembra/core/language"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// What the dish browns itself comes into its pan raw, in the dish's own words and fat; what it would cook longer than it
// bears, or has in a liquid first, is browned when it is prepared.
func TestTheDishBrownsWhatItsWordsBrown(t *testing.T) {
	const chunks, lardons = "mushroom-chunks-braise", "smoked-tofu-lardons"
	reads(t, map[string]carried{
		"it is fried, lifted out and put back": {
			"Fry\nServes 4\n\n600 g chicken thighs, cubed\n3 tbsp oil\n2 onions, sliced\n200 ml vegetable stock\n\nMethod\n1. Heat the oil and fry the chicken for 8 minutes, until its edges are crisp. Scoop it out.\n2. Fry the onions for 5 minutes, pour in the stock, put the chicken back and simmer for 10 minutes.",
			map[string]string{line("0"): chunks}, []string{"Season the mushroom pieces and the tempeh", "fry the mushrooms and tempeh for 8 minutes, until their edges are crisp. Scoop them out", "put the mushrooms and tempeh back and simmer for 10 minutes"}, []string{"very hot dry pan"},
		},
		"flour clings to what the dish fries": {
			"Fry\nServes 4\n\n600 g chicken thighs, cubed\n2 tbsp flour\n3 tbsp oil\n200 ml vegetable stock\n\nMethod\n1. Dust the chicken with the flour. Heat the oil and fry the chicken for 8 minutes. Pour in the stock and simmer for 10 minutes.",
			map[string]string{line("0"): chunks}, []string{"Dust the mushrooms and tempeh with the flour", "fry the mushrooms and tempeh for 8 minutes"}, []string{"very hot dry pan"},
		},
		"what only lay in a little of a marinade is fried all the same": {
			"Fry\nServes 2\n\n300 g pork shoulder, cubed\n1 egg white\n1 tbsp cornflour\n2 tbsp oil\n1 red pepper\n200 ml vegetable stock\n\nMethod\n1. Mix the pork with the egg white and cornflour and leave for 10 minutes.\n2. Heat the oil and fry the pork for 4 minutes. Remove. Fry the pepper, pour in the stock, return the pork and simmer for 3 minutes.",
			map[string]string{line("0"): chunks, line("1"): "chia-gel"}, []string{"fry the mushrooms and tempeh for 4 minutes. Remove."}, []string{"very hot dry pan"},
		},
		"what lies in much of it is browned before": {
			"Fry\nServes 2\n\n300 g pork shoulder, cubed\n200 ml red wine\n2 tbsp oil\n\nMethod\n1. Mix the pork with the wine and fry everything in the oil for 8 minutes.",
			map[string]string{line("0"): chunks}, []string{"very hot dry pan"}, nil,
		},
		"what would simmer for longer than it bears is browned before": {
			"Stew\nServes 4\n\n600 g stewing beef, cubed\n2 tbsp oil\n500 ml vegetable stock\n2 carrots\n\nMethod\n1. Heat the oil and brown the beef. Add the stock and the carrots and simmer for 3 hours.",
			map[string]string{line("0"): chunks}, []string{"very hot dry pan"}, []string{"brown the mushrooms", "3 hours"},
		},
		"what was in a liquid first is browned before": {
			"Pot\nServes 4\n\n600 g pork shoulder, cubed\n2 tbsp oil\n500 ml vegetable stock\n\nMethod\n1. Simmer the pork in the stock for 20 minutes and drain it. Brown it in the oil.",
			map[string]string{line("0"): chunks}, []string{"very hot dry pan"}, nil,
		},
		"what is made once for two parts is browned for both": {
			"Two\nServes 4\n\nFor the pot\n300 g chicken thighs, cubed\n2 tbsp oil\n\nFor the soup\n300 g pork shoulder, cubed\n500 ml vegetable stock\n\nMethod\n1. Fry the chicken in the oil for 8 minutes.\n2. Simmer the pork in the stock for 20 minutes.",
			map[string]string{"components[0].lines[0]": chunks, "components[1].lines[0]": chunks}, []string{"very hot dry pan"}, nil,
		},
		"bacon in its own fat has an oil now, and the onions after it fry in the same": {
			"Hash\nServes 2\n\n150 g smoked bacon, diced\n1 onion, sliced\n300 g potatoes, boiled, diced\n\nMethod\n1. Fry the bacon in a pan until crisp. Add the onion and cook until soft. Tip in the potatoes and fry for 5 minutes.",
			map[string]string{line("0"): lardons}, []string{"Heat the vegetable oil and fry the smoked tofu in a pan until crisp"}, []string{"Heat the vegetable oil and add"},
		},
		"bacon in a pan that is said to be dry keeps it, and the oil comes with what follows": {
			"Hash\nServes 2\n\n150 g smoked bacon, diced\n1 onion, sliced\n300 g potatoes, boiled, diced\n\nMethod\n1. Fry the bacon in a dry pan until crisp. Add the onion and cook until soft. Tip in the potatoes and fry for 5 minutes.",
			map[string]string{line("0"): lardons}, []string{"Fry the smoked tofu in a dry pan until crisp. Heat the vegetable oil, add the onion"}, nil,
		},
		"no paper is laid under what is not beaten thin": {
			"Cutlets\nServes 2\n\n4 veal escalopes\n2 tbsp oil\n\nMethod\n1. Lay the escalopes between two sheets of baking paper and flatten them with a rolling pin. Fry them in the oil for 2 minutes each side.",
			map[string]string{line("0"): "steak-tofu"}, []string{"for 2 minutes each side"}, []string{"paper"},
		},
		"no steak is fried for medium-rare": {
			"Steak\nServes 2\n\n2 sirloin steaks\n1 tbsp oil\n\nMethod\n1. Rub the steaks with the oil. Heat a griddle and sear the steaks for 3 minutes each side for medium-rare.",
			map[string]string{line("0"): "steak-tofu"}, []string{"for 3 minutes each side."}, []string{"rare"},
		},
	})
}

// What the book says of a swap that is not browned uses all that the step uses which it stands for, and browns nothing.
func TestWhatIsLeftUnfiredIsMadeWhole(t *testing.T) {
	r, b, _ := open(t)
	l, seen := b.Larder(), 0
	for _, s := range l.Swaps() {
		lines := make([]recipe.Line, len(s.Formula))
		for i, p := range s.Formula {
			f := l.Food(p.Food)
			lines[i] = recipe.Line{Food: &s.Formula[i].Food, Name: f.Name, Form: p.Form, Preparation: p.Preparation, Origin: f.Origin}
		}
		for _, p := range s.Prepare {
			if p.Unfired == nil {
				continue
			}
			seen++
			assert.Positive(t, p.Unfired.Hands, s.ID)
			assert.Less(t, p.Unfired.Hands, p.Hands+p.Wait, "%s: it is less work", s.ID)
			raw, fired := r.Step(p.Unfired.Text, lines), r.Step(p.Text, lines)
			for _, n := range fired.Lines {
				if s.Formula[n].Food != "vegetable-oil" { // the dish has its own to fry in
					assert.Contains(t, raw.Lines, n, "%s: %s", s.ID, s.Formula[n].Food)
				}
			}
			d := &recipe.Dish{Components: []recipe.Component{{Lines: lines, Steps: []recipe.Step{{Text: p.Unfired.Text}}}}}
			r.Dish(d)
			for _, n := range flow.Trace(l, d).Nodes {
				assert.False(t, n.Technique.Roast > 0 && n.Technique.Heat != "", "%s: %s", s.ID, p.Unfired.Text)
			}
		}
	}
	assert.GreaterOrEqual(t, seen, 10)
}

// No two stand-ins of several things go by one name unless they are made alike, so that a step that names one means it; those
// of one food are told apart by that.
func TestEachStandInHasANameOfItsOwn(t *testing.T) {
	_, b, _ := open(t)
	texts := map[string]string{}
	for _, s := range b.Larder().Swaps() {
		parts := 0
		for _, p := range s.Formula {
			if p.Food != "water" {
				parts++
			}
		}
		if parts < 2 {
			continue
		}
		made := ""
		for _, p := range s.Prepare {
			made += p.Text
		}
		if other, known := texts[s.Short]; known {
			assert.Equal(t, other, made, "%s: another swap is called %q too", s.ID, s.Short)
		}
		texts[s.Short] = made
	}
}

// What the dish may brown itself does not go by a name that says it is browned: nobody browns the browned mushrooms.
func TestWhatTheDishBrownsIsNotCalledBrowned(t *testing.T) {
	_, b, _ := open(t)
	l, seen := b.Larder(), 0
	for _, s := range l.Swaps() {
		if !slices.ContainsFunc(s.Prepare, func(p larder.Preparation) bool { return p.Unfired != nil }) {
			continue
		}
		seen++
		for _, w := range larder.Words(s.Short) {
			for _, x := range l.Language().Verb(w) {
				fires := x.Form == language.Past && slices.ContainsFunc(l.Language().Orders(x.Lemma), func(name string) bool { return l.Technique(name).Family == "dry heat" })
				assert.False(t, fires, "%s is called %q", s.ID, s.Short)
			}
		}
	}
	require.Greater(t, seen, 10)
}
