package tasting

import (
	"fmt"
	"math"
	"math/rand/v2"
	"testing"
	"time"

	"yembra/core/spent"

	"github.com/stretchr/testify/require"
)

func ExampleOdd() {
	t := Odd(12, 8)
	fmt.Printf("p %.6f, %.2f can tell (%.6f to %.6f)\n", t.P, t.Discriminators, t.Low, t.High)
	// Output: p 0.018758, 0.50 can tell (0.023313 to 0.851131)
}

func first() []Sheet {
	var out []Sheet
	for i, v := range [][3]int{{8, 0, 0}, {7, 0, 1}, {5, -1, 0}, {6, -1, 0}, {4, -2, 0}, {7, 0, 1}} {
		out = append(out, Sheet{Taster: fmt.Sprint(i + 1), Liking: v[0], Traits: map[string]int{"smoke": v[1], "salt": v[2]}})
	}
	return out
}

func second() []Sheet {
	var out []Sheet
	for i, taster := range []int{1, 3, 4, 5, 6} {
		v := [][2]int{{8, 0}, {7, 0}, {7, 0}, {6, -1}, {6, 1}}[i]
		out = append(out, Sheet{Taster: fmt.Sprint(taster), Liking: v[0], Traits: map[string]int{"smoke": v[1]}})
	}
	return out
}

const near = 1e-6

func TestATableIsCounted(t *testing.T) {
	smoke, ok := Judge("smoke", first())
	require.True(t, ok)
	require.Equal(t, [3]int{3, 3, 0}, [3]int{smoke.TooLittle, smoke.JustRight, smoke.TooMuch})
	require.InDelta(t, -2.0/3, smoke.Mean, near)
	require.Len(t, smoke.Penalties, 1)
	p := smoke.Penalties[0]
	require.Equal(t, TooLittle, p.Side)
	require.InDelta(t, 7.0/3, p.Drop, near)
	require.InDelta(t, 7.0/6, p.Weighted, near)
	require.InDelta(t, 0.05, p.P, near)
	require.True(t, p.Exact)

	salt, _ := Judge("salt", first())
	require.Equal(t, TooMuch, salt.Penalties[0].Side)
	require.InDelta(t, -1.25, salt.Penalties[0].Drop, near)
	require.InDelta(t, 13.0/15, salt.Penalties[0].P, near)

	two, _ := Judge("smoke", second())
	require.InDelta(t, 0.2, two.Penalties[0].Share, near)
	require.InDelta(t, 4.0/3, two.Penalties[0].Drop, near)
	require.InDelta(t, 0.25, two.Penalties[0].P, near)

	c, ok := Compare(first(), second())
	require.True(t, ok)
	require.Equal(t, 5, c.Tasters)
	require.InDelta(t, 0.8, c.Difference, near)
	require.InDelta(t, 0.375, c.P, near)

	_, ok = Judge("sea", first())
	require.False(t, ok, "nobody was asked")
}

func TestSheetsWithoutALikingCountForSharesOnly(t *testing.T) {
	sheets := append(first(), Sheet{Taster: "7", Traits: map[string]int{"smoke": -1}}, Sheet{Taster: "8", Traits: map[string]int{"sea": 2}})
	j, _ := Judge("smoke", sheets)
	require.Equal(t, 4, j.TooLittle)
	require.InDelta(t, 4.0/7, j.Penalties[0].Share, near)
	require.InDelta(t, 7.0/3, j.Penalties[0].Drop, near)
	sea, _ := Judge("sea", sheets)
	require.Equal(t, 1, sea.TooMuch)
	require.Empty(t, sea.Penalties)
	_, ok := Liking([]Sheet{{Taster: "8"}})
	require.False(t, ok)
	_, ok = Compare(first(), []Sheet{{Taster: "1"}, {Taster: "9", Liking: 4}})
	require.False(t, ok)
}

func TestTheKitchensCorrection(t *testing.T) {
	c := Correct("smoke", []Tasted{{6, -2.0 / 3, -1.2}, {5, 0, -0.3}})
	require.InDelta(t, 0.20377, c.Correction, 1e-5)
	require.InDelta(t, -0.60391, c.Low, 1e-5)
	require.InDelta(t, 1.01145, c.High, 1e-5)
	require.Equal(t, 11, c.Sheets)

	// With a true offset of a step and six tasters it is found after five tastings in
	// nine kitchens of ten, and without one it strays in few.
	rng := rand.New(rand.NewPCG(5, 5))
	kitchens := func(offset float64) (near, far int) {
		for range 1000 {
			var tastings []Tasted
			for range 5 {
				sum := 0.0
				for range 6 {
					sum += math.Round(math.Max(-2, math.Min(2, (offset+rng.NormFloat64()*sheetSpread)/stepsPerPoint)))
				}
				tastings = append(tastings, Tasted{6, sum / 6, 0})
			}
			c := Correct("smoke", tastings).Correction
			if math.Abs(c-offset) <= 0.5 {
				near++
			}
			if math.Abs(c) > 0.5 {
				far++
			}
		}
		return near, far
	}
	found, _ := kitchens(1)
	require.Greater(t, found, 900)
	_, strayed := kitchens(0)
	require.Less(t, strayed, 100)
}

func TestTrianglesAtTheirEnds(t *testing.T) {
	none := Odd(10, 0)
	require.Equal(t, Triangle{P: 1, High: telling(1 - math.Pow(0.025, 0.1))}, none)
	all := Odd(4, 4)
	require.InDelta(t, math.Pow(1.0/3, 4), all.P, near)
	require.InDelta(t, 1, all.High, near)
	for n := 1; n <= 30; n++ { // against the sum itself
		for c := range n + 1 {
			tail := 0.0
			for k := c; k <= n; k++ {
				tail += math.Exp(lchoose(n, k)) * math.Pow(1.0/3, float64(k)) * math.Pow(2.0/3, float64(n-k))
			}
			require.InDelta(t, tail, Odd(n, c).P, near, "%d of %d", c, n)
		}
	}
}

func lchoose(n, k int) float64 {
	a, _ := math.Lgamma(float64(n + 1))
	b, _ := math.Lgamma(float64(k + 1))
	c, _ := math.Lgamma(float64(n - k + 1))
	return a - b - c
}

// Small tables against every way written out, by way of the means themselves.
func TestChancesAgainstEveryWay(t *testing.T) {
	rng := rand.New(rand.NewPCG(9, 9))
	for range 200 {
		right, off := make([]int, 1+rng.IntN(5)), make([]int, 1+rng.IntN(5))
		all := []int{}
		for i := range right {
			right[i] = 1 + rng.IntN(9)
		}
		for i := range off {
			off[i] = 1 + rng.IntN(9)
		}
		all = append(append(all, right...), off...)
		as, of := 0, 0
		for way := range 1 << len(all) {
			var a, b []int
			for i, v := range all {
				if way>>i&1 == 1 {
					b = append(b, v)
				} else {
					a = append(a, v)
				}
			}
			if len(b) != len(off) {
				continue
			}
			of++
			if mean(a)-mean(b) >= mean(right)-mean(off)-1e-9 {
				as++
			}
		}
		p, exact := dealt(right, off)
		require.True(t, exact)
		require.InDelta(t, float64(as)/float64(of), p, 1e-12)
	}
}

func TestManyWaysAreDrawnAndSaidSo(t *testing.T) {
	right, off := make([]int, 40), make([]int, 40)
	for i := range right {
		right[i], off[i] = 5+i%4, 4+i%4
	}
	var p float64
	var exact bool
	require.Less(t, spent.Within(time.Second, func() { p, exact = dealt(right, off) }), time.Second)
	require.False(t, exact)
	again, _ := dealt(right, off)
	require.Equal(t, p, again, "the same sheets give the same figure")
	require.Less(t, p, 0.001)
	q, exact := flipped(make([]int, 30))
	require.False(t, exact)
	require.InDelta(t, 1, q, near)

	took := spent.Within(300*time.Millisecond, func() {
		_, exact = dealt([]int{5, 6, 7, 8, 9, 5, 6, 7, 8, 9}, []int{4, 5, 6, 7, 8, 4, 5, 6, 7, 8}) // 184,756 ways
	})
	require.True(t, exact)
	require.Less(t, took, 300*time.Millisecond, "50 ms on an idle machine")
}

// BenchmarkDealt counts all 184,756 ways to deal twenty likings out, and draws as many
// for a table of sixty.
func BenchmarkDealt(b *testing.B) {
	small := []int{5, 6, 7, 8, 9, 5, 6, 7, 8, 9}
	large, off := make([]int, 20), make([]int, 40)
	for i := range large {
		large[i] = 5 + i%4
	}
	for i := range off {
		off[i] = 4 + i%4
	}
	b.Run("counted", func(b *testing.B) {
		for b.Loop() {
			dealt(small, []int{4, 5, 6, 7, 8, 4, 5, 6, 7, 8})
		}
	})
	b.Run("drawn", func(b *testing.B) {
		for b.Loop() {
			dealt(large, off)
		}
	})
}

// Large tables against the ways counted by how many there are of each sum.
func TestDrawnChancesComeNearTheExactOnes(t *testing.T) {
	rng := rand.New(rand.NewPCG(3, 4))
	for range 12 {
		right, off := make([]int, 15+rng.IntN(30)), make([]int, 15+rng.IntN(30))
		for i := range right {
			right[i] = 1 + rng.IntN(9)
		}
		for i := range off {
			off[i] = min(9, 1+rng.IntN(9))
		}
		all := append(append([]int{}, right...), off...)
		// ways[k][s] is how many ways there are to choose k whose likings sum to s.
		ways := make([][]float64, len(off)+1)
		for k := range ways {
			ways[k] = make([]float64, 9*len(off)+1)
		}
		ways[0][0] = 1
		for _, v := range all {
			for k := len(off); k > 0; k-- {
				for s := len(ways[k]) - 1; s >= v; s-- {
					ways[k][s] += ways[k-1][s-v]
				}
			}
		}
		as, of := 0.0, 0.0
		for s, n := range ways[len(off)] {
			of += n
			if s <= sum(off) {
				as += n
			}
		}
		p, exact := dealt(right, off)
		require.False(t, exact)
		require.InDelta(t, as/of, p, 0.005, "%d right, %d off", len(right), len(off))
	}
}

// Differences of two trials against every way to turn them round, written out.
func TestFlippedChancesAgainstEveryWay(t *testing.T) {
	rng := rand.New(rand.NewPCG(5, 6))
	for range 100 {
		apart := make([]int, 1+rng.IntN(9))
		for i := range apart {
			apart[i] = rng.IntN(9) - 4
		}
		as := 0
		var turn func(i, total int)
		turn = func(i, total int) {
			switch {
			case i < len(apart):
				turn(i+1, total+apart[i])
				turn(i+1, total-apart[i])
			case abs(total) >= abs(sum(apart)):
				as++
			}
		}
		turn(0, 0)
		p, exact := flipped(apart)
		require.True(t, exact)
		require.InDelta(t, float64(as)/math.Pow(2, float64(len(apart))), p, 1e-12, "%v", apart)
	}
}
