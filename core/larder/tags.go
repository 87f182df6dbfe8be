package larder

// NoPiece is the tag of what is of meat or fish and no piece of it: its stock, its paste.
const NoPiece = "no-piece"

// Steaks is the tag of plants that are cut and eaten in steaks.
const Steaks = "steaks"

// The tags of what else can be used of a food: peels and stalks that a stock takes, not those that
// turn it bitter or muddy; cooking water that thickens, or that whips.
const (
	StockPeel     = "stock-peel"
	ThickeningPot = "thickening-water"
	WhippingWater = "whipping-water"
)

// CookedFirst is the tag of what is not eaten raw: flours, meal of pulses, starch.
const CookedFirst = "cooked-first"

// Bottled is the tag of sauces and pastes that are bought and hardly ever made.
const Bottled = "bottled"

// GroundSpice is the tag of what is a powder of spice, or ground into one.
const GroundSpice = "ground-spice"

// WholeSpice is the tag of what is a spice in its own shape: a seed, a stick, a pod.
const WholeSpice = "whole-spice"

// Potherb is the tag of what gives any stock its taste.
const Potherb = "potherb"

// Melts is the tag of what is seen to melt in a warm pan or bowl.
const Melts = "melts"

// FlavouringPeel is the tag of the peel of a fruit that only gives its taste.
const FlavouringPeel = "flavouring-peel"

// SetsInWater is the tag of what sets in hot water and holds a ball together: starch, white flour, bread, gluten.
const SetsInWater = "sets-in-water"
