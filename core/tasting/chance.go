package tasting

import (
	"math/rand/v2"

	"gonum.org/v1/gonum/stat/combin"
	"gonum.org/v1/gonum/stat/distuv"
)

// mostWays is up to how many ways all are counted; beyond, as many are drawn with a
// fixed seed, so that the same sheets always give the same figure.
const (
	mostWays = 200_000
	draws    = 200_000
	seed     = 20_261
)

// dealt is the share of all ways to deal the likings of two groups out to groups of
// the same sizes in which the first is liked at least as much more than the second
// as it is (permutation test, one-sided). As the sum of all is the same in each,
// that is where the sum of the second is at most what it is.
func dealt(right, off []int) (p float64, exact bool) {
	all := append(append(make([]int, 0, len(right)+len(off)), right...), off...)
	seen := sum(off)
	if n, k := len(all), len(off); ways(n, k) <= mostWays {
		as, of := 0, 0
		g := combin.NewCombinationGenerator(n, k)
		pick := make([]int, k)
		for g.Next() {
			g.Combination(pick)
			total := 0
			for _, i := range pick {
				total += all[i]
			}
			of++
			if total <= seen {
				as++
			}
		}
		return float64(as) / float64(of), true
	}
	// The smaller group is drawn; what is not in it is in the other.
	fewer, least := len(off), seen
	whole := sum(all)
	if len(right) < fewer {
		fewer, least = len(right), whole-seen
	}
	rng := rand.NewPCG(seed, 1)
	as := 1 // the way it is
	for range draws {
		total := 0
		for i := range fewer {
			j := i + int(uint64(uint32(rng.Uint64()))*uint64(len(all)-i)>>32)
			all[i], all[j] = all[j], all[i]
			total += all[i]
		}
		if fewer == len(off) && total <= least || fewer < len(off) && total >= least {
			as++
		}
	}
	return float64(as) / (draws + 1), false
}

// ways is the number of ways to choose k of n, and more than any that is counted
// where that is large.
func ways(n, k int) int {
	k = min(k, n-k)
	w := 1
	for i := 1; i <= k; i++ {
		if w = w * (n - k + i) / i; w > mostWays {
			return mostWays + 1
		}
	}
	return w
}

// flipped is the share of all ways to turn differences round in which their sum is
// as far from nothing, either way, as it is (sign-flip permutation test).
func flipped(apart []int) (p float64, exact bool) {
	seen := abs(sum(apart))
	as := 0
	if n := len(apart); n < 63 && 1<<n <= mostWays {
		for way := range 1 << n {
			total := 0
			for i, d := range apart {
				if way>>i&1 == 1 {
					d = -d
				}
				total += d
			}
			if abs(total) >= seen {
				as++
			}
		}
		return float64(as) / float64(int(1)<<n), true
	}
	rng := rand.New(rand.NewPCG(seed, 2))
	as = 1 // the way it is
	for range draws {
		total := 0
		for _, d := range apart {
			if rng.IntN(2) == 1 {
				d = -d
			}
			total += d
		}
		if abs(total) >= seen {
			as++
		}
	}
	return float64(as) / (draws + 1), false
}

func sum(of []int) int {
	total := 0
	for _, v := range of {
		total += v
	}
	return total
}

func abs(v int) int {
	if v < 0 {
		return -v
	}
	return v
}

// guessing is the chance to find the odd one of three without tasting it.
const guessing = 1.0 / 3

// Triangle is what three cups, of which two are alike, have shown: P is the chance
// that as many or more find the odd one by guessing, Discriminators the share of
// tasters who can tell, with 95 % limits.
type Triangle struct{ P, Discriminators, Low, High float64 }

// Odd works a triangle out: of so many tasters so many were right.
func Odd(tasters, right int) Triangle {
	n, c := float64(tasters), float64(right)
	t := Triangle{P: 1, High: telling(1)}
	if right > 0 {
		// P(X >= c) of a binomial as an incomplete beta function.
		t.P = distuv.Beta{Alpha: c, Beta: n - c + 1}.CDF(guessing)
		t.Low = telling(distuv.Beta{Alpha: c, Beta: n - c + 1}.Quantile(outside / 2))
	}
	if right < tasters {
		t.High = telling(distuv.Beta{Alpha: c + 1, Beta: n - c}.Quantile(1 - outside/2))
	}
	t.Discriminators = telling(c / n)
	return t
}

// outside is how much lies outside the limits of Clopper and Pearson.
const outside = 0.05

// telling turns a share of right answers into the share of those who can tell: the
// others guess.
func telling(share float64) float64 { return max(0, (share-guessing)/(1-guessing)) }
