package server

import (
	"archive/zip"
	"bytes"
	"cmp"
	"fmt"
	"slices"
	"strings"

	"github.com/gofiber/fiber/v3"

	"yembra/core/larder"
	"yembra/formats"
	"yembra/server/texts"
	"yembra/store"
)

// NearDish is a dish that lives from the same as another, and how what was found out
// in the one serves in the other.
type NearDish struct {
	ID   string `json:"id"`
	Name string `json:"name"`
	Say  string `json:"say"`
}

// How near dishes are: by each swap that both have chosen, each food for which the one
// has a swap and the other none yet, and the shares of foods that both use and of
// strong traits that both live from.
const (
	sharedSwap  = 3.0
	sharedWant  = 2.0
	sharedFoods = 4.0
	sharedLife  = 3.0
	leastNear   = 3.0
	mostNear    = 5
)

// near lists the dishes in which what was mastered in this one serves.
func (k *Kitchen) near(c fiber.Ctx) error {
	all, err := k.Store.AllKin(c.Context())
	if err != nil {
		return err
	}
	at := slices.IndexFunc(all, func(x store.Kin) bool { return x.ID == c.Params("id") })
	if at < 0 {
		return store.ErrNotFound
	}
	own := all[at]
	l := k.Core().Larder
	type found struct {
		number int64
		score  float64
		say    string
	}
	var list []found
	for i := range all {
		if x := &all[i]; i != at {
			if score, say := akin(l, &own, x); score >= leastNear && say != "" {
				list = append(list, found{x.Number, score, say})
			}
		}
	}
	slices.SortFunc(list, func(a, b found) int { return cmp.Or(cmp.Compare(b.score, a.score), cmp.Compare(b.number, a.number)) })
	out := []NearDish{}
	says, numbers := map[int64]string{}, []int64{}
	for _, x := range list[:min(len(list), mostNear)] {
		says[x.number], numbers = x.say, append(numbers, x.number)
	}
	rows, err := k.Store.Numbered(c.Context(), numbers, k.Stamp())
	if err != nil {
		return err
	}
	for _, row := range rows {
		out = append(out, NearDish{row.ID, row.Name, says[row.Number]})
	}
	return c.JSON(out)
}

// akin tells how near two dishes are, and which swap of the first serves in the second.
func akin(l *larder.Larder, own, other *store.Kin) (float64, string) {
	score, say := 0.0, ""
	for _, chosen := range own.Chosen {
		id, swapID, _ := strings.Cut(chosen, "=")
		food, swap := id, swapID
		if f := l.Food(id); f != nil {
			food = f.Name
		}
		if s := l.SwapNamed(swapID); s != nil {
			swap = s.Name
		}
		decided := slices.ContainsFunc(other.Chosen, func(x string) bool { return strings.HasPrefix(x, id+"=") })
		switch {
		case slices.Contains(other.Chosen, chosen):
			score += sharedSwap
			if say == "" {
				say = fmt.Sprintf("%s stands for the %s there, too", swap, food)
			}
		case !decided && slices.Contains(other.Uses, id):
			score += sharedWant
			if say == "" {
				say = fmt.Sprintf("it rests on %s, for which you have %s here", food, swap)
			}
		}
	}
	life, both := alike(own.Lives, other.Lives)
	foods, _ := alike(own.Uses, other.Uses)
	if say != "" && len(both) > 0 {
		say += ", and both live from " + strings.Join(both[:min(len(both), mostLives)], " and ")
	}
	return score + sharedFoods*foods + sharedLife*life, say
}

// mostLives is how many shared traits are named.
const mostLives = 2

// alike is the share of two lists that stands in both, and what does.
func alike(a, b []string) (float64, []string) {
	var both []string
	for _, x := range a {
		if slices.Contains(b, x) {
			both = append(both, x)
		}
	}
	n := len(a) + len(b) - len(both)
	if n == 0 {
		return 0, nil
	}
	return float64(len(both)) / float64(n), both
}

// mostCards is how many cards go out together.
const mostCards = 100

// giveOut hands the cards of several dishes on, as PDF in one archive.
func (k *Kitchen) giveOut(c fiber.Ctx) error {
	ids := strings.FieldsFunc(c.Query("ids"), func(r rune) bool { return r == ',' })
	if len(ids) == 0 || len(ids) > mostCards {
		return unprocessable(texts.Say("sayWhichDishesAreMeant"), fieldError{"ids", texts.Say("mustBe1To", mostCards)})
	}
	var out bytes.Buffer
	w := zip.NewWriter(&out)
	for i, id := range ids {
		d, err := k.open(c.Context(), id)
		if err != nil {
			return err
		}
		card, err := k.card(d)
		if err != nil {
			return err
		}
		body, err := formats.ToPDF(card, "")
		if err != nil {
			return err
		}
		part, err := w.Create(fmt.Sprintf("%02d-%s.pdf", i+1, cmp.Or(strings.Join(larder.Words(card.Name), "-"), "dish")))
		if err == nil {
			_, err = part.Write(body)
		}
		if err != nil {
			return fmt.Errorf("write the cards: %w", err)
		}
	}
	if err := w.Close(); err != nil {
		return fmt.Errorf("write the cards: %w", err)
	}
	return sendFile(c, "cards", "zip", "application/zip", out.Bytes())
}

// listPictures lists the pictures of a dish or a trial.
func (k *Kitchen) listPictures(c fiber.Ctx) error {
	list, err := k.picturesOf(c.Context(), c.Params("kind"), c.Params("id"))
	if err != nil {
		return err
	}
	return c.JSON(list)
}

// layOutExamples lays the examples out in a kitchen that is empty.
func (k *Kitchen) layOutExamples(c fiber.Ctx) error {
	k.changing.Lock() // asked for twice, they are laid out once
	defer k.changing.Unlock()
	_, all, err := k.Store.Shelf(c.Context(), store.Wanted{Most: 1})
	if err != nil {
		return err
	}
	if all > 0 || k.Examples == nil {
		return problem{Title: texts.Say("notEmpty"), Status: fiber.StatusConflict, Detail: texts.Say("theExamplesAreLaidOutWhere")}
	}
	if err := k.Examples(c.Context(), k); err != nil {
		return err
	}
	return c.SendStatus(fiber.StatusNoContent)
}
