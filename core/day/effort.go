package day

import "context"

// effort is the work still allowed to an answer, shared by all searches behind
// it. It is counted in passes of the innermost loops rather than in seconds, so
// that the same day always gets the same answer, and ends early when the caller
// has gone or its deadline is near.
type effort struct {
	ctx    context.Context
	left   int
	unseen int // work since the context was last looked at
	gone   bool
	of     *effort // what this is a part of
}

// Work allowed to an answer; see docs/measurements.md for the time it takes.
const (
	workOfAnswer  = 600_000_000
	lookAfter     = 2_000_000 // passes between looks at the context
	partOfPlan    = 0.75      // for finding a plan; the rest explains why there is none
	partOfOptions = 0.35      // of what a new plan may take, for ways out
)

func newEffort(ctx context.Context) *effort { return &effort{ctx: ctx, left: workOfAnswer} }

// part is a share of what is left, spent from both.
func (e *effort) part(share float64) *effort {
	return &effort{ctx: e.ctx, left: int(share * float64(max(e.left, 0))), gone: e.gone, of: e}
}

// spend counts work done and tells whether there is any left.
func (e *effort) spend(passes int) bool {
	for x := e; x != nil; x = x.of {
		x.left -= passes
	}
	if e.unseen += passes; e.unseen >= lookAfter {
		e.unseen = 0
		e.gone = e.gone || e.ctx.Err() != nil
	}
	return !e.spent()
}

// spent tells that the work is used up or nobody waits for it any more.
func (e *effort) spent() bool { return e.left <= 0 || e.gone }
