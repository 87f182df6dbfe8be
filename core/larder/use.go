package larder

import (
	"fmt"
	"slices"
	"strings"
)

// UseRule gives a use to foods of some kinds under a condition on the flow of
// the method.
type UseRule struct {
	Kinds []string
	// Use names what it does there; Why completes the sentence "It ...".
	Use, Why string
	// When holds conditions of which one must be met; none holds always.
	When []UseWhen
	// Example is a recipe whose first line has this use by this rule.
	Example string
}

// UseWhen is a condition: everything it names must hold.
type UseWhen struct {
	Named     []string `yaml:"named"`
	UnNamed   []string `yaml:"un-named"`
	To        []string `yaml:"to"`
	With      []string `yaml:"with"`
	Into      []string `yaml:"into"`
	Dry       []string `yaml:"dry"`
	Worked    []string `yaml:"worked"`
	Moved     []string `yaml:"moved"`
	Next      []string `yaml:"next"`
	Reached   []string `yaml:"reached"`
	Unreached []string `yaml:"unreached"`
	Any       []string `yaml:"any"`
	None      []string `yaml:"none"`
	Verbs     []string `yaml:"verbs"`
	Later     []string `yaml:"later"`
	Said      []string `yaml:"said"`
	Vessel    []string `yaml:"vessel"`
	Told      []string `yaml:"told"`
	Written   []string `yaml:"written"`
	Unwritten []string `yaml:"unwritten"`
	Component []string `yaml:"component"`
	Parts     []string `yaml:"parts"`
	Form      []string `yaml:"form"`
	Foods     []string `yaml:"foods"`
	FoodsKind []string `yaml:"foods-kind"`
	Beside    *Times   `yaml:"beside"`
	Under     *Times   `yaml:"under"`
	MassOver  *Times   `yaml:"mass-over"`
	Grams     *More    `yaml:"grams"`
	Mass      float64  `yaml:"mass"`
	MassLeast float64  `yaml:"mass-least"`
	// Share is the most of its component that the line may be; Late tells that
	// nothing is cooked for long once it is in.
	Share float64 `yaml:"share"`
	Late  bool    `yaml:"late"`
	// Cold tells that it goes into nothing that is hot.
	Cold bool `yaml:"cold"`
}

// Times is a multiple of the line's own mass, of foods, kinds or shelves.
type Times struct {
	Of    string  `yaml:"of"`
	Times float64 `yaml:"times"`
}

// More is a mass in grams of foods, kinds or shelves that must be passed.
type More struct {
	Of   string  `yaml:"of"`
	More float64 `yaml:"more"`
}

// UseRules lists the rules, the most specific first.
func (l *Larder) UseRules() []UseRule { return l.uses }

// UsesOf lists the uses that foods of a kind can have, in the order of the rules.
func (l *Larder) UsesOf(kind string) []string { return l.usesByKind[kind] }

// KnownUse tells whether any rule gives a use of that name.
func (l *Larder) KnownUse(use string) bool {
	return slices.ContainsFunc(l.uses, func(r UseRule) bool { return r.Use == use })
}

// OwnFirst tells whether a use asks for a shape, such as a slice that can be coated: swaps for any use come in only
// where none is made for it.
func (l *Larder) OwnFirst(use string) bool { return l.ownFirst[use] }

// LiesWhole tells whether what has a use lies in one piece in what it goes into, which nobody stirs from then on.
func (l *Larder) LiesWhole(use string) bool { return l.whole[use] }

// StrictUse tells whether for a use only a swap will do that is made for it.
func (l *Larder) StrictUse(use string) bool { return l.strict[use] }

func (l *Larder) loadUses(src Source) error {
	var file []struct {
		Kinds   string `yaml:"kinds"`
		Use     string `yaml:"use"`
		Why     string `yaml:"why"`
		When    whens  `yaml:"when"`
		Example string `yaml:"example"`
		Own     bool   `yaml:"own"`
		Strict  bool   `yaml:"strict"`
		Whole   bool   `yaml:"whole"`
	}
	if err := src.Decode("uses.yaml", &file); err != nil {
		return fmt.Errorf("uses.yaml: %w", err)
	}
	l.usesByKind, l.ownFirst, l.strict, l.whole = map[string][]string{}, map[string]bool{}, map[string]bool{}, map[string]bool{}
	for _, r := range file {
		rule := UseRule{strings.Fields(r.Kinds), r.Use, r.Why, r.When, r.Example}
		l.ownFirst[r.Use] = l.ownFirst[r.Use] || r.Own
		l.strict[r.Use] = l.strict[r.Use] || r.Strict
		l.whole[r.Use] = l.whole[r.Use] || r.Whole
		l.uses = append(l.uses, rule)
		for _, k := range rule.Kinds {
			if !slices.Contains(l.usesByKind[k], r.Use) {
				l.usesByKind[k] = append(l.usesByKind[k], r.Use)
			}
		}
	}
	return nil
}

// whens reads one condition or a list of them.
type whens []UseWhen

// UnmarshalYAML reads a mapping as a list of one.
func (w *whens) UnmarshalYAML(decode func(any) error) error {
	var list []UseWhen
	if err := decode(&list); err == nil {
		*w = list
		return nil
	}
	var one UseWhen
	if err := decode(&one); err != nil {
		return err
	}
	*w = whens{one}
	return nil
}
