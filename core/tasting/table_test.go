package tasting_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/tasting"
)

func TestServingOrdersAreBalanced(t *testing.T) {
	for n := 1; n <= 7; n++ {
		rows := n
		if n%2 == 1 {
			rows = 2 * n
		}
		place, after := map[[2]int]int{}, map[[2]int]int{}
		for taster := range rows {
			order := tasting.Order(n, taster)
			require.Len(t, order, n)
			seen := map[int]bool{}
			for i, x := range order {
				require.False(t, seen[x], "%d of %d: %v", taster, n, order)
				seen[x] = true
				place[[2]int{i, x}]++
				if i > 0 {
					after[[2]int{order[i-1], x}]++
				}
			}
			require.Equal(t, order, tasting.Order(n, taster+rows), "and round again")
		}
		for _, counts := range []map[[2]int]int{place, after} {
			want := -1
			for key, c := range counts {
				if want < 0 {
					want = c
				}
				require.Equal(t, want, c, "%d trials, %v", n, key)
			}
		}
		if n > 1 {
			require.Len(t, after, n*(n-1), "each comes after each other")
		}
	}
	require.Nil(t, tasting.Order(0, 3))
}

func TestASheetAsksForPinnedTraitsFirst(t *testing.T) {
	steps := map[string]float64{"smoke": -1.2, "salt": 0.1, "sweet": 0.4, "sour": -0.4, "bitter": 0, "heat": 2, "sea": -3}
	require.Equal(t, []string{"salt", "sea", "heat", "smoke", "sour", "sweet"}, tasting.Ask([]string{"salt"}, steps, nil))
	require.Equal(t, []string{"salt", "sea", "heat", "sour", "sweet", "smoke"}, tasting.Ask([]string{"salt"}, steps, map[string]float64{"smoke": 0.1}), "what was tasted often is known")
	require.Empty(t, tasting.Ask(nil, nil, nil))
}

func TestWhatATableSaysComesWithItsNumber(t *testing.T) {
	sheet := func(taster string, liking, smoke int) tasting.Sheet {
		return tasting.Sheet{Taster: taster, Liking: liking, Traits: map[string]int{"smoke": smoke}}
	}
	j, _ := tasting.Judge("smoke", []tasting.Sheet{sheet("a", 8, 0), sheet("b", 7, 0), sheet("c", 5, -1), sheet("d", 6, -1), sheet("e", 4, -2), sheet("f", 7, 0)})
	require.Equal(t, "3 of 6 said too little smoke and liked it 2.3 less than those who found it right.", tasting.Say(j))
	j, _ = tasting.Judge("smoke", []tasting.Sheet{sheet("a", 8, 0), sheet("b", 7, -1), sheet("c", 6, 1)})
	require.Equal(t, "1 of 3 said too little smoke and liked it 1.0 less than those who found it right; with 3 people that can be chance. 1 of 3 said too much smoke and liked it 2.0 less than those who found it right; with 3 people that can be chance.", tasting.Say(j))
	j, _ = tasting.Judge("smoke", []tasting.Sheet{sheet("a", 8, 0), sheet("b", 7, 0)})
	require.Equal(t, "All 2 found smoke just right.", tasting.Say(j))
	require.Equal(t, "5 who tasted both liked the second 0.8 more than the first; with so few that can be chance.", tasting.SayCompared(tasting.Compared{Tasters: 5, Difference: 0.8, P: 0.375}, "the first", "the second"))
	require.Equal(t, "9 who tasted both liked B 2.0 less than A.", tasting.SayCompared(tasting.Compared{Tasters: 9, Difference: -2, P: 0.01}, "A", "B"))
	require.Equal(t, "4 who tasted both liked A and B alike.", tasting.SayCompared(tasting.Compared{Tasters: 4, P: 1}, "A", "B"))
}

func TestWhatChangedBetweenTwoTrials(t *testing.T) {
	a := tasting.Version{
		Lines: []tasting.Line{{"onion", "200 g onion", 200}, {"salt", "1 tsp salt", 6}, {"parsley", "parsley", 0}},
		Steps: []string{"Fry the onion.", "Serve."}, Trait: map[string]float64{"smoke": -1.2, "salt": 0.1},
	}
	b := tasting.Version{
		Lines: []tasting.Line{{"onion", "250 g onion", 250}, {"salt", "1 tsp salt", 6}, {"smoked-paprika", "1 tsp smoked paprika", 2}},
		Steps: []string{"Fry the onion with the paprika.", "Serve."}, Trait: map[string]float64{"smoke": -0.3, "salt": 0.15},
	}
	require.Equal(t, tasting.Changed{
		Lines:  []string{"200 g onion → 250 g onion", "gone: parsley", "new: 1 tsp smoked paprika"},
		Steps:  []string{"gone: Fry the onion.", "new: Fry the onion with the paprika."},
		Traits: []string{"smoke: -1.2 → -0.3 steps"},
	}, tasting.Between(a, b))
	require.Equal(t, tasting.Changed{Lines: []string{}, Steps: []string{}, Traits: []string{}}, tasting.Between(a, a))
}
