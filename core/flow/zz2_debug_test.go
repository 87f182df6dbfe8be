package flow

import (
	"fmt"
	"os"
	"testing"

	"yembra/core/larder"
	"yembra/core/lex"
	"yembra/core/measure"
)

func TestYY(t *testing.T) {
	raw, err := os.ReadFile(os.Getenv("ZZ"))
	if err != nil {
		t.Skip()
	}
	r := reader(t)
	d := r.Read(string(raw), measure.Metric)
	foods := r.foodWords(&d)
	for _, at := range d.Method() {
		s := d.Components[at.Component].Steps[at.Step]
		tokens := lex.Scan(s.Text)
		tx := &text{source: s.Text, lang: r.lang, tokens: tokens, words: wordsOf(tokens), foods: foods.known, listed: foods.listed, describing: func(w string) bool { return r.larder.Words().Neutral[w] }, technique: r.larder.Technique}
		for _, u := range tx.parse() {
			if u.clause == nil {
				fmt.Println("  aside", u.aside, tx.slice(u.from, u.upto))
				continue
			}
			c := u.clause
			fmt.Printf("  %s tech=%s objs=", c.said, c.sense.Technique)
			for _, n := range c.objects {
				fmt.Printf("%v ", n.words)
			}
			for _, l := range c.links {
				fmt.Printf(" [%s/%s", l.role, l.word)
				for _, n := range l.nouns {
					fmt.Printf(" %v", n.words)
				}
				fmt.Printf("]")
			}
			fmt.Println(" parts", c.particles, "how", c.manner)
		}
	}
	_ = larder.RawForm
}
