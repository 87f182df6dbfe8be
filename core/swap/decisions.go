package swap

import (
	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
)

// Decisions are what a cook has chosen; everything else is computed from them
// and the original.
type Decisions struct {
	HouseRules HouseRules `json:"houseRules"`
	Pins       []string   `json:"pins"`
	// Swaps maps a line of the original to a swap: by its id in a kept dish, by
	// its place ("components[0].lines[3]") elsewhere, as all that follows.
	Swaps map[string]string `json:"swaps"`
	// Uses are what an ingredient does in the dish where the cook has set it
	// right, by line.
	Uses map[string]string `json:"uses,omitempty"`
	// Amounts are factors, by line: on what the book says of a swap, or on what the
	// original has of a line that stays.
	Amounts map[string]float64 `json:"amounts,omitempty"`
	// Reasons say why, by line.
	Reasons  map[string]string `json:"reasons,omitempty"`
	Boosters []Dose            `json:"boosters"`
	// Wording is the cook's own text for steps of the method, by their key; it
	// stands whatever else is computed anew.
	Wording map[string]string `json:"wording,omitempty"`
	// Figures are times, heats and cues that the cook has set for steps, by
	// their key.
	Figures map[string]Figures `json:"figures,omitempty"`
	// Order is the cook's order of the steps of a part, by its id or number:
	// keys of steps. Steps it does not name keep their place.
	Order map[string][]string `json:"order,omitempty"`
	// SidePot is for guests who eat the original.
	SidePot *SidePot `json:"sidePot,omitempty" jsonschema:"nullable"`
	// LivesFrom is the cook's sentence on what the dish lives from.
	LivesFrom string `json:"livesFrom"`
	// Country is where the cook says the dish is from, which is kept with the dish.
	Country string `json:"-"`
}

// Figures replace what a step says; nil or empty leaves it.
type Figures struct {
	Minutes *measure.Span `json:"minutes,omitempty" jsonschema:"nullable"`
	Celsius *float64      `json:"celsius,omitempty" jsonschema:"nullable"`
	Cue     string        `json:"cue,omitempty"`
	// Why is why the cook has it so.
	Why string `json:"why,omitempty"`
}

// SidePot says how many at the table eat the original.
type SidePot struct {
	Guests float64 `json:"guests"`
}

// Dose is a booster with its grams in the whole dish.
type Dose struct {
	Food  string  `json:"food"`
	Form  string  `json:"form"`
	Grams float64 `json:"grams"`
	// Component is the part of the dish it goes into; Part its lasting name in a
	// kept dish, which counts where both are given.
	Component int    `json:"component"`
	Part      string `json:"part,omitempty"`
	Why       string `json:"why"`
}

// Change says what became of a line or step.
type Change string

// The changes of the contract.
const (
	Kept     Change = "kept"
	Swapped  Change = "swapped"
	Booster  Change = "booster"
	Dropped  Change = "dropped"
	Adjusted Change = "adjusted"
	Changed  Change = "changed"
	Added    Change = "added"
)

// Line is a line of the adaptation: From names the original line it stands
// for, nil for what is new.
type Line struct {
	recipe.Line
	From   *string `json:"from" jsonschema:"nullable"`
	Change Change  `json:"change"`
	// Made is the swap that a part of its own makes, where the line stands for what
	// comes of it.
	Made string `json:"-"`
	// Serves is what the original says at its end that it is for, at the table or the board: "to spread".
	Serves string `json:"-"`
}

// Step is a step of the adaptation with the original steps it comes from.
type Step struct {
	recipe.Step
	From   []int  `json:"from"`
	Change Change `json:"change"`
	Why    string `json:"why"`
	// Key names the step for the cook's own wording; Own tells that it is the
	// cook's, and Written what would stand otherwise.
	Key     string `json:"key"`
	Own     bool   `json:"own"`
	Written string `json:"written"`
	// Heat is that of the ring ("low", "medium", "high"), or "oven"; Kit what
	// the step takes up.
	Heat string   `json:"heat"`
	Kit  []string `json:"kit"`
	// Work is about how many minutes hands are busy, Wait how many it then
	// cooks or stands by itself.
	Work float64 `json:"work"`
	Wait float64 `json:"wait"`
	// Prepares names the swap that an added step prepares.
	Prepares string `json:"prepares,omitempty"`
	// Findings are what reading the step back found that a cook must look at;
	// Quote is then the original's own sentence, shown beside it.
	Findings []Finding `json:"findings,omitempty"`
	Quote    string    `json:"quote,omitempty"`
	// Nodes are the actions of the original that it carries, by their number in
	// the flow; they are kept nowhere.
	Nodes []int `json:"-"`
	// Begins is the word with which the book has it begin, by which the cook's decisions find it though it is said otherwise
	// in this dish; it is kept nowhere.
	Begins string `json:"-"`
	// Cautions are what can hurt at this step.
	Cautions []larder.Caution `json:"cautions"`
}

// Finding is something that reading an adapted card back has found.
type Finding struct {
	Kind FindingKind `json:"kind"`
	Text string      `json:"text"`
}

// FindingKind says what sort of thing is wrong.
type FindingKind string

// The kinds of finding.
const (
	// NamesAnimal: animal matter or a part of a body is named.
	NamesAnimal FindingKind = "animal"
	// NotRead: a sentence does not read as work on a thing.
	NotRead FindingKind = "unread"
	// OtherThan: what is read is not what was meant.
	OtherThan FindingKind = "meaning"
	// UnusedLine: nothing is done with a listed line.
	UnusedLine FindingKind = "unused"
	// Unlisted: something is used that is neither listed nor made.
	Unlisted FindingKind = "unlisted"
	// TooEarly: something is used before it is made.
	TooEarly FindingKind = "order"
	// BeyondLimit: something cooks longer than it bears, or twice.
	BeyondLimit FindingKind = "limit"
	// EatenRaw: flour, pulses or starch that nothing cooks.
	EatenRaw FindingKind = "raw"
	// NotMade: an amount that cannot be made or measured.
	NotMade FindingKind = "amount"
	// LeftAside: something was taken out, and nothing puts it back.
	LeftAside FindingKind = "aside"
	// AgainstHouse: it works in a way that the house rules bar.
	AgainstHouse FindingKind = "house"
)

// Component is a component of the adaptation.
type Component struct {
	Name  string `json:"name"`
	Lines []Line `json:"lines"`
	Steps []Step `json:"steps"`
	// Heading is what it is to be called on the card, while that is written.
	Heading string `json:"-"`
}

// Chosen is a swap that was put in.
type Chosen struct {
	Replaces string `json:"replaces"`
	Swap     string `json:"swap"`
	Name     string `json:"name"`
	// Lines are the indexes, within the component, of the lines it brought.
	Lines []int  `json:"lines"`
	Why   string `json:"why"`
	Use   string `json:"use"`
	Rule  string `json:"rule"`
	// Amount is the cook's factor on the book's amounts.
	Amount   float64    `json:"amount"`
	Limits   string     `json:"limits"`
	Cautions []string   `json:"cautions"`
	Rejected []Rejected `json:"rejected"`
}

// Rejected is a swap that a hard rule forbids.
type Rejected struct {
	Swap string `json:"swap"`
	Rule string `json:"rule"`
}

// Open is a line for which nothing is chosen or nothing is allowed.
type Open struct {
	Line string `json:"line"`
	Why  string `json:"why"`
	// Nearest is the swap that would serve best if the rules allowed it.
	Nearest *Nearest `json:"nearest,omitempty" jsonschema:"nullable"`
}

// Nearest is a swap that the rules forbid, with what it would break.
type Nearest struct {
	Swap   string `json:"swap"`
	Name   string `json:"name"`
	Breaks string `json:"breaks"`
}

// Adaptation is the whole answer: lines, what was put in, and how the
// character came over. Steps are filled in by the method package.
type Adaptation struct {
	Components []Component         `json:"components"`
	Swaps      []Chosen            `json:"swaps"`
	Boosters   []Dose              `json:"boosters"`
	Traits     []character.Thread  `json:"traits"`
	Structure  []character.Holding `json:"structure"`
	Tally      character.Tally     `json:"tally"`
	Unresolved []Open              `json:"unresolved"`
	// SidePots are the branches for guests who eat the original.
	SidePots []Branch `json:"sidePots"`
}

// Nothing is an adaptation without anything in it.
func Nothing() Adaptation {
	return Adaptation{Components: []Component{}, Swaps: []Chosen{}, Boosters: []Dose{}, Traits: []character.Thread{}, Structure: []character.Holding{}, Unresolved: []Open{}, SidePots: []Branch{}}
}

// Branch is a side pot: from which step it parts from the dish, what goes into
// it, what is done with it and when it is ready.
type Branch struct {
	Component string  `json:"component"`
	Guests    float64 `json:"guests"`
	// Step is the number of the step of the component before which the branch
	// begins, 0 when it stands alone.
	Step int `json:"step"`
	// Sauce is about how many grams it is fed from the dish.
	Sauce float64  `json:"sauce"`
	Lines []string `json:"lines"`
	Steps []string `json:"steps"`
	// Core says to what the middle is heated, with the source.
	Core []string `json:"core"`
}
