package server

import (
	"encoding/json"
	"errors"
	"fmt"
	"slices"
	"time"

	"github.com/gofiber/fiber/v3"

	"yembra/core/market"
	"yembra/formats"
	"yembra/server/texts"
	"yembra/store"
)

// The kinds of guest's link: a card to read, a day's list to read, a shopping
// list to tick.
const (
	cardLink     = "card"
	dayLink      = "day"
	shoppingLink = "shopping"
	tastingLink  = "tasting"
)

// Bounds of a link.
const (
	mostHours = 24 * 31
	usualTime = 24
)

// LinkRequest makes a guest's link.
type LinkRequest struct {
	Kind  string  `json:"kind"`
	About string  `json:"about"`
	Hours float64 `json:"hours"`
}

// GuestView is what a guest's link opens.
type GuestView struct {
	Kind  string        `json:"kind"`
	Name  string        `json:"name"`
	Until int64         `json:"until"`
	Card  *formats.Card `json:"card" jsonschema:"nullable"`
	// Tasks are those of the day, in order; Shopping what to buy.
	Tasks    []GuestTask  `json:"tasks"`
	Shopping *market.List `json:"shopping" jsonschema:"nullable"`
	Ticked   []string     `json:"ticked"`
	// Sheet is what a taster is asked.
	Sheet *SheetView `json:"sheet" jsonschema:"nullable"`
}

// GuestTask is a task of a day as a guest reads it.
type GuestTask struct {
	Start string `json:"start"`
	Name  string `json:"name"`
	Text  string `json:"text"`
	Cue   string `json:"cue"`
}

func (k *Kitchen) makeLink(c fiber.Ctx) error {
	var r LinkRequest
	if err := decode(c, &r); err != nil {
		return err
	}
	if r.Hours == 0 {
		r.Hours = usualTime
	}
	if !(r.Hours > 0 && r.Hours <= mostHours) {
		return unprocessable(texts.Say("aLinkIsGoodForA"), fieldError{"hours", texts.Say("mustBeAbove0AndAt", mostHours)})
	}
	name := ""
	switch r.Kind {
	case cardLink:
		d, err := k.open(c.Context(), r.About)
		if err != nil {
			return err
		}
		name = d.Document.Name
	case dayLink, shoppingLink:
		e, err := k.Store.Entry(c.Context(), store.DayEntry, r.About)
		if err != nil {
			return err
		}
		var d DayDocument
		if err := json.Unmarshal(e.Body, &d); err != nil {
			return fmt.Errorf("decode day %s: %w", e.Key, err)
		}
		name = d.Name
	case tastingLink:
		t, err := k.tastingOf(c.Context(), r.About)
		if err != nil {
			return err
		}
		name = t.Name
	default:
		return unprocessable(texts.Say("aLinkOpensACardA"), fieldError{"kind", texts.Say("isNoneOfCardDayShopping", r.Kind)})
	}
	lasts := time.Duration(r.Hours * float64(time.Hour))
	l, token, err := k.Store.MakeLink(c.Context(), r.Kind, r.About, name, lasts)
	if err != nil {
		return err
	}
	return answerCode(c, k.base(c)+"/guest/"+token, time.UnixMilli(l.Until), &l)
}

func (k *Kitchen) takeLinkBack(c fiber.Ctx) error {
	if err := k.Store.TakeLinkBack(c.Context(), c.Params("id")); err != nil {
		return err
	}
	return c.SendStatus(fiber.StatusNoContent)
}

// linkOf is the link by which a guest comes.
func (k *Kitchen) linkOf(c fiber.Ctx, opened bool) (store.Link, error) {
	l, err := k.Store.LinkOf(c.Context(), c.Params("token"), opened)
	if errors.Is(err, store.ErrNoEntry) {
		return l, problem{Title: texts.Say("thisLinkOpensNothing"), Status: fiber.StatusNotFound, Detail: texts.Say("itsTimeIsUpItWas")}
	}
	return l, err
}

// showGuest opens what a guest's link is for, and nothing else.
func (k *Kitchen) showGuest(c fiber.Ctx) error {
	l, err := k.linkOf(c, c.Query("again") == "") // who looks again has not opened it anew
	if err != nil {
		return err
	}
	v := GuestView{Kind: l.Kind, Name: l.Name, Until: l.Until, Tasks: []GuestTask{}, Ticked: []string{}}
	if l.Kind == cardLink {
		d, err := k.open(c.Context(), l.About)
		if err != nil {
			return err
		}
		card, err := k.card(d)
		if err != nil {
			return err
		}
		settings, err := k.loadSettings(c.Context())
		if err != nil {
			return err
		}
		if err := k.sizeCard(&card, 1, settings.Measures); err != nil {
			return err
		}
		v.Card = &card
		return c.JSON(v)
	}
	if l.Kind == tastingLink {
		v.Sheet, err = k.sheetFor(c.Context(), l.About, c.Query("taster"))
		if err != nil {
			return err
		}
		return c.JSON(v)
	}
	e, err := k.Store.Entry(c.Context(), store.DayEntry, l.About)
	if err != nil {
		return err
	}
	day, err := k.viewDay(c.Context(), e)
	if err != nil {
		return err
	}
	if l.Kind == shoppingLink {
		v.Shopping, v.Ticked = &day.Shopping, day.Document.Ticked
		return c.JSON(v)
	}
	start := map[string]string{}
	for _, t := range day.Plan.Tasks {
		start[t.ID] = t.Start
	}
	for _, j := range day.Jobs {
		v.Tasks = append(v.Tasks, GuestTask{start[j.ID], j.Name, j.Text, j.Cue})
	}
	return c.JSON(v)
}

// TickRequest says that an item is bought, or is not.
type TickRequest struct {
	Item string `json:"item"`
	On   bool   `json:"on"`
}

// mostItem bounds the name of an item that is ticked, mostTicked how many are.
const (
	mostItem   = 200
	mostTicked = 2000
	tickAgain  = 20
)

// tickGuest ticks an item for a guest with a shopping link.
func (k *Kitchen) tickGuest(c fiber.Ctx) error {
	l, err := k.linkOf(c, false)
	if err != nil {
		return err
	}
	if l.Kind != shoppingLink {
		return problem{Title: texts.Say("toReadOnly"), Status: fiber.StatusForbidden, Detail: texts.Say("thisLinkIsToReadNothing")}
	}
	c.SetContext(store.WithScreen(c.Context(), "guest"))
	return k.tickOf(c, l.About)
}

func (k *Kitchen) tickDay(c fiber.Ctx) error { return k.tickOf(c, c.Params("id")) }

// tickOf ticks one item of a day, whoever else is ticking others meanwhile.
func (k *Kitchen) tickOf(c fiber.Ctx, id string) error {
	var r TickRequest
	if err := decode(c, &r); err != nil {
		return err
	}
	if r.Item == "" || len(r.Item) > mostItem {
		return unprocessable(texts.Say("sayWhichItemIsMeant"), fieldError{"item", texts.Say("isEmptyOrLongerThanLetters", mostItem)})
	}
	for range tickAgain {
		e, err := k.Store.Entry(c.Context(), store.DayEntry, id)
		if err != nil {
			return err
		}
		var d DayDocument
		if err := json.Unmarshal(e.Body, &d); err != nil {
			return fmt.Errorf("decode day %s: %w", id, err)
		}
		if slices.Contains(d.Ticked, r.Item) == r.On {
			return c.JSON(d.Ticked)
		}
		if r.On {
			d.Ticked = append(d.Ticked, r.Item)
		} else {
			d.Ticked = slices.DeleteFunc(d.Ticked, func(x string) bool { return x == r.Item })
		}
		if len(d.Ticked) > mostTicked {
			return unprocessable(texts.Say("thatIsMoreThanAList"), fieldError{"item", texts.Say("isOneBeyond", mostTicked)})
		}
		body, err := json.Marshal(d)
		if err != nil {
			return fmt.Errorf("encode the day: %w", err)
		}
		_, err = k.Store.ChangeEntry(c.Context(), store.DayEntry, id, e.Version, body)
		if errors.Is(err, store.ErrChanged) {
			continue // somebody else ticked meanwhile
		}
		if err != nil {
			return err
		}
		return c.JSON(d.Ticked)
	}
	return errDayChanged
}

// past lists what became of a dish, and which screen did it.
func (k *Kitchen) past(c fiber.Ctx) error {
	list, err := k.Store.Past(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	if len(list) == 0 {
		return store.ErrNotFound
	}
	for i := range list {
		list[i].What = texts.Retold(list[i].What)
	}
	return c.JSON(list)
}
