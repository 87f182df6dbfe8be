package recipe

import (
	"iter"

	"yembra/core/measure"
)

// Refs are all that an action refers to: what it is done to, with what and into what.
func (a *Action) Refs() iter.Seq[*Ref] {
	return func(yield func(*Ref) bool) {
		for _, refs := range [...][]Ref{a.To, a.With, a.Into} {
			for i := range refs {
				if !yield(&refs[i]) {
					return
				}
			}
		}
	}
}

// Action is one thing done in a step: a verb, what it is done to, with what,
// into what, how long, how hot and until when. From and Upto are offsets in
// characters into the step's text.
type Action struct {
	ID string `json:"id"`
	// Verb is the text's own, in its base form ("stir in"); Technique the name
	// of the table of techniques.
	Verb      string        `json:"verb"`
	Technique string        `json:"technique"`
	To        []Ref         `json:"to"`
	With      []Ref         `json:"with"`
	Into      []Ref         `json:"into"`
	Minutes   *measure.Span `json:"minutes" jsonschema:"nullable"`
	Celsius   *float64      `json:"celsius" jsonschema:"nullable"`
	Cue       string        `json:"cue"`
	// On is the id of what is in hand where only a place of it is named: "brush one edge".
	On string `json:"-"`
	// Per are the grams of what is worked on that take the time said, 0 where all of it does.
	Per float64 `json:"-"`
	// Each tells that it is done anew for each of several: "for each pancake".
	Each bool `json:"-"`
	// Sided tells that it is said of each side of a piece: "2 minutes a side".
	Sided bool `json:"-"`
	From  int  `json:"from"`
	Upto  int  `json:"upto"`
	// Heat is what the text says of the ring ("low"), Vessel where it happens,
	// Manner how ("stirring often"), Makes what the text calls the outcome.
	Heat   string `json:"heat,omitempty"`
	Vessel string `json:"vessel,omitempty"`
	// Across is the vessel's width in centimetres, 0 where the text does not say.
	Across float64  `json:"across,omitempty"`
	Manner []string `json:"manner,omitempty"`
	Makes  string   `json:"makes,omitempty"`
	// Alone tells that it goes on without hands once it is begun.
	Alone bool `json:"alone,omitempty"`
	// Parallel tells that it is done meanwhile.
	Parallel bool `json:"parallel,omitempty"`
	// Mended tells that the cook has put it right.
	Mended bool `json:"mended,omitempty"`
	// Words are where the text speaks of all this; they are known while a method
	// is being worked on and are kept nowhere.
	Words Words `json:"-"`
}

// Words are where the text of a step speaks of the parts of an action, as offsets
// in characters from and upto; both are 0 where it does not.
type Words struct {
	Verb, Time, Heat, Cue, Vessel [2]int
	// Outcome is where the text says what is to come of it: "to make a mayonnaise".
	Outcome [2]int
	// Shape is where the word for the shape stands that things are given: "into 8 sausages".
	Shape [2]int
	// Aim is where it says before its verb what it is for: "for the sauce".
	Aim [2]int
	// Purpose is where it says behind its verb what is done for: "to crisp the skin".
	Purpose [2]int
	// Particles stand apart from the verb that they belong to: "put the meat back".
	Manners, Particles [][2]int
	Phrases            []Phrase
	// Signs are what a cue waits for, one by one.
	Signs []Sign
}

// Sign is one of the things that a cue waits for, as a sentence has it by itself: "the meat is tender" and
// "the sauce is syrupy", of "until the meat is tender and the sauce syrupy".
type Sign struct {
	Text string
	// Says tells that it says what it is a sign of, Points the pronoun with which it begins to; State is what
	// that has become then: "tender".
	Says          bool
	Points, State string
	// But tells that it only limits the one before it: "but still runny on top".
	But bool
}

// Phrase is one or several things that hang on a verb, by themselves or under a
// preposition: "the carrots and the pork", "in the lard".
type Phrase struct {
	// Role is what the words say ("to", "with", "in", "into" ...); Nouns the
	// things, From the place of the preposition.
	Role       string
	From, Upto int
	Nouns      []Noun
	// Encloses tells of what lies round a thing only while it is worked on: "between two sheets of paper".
	Encloses bool
}

// Noun is how a text names a thing: the whole of it ("half of the butter"), with
// where the name begins behind articles and shares, and what it means.
type Noun struct {
	From, Name, Upto int
	// Pronoun tells of "it" and the like, Plural of more than one, Measured of
	// an amount or share said with it, Vessel of the pot it all is in.
	Pronoun, Plural, Measured, Vessel bool
	// Rest tells of what is left of a thing, All of "everything".
	Rest, All bool
	// Dealt tells that its amount is what each of several gets ("a spoonful on each"), Doled
	// that it is what is taken at a time.
	Dealt, Doled bool
	// Behind is what stands behind a comma of what was done with it: ", chopped".
	Behind [2]int
	Refs   []Ref
}

// Ref points at a thing: a line where a line goes in, what an action made, or
// matter that only the words name. Share is 1 unless a part is meant.
type Ref struct {
	Line  *string `json:"line" jsonschema:"nullable"`
	Made  *string `json:"made" jsonschema:"nullable"`
	Named *string `json:"named" jsonschema:"nullable"`
	Share float64 `json:"share"`
	// Of names the line that is meant of what was made ("lift out the chicken"),
	// Part a part of a line ("yolk").
	Of   string `json:"of,omitempty"`
	Part string `json:"part,omitempty"`
}

// Mend is what the cook says of a place in a step that was not read rightly: that
// the action there is only a remark, or that a line goes in there.
type Mend struct {
	// From is where the action or question begins that is meant.
	From int `json:"from"`
	// As is "remark", "to", "with" or "into".
	As   string `json:"as"`
	Line string `json:"line,omitempty"`
}

// MendRemark takes an action for a remark; the other mends are the roles.
const (
	MendRemark = "remark"
	MendTo     = "to"
	MendWith   = "with"
	MendInto   = "into"
)

// The kinds of aside: words of a step that order no work.
const (
	Condition  = "condition"
	Comparison = "comparison"
	Remark     = "remark"
	Note       = "note"
)

// Aside is a stretch of a step that is no action.
type Aside struct {
	Kind string `json:"kind"`
	From int    `json:"from"`
	Upto int    `json:"upto"`
}

// Question is what a reader of the step would have to ask the cook.
type Question struct {
	Text string `json:"text"`
	From int    `json:"from"`
	Upto int    `json:"upto"`
}
