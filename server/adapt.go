package server

import (
	"fmt"

	"github.com/gofiber/fiber/v3"

	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/swap"
	"yembra/server/texts"
)

// AdaptRequest asks for an adaptation of a read recipe.
type AdaptRequest struct {
	Original   *recipe.Dish    `json:"original"`
	HouseRules swap.HouseRules `json:"houseRules"`
	Pins       []string        `json:"pins"`
	Aim        swap.Aim        `json:"aim"`
}

// Adapt answers an adapt request: proposes, applies and carries the method.
func (k *Kitchen) Adapt(r AdaptRequest) (swap.Adaptation, error) {
	if r.Original == nil {
		return swap.Adaptation{}, badRequest(texts.Say("theOriginalIsMissing"), fieldError{"original", texts.Say("isRequired")})
	}
	if r.Aim == "" {
		r.Aim = swap.Closest
	}
	if !r.Aim.Known() {
		return swap.Adaptation{}, unprocessable(texts.Say("theAimIsNotKnown"), fieldError{"aim", texts.Say("mustBeClosestSimplestCheapestOr")})
	}
	if err := checkPins(r.Pins); err != nil {
		return swap.Adaptation{}, err
	}
	if err := k.checkOriginal(*r.Original); err != nil {
		return swap.Adaptation{}, err
	}
	// What is asked for is what the text says; actions that came along are not
	// trusted.
	k.Core().Reader.Dish(r.Original)
	dec, err := k.Core().Book.Propose(*r.Original, swap.Decisions{HouseRules: r.HouseRules, Pins: r.Pins}, r.Aim)
	if err != nil {
		return swap.Adaptation{}, err
	}
	return k.Core().Carrier.Adapt(*r.Original, dec, true)
}

func checkPins(pins []string) error {
	for i, p := range pins {
		if _, ok := character.TraitNamed(p); !ok {
			return unprocessable(texts.Say("aPinnedTraitIsNotKnown"), fieldError{fmt.Sprintf("pins[%d]", i), texts.Say("isNoTrait", p)})
		}
	}
	return nil
}

// checkOriginal refuses originals that no reader would have made.
func (k *Kitchen) checkOriginal(d recipe.Dish) error {
	return checkOriginalAgainst(k.Core().Larder, d)
}

func checkOriginalAgainst(food *larder.Larder, d recipe.Dish) error {
	if d.Serves != nil && !d.Serves.Within(0, measure.MostServings) {
		return unprocessable(texts.Say("aNumberOfServingsIsNot"), fieldError{"original.serves", texts.Say("mustBeARangeOfFigures", float64(measure.MostServings))})
	}
	lines := 0
	for i, c := range d.Components {
		lines += len(c.Lines)
		for j, l := range c.Lines {
			where := fmt.Sprintf("original.components[%d].lines[%d]", i, j)
			if l.Food != nil && food.Food(*l.Food) == nil {
				return unprocessable(texts.Say("aFoodIsNotInThe"), fieldError{where + ".food", texts.Say("isNotKnown", *l.Food)})
			}
			if l.Grams != nil && !l.Grams.Within(0, measure.MostGrams) {
				return unprocessable(texts.Say("aMassIsNotPossible"), fieldError{where + ".grams", texts.Say("mustBeARangeOfFigures", float64(measure.MostGrams))})
			}
			if l.Amount != nil && !l.Amount.Span().Within(0, measure.MostFigure) {
				return unprocessable(texts.Say("anAmountIsNotPossible"), fieldError{where + ".amount", texts.Say("mustBeARangeOfFigures", float64(measure.MostFigure))})
			}
			if !knownOrigin(l.Origin) {
				return unprocessable(texts.Say("anOriginIsNotKnown"), fieldError{where + ".origin", texts.Say("isNoOrigin", l.Origin)})
			}
		}
		for j, s := range c.Steps {
			for _, n := range s.Lines {
				if n < 0 || n >= len(c.Lines) {
					return unprocessable(texts.Say("aStepUsesALineThat"), fieldError{fmt.Sprintf("original.components[%d].steps[%d].lines", i, j), texts.Say("isNoLineOfTheComponent", n)})
				}
			}
		}
	}
	if lines > mostLines || len(d.Components) > mostComponents {
		return unprocessable(texts.Say("aDishMayHoldLinesIn", mostLines, mostComponents))
	}
	return nil
}

func knownOrigin(o larder.Origin) bool {
	switch o {
	case larder.FromAnimal, larder.FromPlant, larder.FromFungus, larder.FromMineral, larder.Mixed, larder.Unknown, "":
		return true
	}
	return false
}

func (k *Kitchen) adapt(c fiber.Ctx) error {
	var r AdaptRequest
	if err := decode(c, &r); err != nil {
		return err
	}
	return answerOnce(k, c, func() (swap.Adaptation, error) { return k.Adapt(r) })
}

// RulesView lists what house rules can be made of.
type RulesView struct {
	Presets  []swap.Preset `json:"presets"`
	Switches []swap.Switch `json:"switches"`
	// Kitchens are the families of kitchens to which a food can belong.
	Kitchens []string `json:"kitchens"`
}

func (k *Kitchen) rules(c fiber.Ctx) error {
	return c.JSON(RulesView{swap.PresetsOf(k.Core().Larder), swap.SwitchesOf(k.Core().Larder), k.Core().Larder.Kitchens()})
}
