package server

import (
	"context"
	"fmt"
	"slices"
	"time"

	"github.com/gofiber/fiber/v3"

	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/stove"
	"yembra/formats"
	"yembra/server/texts"
)

// trialCard hands a trial on as a card: as it was, how it was cooked, and what its
// tables said.
func (k *Kitchen) trialCard(c fiber.Ctx) error {
	if format := c.Params("format"); format != "pdf" && format != "markdown" && format != "html" {
		return problem{Title: texts.Say("notFound"), Status: fiber.StatusNotFound, Detail: texts.Say("aTrialIsGivenOutAs")}
	}
	x, err := k.trialNamed(c.Context(), c.Params("id"), c.Params("trial"))
	if err != nil {
		return err
	}
	card := formats.Card{
		Name: x.dish.Name + ", trial of " + time.UnixMilli(x.trial.Kept).UTC().Format("2 January 2006"), Factor: 1, Beside: [][]string{}, Open: x.dish.Open, Changed: []formats.Replaced{}, Findings: []formats.CardFinding{}, Short: []string{},
		Cautions: []formats.CardCaution{}, Allergens: x.dish.Allergens, Labels: []string{}, Keeping: []string{}, Sizing: []string{}, Measured: []string{}, SidePots: []formats.Pot{}, Sources: []string{},
		Cooked: x.cooked(),
	}
	for _, x := range x.dish.Cautions {
		card.Cautions = append(card.Cautions, formats.CardCaution{Text: x.Text, Grave: x.Grave})
	}
	part := recipe.Component{Lines: []recipe.Line{}, Steps: []recipe.Step{}}
	for _, l := range x.dish.Lines {
		part.Lines = append(part.Lines, recipe.Line{Text: l.Text, Name: l.Food})
	}
	for _, text := range x.dish.Steps {
		part.Steps = append(part.Steps, recipe.Step{Text: text})
	}
	card.Dish = recipe.Dish{Name: card.Name, Serves: &measure.Span{Low: x.dish.Servings, High: x.dish.Servings}, Components: []recipe.Component{part}}
	if card.Table, err = k.verdict(c.Context(), x); err != nil {
		return err
	}
	pictures, err := k.Store.Pictures(c.Context(), trialPicture, x.id)
	if err == nil && len(pictures) > 0 {
		card.Plate, err = k.Store.PictureBody(c.Context(), pictures[0].ID, false)
	}
	if err != nil {
		return err
	}
	return sendCard(c, card)
}

// cooked says how a trial was cooked.
func (x *kept) cooked() []string {
	out := []string{}
	if x.trial.Words != "" {
		out = append(out, x.trial.Words)
	}
	for _, d := range x.trial.Summary.Different {
		out = append(out, d.Text)
	}
	out = append(out, x.weighed()...)
	if x.trial.Program.Knowledge != "" {
		out = append(out, "Worked out with the knowledge of version "+x.trial.Program.Knowledge+".")
	}
	return out
}

// weighed are the weighings of a trial, and the temperatures found, in words.
func (x *kept) weighed() []string {
	out := []string{}
	for _, w := range x.trial.Summary.Weighed {
		out = append(out, fmt.Sprintf("%s: lost %.0f g of %.0f g, %.0f g foreseen", w.What, w.Lost, w.Before, w.Foreseen))
	}
	return append(out, stove.Found(&x.trial.Program, x.trial.Events)...)
}

// verdict is what every table has said of a trial, with its numbers.
func (k *Kitchen) verdict(ctx context.Context, x *kept) ([]string, error) {
	out := []string{}
	tables, err := k.tastingsOf(ctx, x.dish.ID)
	if err != nil {
		return nil, err
	}
	for _, t := range tables {
		v, err := k.judged(ctx, t)
		if err != nil {
			return nil, err
		}
		for i, s := range t.Served {
			if s.Trial != x.id {
				continue
			}
			at := slices.IndexFunc(v.Answer.Trials, func(j JudgedTrial) bool { return j.ID == s.Letter })
			if at >= 0 && v.Answer.Trials[at].Liking != nil {
				out = append(out, fmt.Sprintf("%s: liked %.1f of 9, by %d.", t.Name, v.Answer.Trials[at].Liking.Mean, v.Answer.Trials[at].Tasters))
			}
			if i < len(v.Said) {
				out = append(out, v.Said[i].Say...)
			}
		}
		for _, c := range v.Compared {
			if c.A == x.id || c.B == x.id {
				out = append(out, c.Say)
			}
		}
		if v.Odd != "" && slices.ContainsFunc(t.Served, func(s Glass) bool { return s.Trial == x.id }) {
			out = append(out, "Triangle: "+v.Odd)
		}
	}
	return out, nil
}
