package server

import (
	"context"
	"errors"
	"fmt"

	"github.com/gofiber/fiber/v3"
	"github.com/google/uuid"

	"yembra/core/larder"
	"yembra/formats"
	"yembra/server/texts"
	"yembra/store"
)

// Picture is a photograph that a page shows: its points are fetched by its id.
type Picture struct {
	ID     string `json:"id"`
	Width  int    `json:"width"`
	Height int    `json:"height"`
	Made   string `json:"made"`
}

// What pictures are of.
const (
	dishPicture  = "dish"
	trialPicture = "trial"
)

// mostPictures is how many pictures a dish or a trial has.
const mostPictures = 12

// picturesPath takes longer bodies than most.
const picturesPath = "/api/pictures/"

func (k *Kitchen) picturesOf(ctx context.Context, kind, about string) ([]Picture, error) {
	list, err := k.Store.Pictures(ctx, kind, about)
	out := []Picture{}
	for _, p := range list {
		out = append(out, Picture{p.ID, p.Width, p.Height, p.Made})
	}
	return out, err
}

// addPicture keeps a photograph of a dish or a trial, as JPEG or PNG in the body.
func (k *Kitchen) addPicture(c fiber.Ctx) error {
	kind, about := c.Params("kind"), c.Params("id")
	var err error
	switch kind {
	case dishPicture:
		_, err = k.Store.Dish(c.Context(), about)
	case trialPicture:
		_, err = k.Store.Entry(c.Context(), store.TrialEntry, about)
	default:
		return unprocessable(texts.Say("aPictureIsOfADish"), fieldError{"kind", texts.Say("mustBeOr", dishPicture, trialPicture)})
	}
	if err != nil {
		return err
	}
	if err := k.AddPicture(c.Context(), kind, about, c.Request().Body()); err != nil {
		return err
	}
	list, err := k.picturesOf(c.Context(), kind, about)
	if err != nil {
		return err
	}
	return c.Status(fiber.StatusCreated).JSON(list)
}

// AddPicture keeps a photograph of a dish or a trial.
func (k *Kitchen) AddPicture(ctx context.Context, kind, about string, body []byte) error {
	k.changing.Lock() // one picture is unpacked at a time
	defer k.changing.Unlock()
	have, err := k.Store.Pictures(ctx, kind, about)
	if err != nil {
		return err
	}
	if len(have) >= mostPictures {
		return unprocessable(texts.Say("thatIsMoreThanIsKept"), fieldError{"picture", texts.Say("isOneBeyond", mostPictures)})
	}
	p, err := formats.NewPicture(body)
	if errors.Is(err, formats.ErrPicture) {
		return unprocessable(larder.Capital(err.Error())+".", fieldError{"picture", err.Error()})
	}
	if err != nil {
		return err
	}
	id, err := uuid.NewV7()
	if err != nil {
		return fmt.Errorf("make an id: %w", err)
	}
	return k.Store.SavePicture(ctx, store.Picture{ID: id.String(), Kind: kind, About: about, Width: p.Width, Height: p.Height}, p.Full, p.Small)
}

// showPicture is a picture as JPEG; small where that is asked for. What stands under
// an id never changes.
func (k *Kitchen) showPicture(c fiber.Ctx) error {
	body, err := k.Store.PictureBody(c.Context(), c.Params("id"), c.Query("small") == "true")
	if err != nil {
		return err
	}
	c.Set("Content-Type", "image/jpeg")
	c.Set("Cache-Control", "private, max-age=31536000, immutable")
	return c.Send(body)
}

// takePicture takes a picture away; takePictureBack brings it back.
func (k *Kitchen) takePicture(c fiber.Ctx) error     { return k.pictureIs(c, true) }
func (k *Kitchen) takePictureBack(c fiber.Ctx) error { return k.pictureIs(c, false) }

func (k *Kitchen) pictureIs(c fiber.Ctx, gone bool) error {
	if err := k.Store.TakePicture(c.Context(), c.Params("id"), gone); err != nil {
		return err
	}
	return c.SendStatus(fiber.StatusNoContent)
}
