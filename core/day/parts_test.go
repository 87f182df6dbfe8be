package day

import (
	"testing"

	"github.com/stretchr/testify/require"
)

// fourJobs are two that want the only cook, one without length, and one that wants one of two rings.
func fourJobs() *problem {
	return &problem{
		pools: []pool{{"cooks", 1}, {"rings", 2}},
		jobs: []job{
			{length: 10, needs: []need{{cooksPool, 1}}},
			{length: 10, needs: []need{{cooksPool, 1}}},
			{needs: []need{{cooksPool, 1}}},
			{length: 10, needs: []need{{ringsPool, 1}}},
		},
	}
}

// Two jobs exclude each other that want more of a pool than there is, and only where both take time.
func TestJobsExcludeEachOtherThatWantMoreThanThereIs(t *testing.T) {
	p := fourJobs()
	for _, x := range []struct {
		i, j int
		out  bool
	}{{0, 1, true}, {0, 2, false}, {2, 1, false}, {0, 3, false}, {3, 3, false}} {
		require.Equal(t, x.out, p.exclude(x.i, x.j), "%d and %d", x.i, x.j)
		require.Equal(t, x.out, p.exclude(x.j, x.i), "%d and %d", x.j, x.i)
	}
	p.pools[ringsPool].capacity = 1
	require.True(t, p.exclude(3, 3), "one ring")
}

// A job is put as late as it fits, not before the earliest, and nowhere where that is past.
func TestAJobIsPutAsLateAsItFits(t *testing.T) {
	p := fourJobs()
	f := newProfile(p)
	require.Equal(t, 50, f.latestIn(&p.jobs[0], 0, 50, -1))
	require.Equal(t, 50, f.latestIn(&p.jobs[0], 50, 50, -1))
	require.Equal(t, -1, f.latestIn(&p.jobs[0], 51, 50, -1))
	require.Equal(t, 50, f.latestIn(&p.jobs[2], 0, 50, -1), "what takes no time fits anywhere")
}
