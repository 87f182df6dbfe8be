package swap

import "yembra/core/character"

// Weights say how much each thing counts in a proposal, in the unit of the objective, of
// which less is better. They are judgement, not measurement.
type Weights struct {
	// Scale says how much traits count, and from where on they are short.
	Scale character.Scale
	// OpenPenalty weighs each line for which nothing is chosen.
	OpenPenalty float64
	// OverDayPenalty weighs a serving with more than a day should take in, and again each time as much.
	OverDayPenalty float64
	// ExtraIngredient weighs each line a swap brings.
	ExtraIngredient float64
	// BoosterPenalty weighs each booster, beside its line.
	BoosterPenalty float64
	// NewcomerPenalty weighs each booster of a food that is nowhere in the dish otherwise.
	NewcomerPenalty float64
	// FussPenalty weighs each minute of preparing what comes in by the spoon.
	FussPenalty float64
	// BladePenalty weighs what is ground or blended of which so little is wanted that it does not reach the blade.
	BladePenalty float64
	// FussGrams are the grams a serving that are worth a preparation of their own.
	FussGrams float64
	// FussLiquid is the same of a stock, in grams.
	FussLiquid float64
	// SaltOverPenalty weighs each gram of salt a serving above limit or original.
	SaltOverPenalty float64
	// HandsPenalty weighs each minute of work.
	HandsPenalty float64
	// WaitShare is what part of a minute's work a minute's wait is.
	WaitShare float64
	// StructurePenalty weighs each part that will not hold together.
	StructurePenalty float64
	// SimplestFactor multiplies the work where least work is asked for.
	SimplestFactor float64
	// CostPenalty weighs each unit of the price list a serving.
	CostPenalty float64
	// ProteinReward weighs each gram of protein a serving, where that is asked for.
	ProteinReward float64
	// UnlikePenalty weighs like lines in like use of which each gets a stand-in of its own.
	UnlikePenalty float64
	// BlendsPenalty weighs each pair of different nut creams, where one could be made once.
	BlendsPenalty float64
	// RepeatPenalty weighs each further kind of ingredient that the same swap stands in for.
	RepeatPenalty float64
	// SamePenalty weighs each further kind of ingredient for which the same main food stands in.
	SamePenalty float64
	// WetPenalty weighs each tenth of water more or less in a component without broth.
	WetPenalty float64
	// WetTolerance is the share of water more or less that nobody minds.
	WetTolerance float64
	// Brothy is the share of water from which a component is a broth.
	Brothy float64
	// BulkPenalty weighs for a portion that shrinks or swells beyond a quarter.
	BulkPenalty float64
	// BulkTolerance is the share of shrinking or swelling that nobody minds.
	BulkTolerance float64
	// RatioPenalty weighs vegetables short of what the house wants beside grains.
	RatioPenalty float64
	// StrangerPenalty weighs a taste that the original does not know, such as coconut.
	StrangerPenalty float64
	// StrangerGrams are the grams a serving of a strange taste that count once.
	StrangerGrams float64
	// ForeignPenalty weighs a food whose taste belongs to other kitchens than the dish's.
	ForeignPenalty float64
	// BelongsFrom is the rating of a trait that makes its families no strangers.
	BelongsFrom float64
	// StrangerMost is how many times that, beyond which more tastes no stranger.
	StrangerMost float64
	// PossiblePenalty weighs a swap that only holds the place where another is right for it.
	PossiblePenalty float64
	// OwnPenalty weighs each step by which a swap falls short of a trait that a line is known by.
	OwnPenalty float64
	// OwnLeast are the steps of that which nobody misses.
	OwnLeast float64
	// OwnMost are the steps beyond which the trait is simply not there.
	OwnMost float64
	// LaterPenalty weighs in the closest answer, a swap where there is one that a cook of experience takes first.
	LaterPenalty float64
	// AgainPenalty weighs a stand-in for flesh of the pulse that the dish is full of itself.
	AgainPenalty float64
	// StrayPenalty weighs a savoury stand-in in something sweet.
	StrayPenalty float64
	// GradePenalty weighs each grade away from whole, of a portion that counts in full.
	GradePenalty float64
	// GradeGrams are the grams a serving that count in full.
	GradeGrams float64
	// OilPenalty weighs more than a teaspoon of oil a serving.
	OilPenalty float64
	// SchoolReward weighs a portion of what the school is fond of.
	SchoolReward float64
}

// UsualWeights are those of a kitchen that has none of its own; estimates.
func UsualWeights() Weights {
	return Weights{
		Scale:            character.UsualScale(),
		OpenPenalty:      1000,
		OverDayPenalty:   20,
		ExtraIngredient:  0.12,
		BoosterPenalty:   0.5,
		NewcomerPenalty:  1.5,
		FussPenalty:      0.06,
		BladePenalty:     2,
		FussGrams:        25,
		FussLiquid:       80,
		SaltOverPenalty:  2,
		HandsPenalty:     0.004,
		WaitShare:        0.15,
		StructurePenalty: 40,
		SimplestFactor:   20,
		CostPenalty:      4.8,
		ProteinReward:    0.25,
		UnlikePenalty:    15,
		BlendsPenalty:    1.5,
		RepeatPenalty:    0.5,
		SamePenalty:      0.25,
		WetPenalty:       12,
		WetTolerance:     0.06,
		Brothy:           0.78,
		BulkPenalty:      25,
		BulkTolerance:    0.25,
		RatioPenalty:     2,
		StrangerPenalty:  3,
		StrangerGrams:    4,
		ForeignPenalty:   6,
		BelongsFrom:      3.5,
		StrangerMost:     4,
		PossiblePenalty:  60,
		OwnPenalty:       0.9,
		OwnLeast:         1,
		OwnMost:          6,
		LaterPenalty:     10,
		AgainPenalty:     12,
		StrayPenalty:     12,
		GradePenalty:     0.35,
		GradeGrams:       20,
		OilPenalty:       1.5,
		SchoolReward:     0.35,
	}
}
