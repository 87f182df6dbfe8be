package measure

// Unit is one of the units a recipe may use. The zero value is no unit.
type Unit string

// The units of the contract. A bare count is Piece.
const (
	Gram       Unit = "g"
	Kilogram   Unit = "kg"
	Milligram  Unit = "mg"
	Millilitre Unit = "ml"
	Centilitre Unit = "cl"
	Decilitre  Unit = "dl"
	Litre      Unit = "l"
	Teaspoon   Unit = "tsp"
	Tablespoon Unit = "tbsp"
	Cup        Unit = "cup"
	FluidOunce Unit = "fl-oz"
	Pint       Unit = "pint"
	Quart      Unit = "quart"
	Gallon     Unit = "gallon"
	Ounce      Unit = "oz"
	Pound      Unit = "lb"
	Stick      Unit = "stick"
	Can        Unit = "can"
	Pinch      Unit = "pinch"
	Dash       Unit = "dash"
	Handful    Unit = "handful"
	Bunch      Unit = "bunch"
	Sprig      Unit = "sprig"
	Stalk      Unit = "stalk"
	Clove      Unit = "clove"
	Slice      Unit = "slice"
	Piece      Unit = "piece"
	Head       Unit = "head"
	Block      Unit = "block"
	Sheet      Unit = "sheet"
	Leaf       Unit = "leaf"
	Knob       Unit = "knob"
	Thumb      Unit = "thumb"
	Glug       Unit = "glug"
)

// System says whose cups, spoons and pints are meant.
type System string

// The four systems. US is preset.
const (
	US         System = "us"
	Metric     System = "metric"
	Imperial   System = "imperial"
	Australian System = "australian"
)

// Known tells whether s is one of the four systems.
func (s System) Known() bool {
	return s == US || s == Metric || s == Imperial || s == Australian
}

// Dimension is what a unit measures.
type Dimension int

// Mass converts by itself, Volume needs a density, Count a piece weight.
const (
	Mass Dimension = iota
	Volume
	Count
)

// SourceUnits names where the unit definitions come from.
const SourceUnits = "NIST Handbook 44; UK Weights and Measures Act 1985"

type definition struct {
	dimension Dimension
	// factor in g or ml, one for each system; metric stands for the rest.
	us, metric, imperial, australian float64
	usual                            float64 // grams of one when nothing better is known
	estimate                         bool
}

func (d definition) factor(s System) float64 {
	switch s {
	case US:
		return d.us
	case Imperial:
		return d.imperial
	case Australian:
		return d.australian
	}
	return d.metric
}

func mass(g float64) definition {
	return definition{dimension: Mass, us: g, metric: g, imperial: g, australian: g}
}

func volume(us, metric, imperial, australian float64) definition {
	return definition{dimension: Volume, us: us, metric: metric, imperial: imperial, australian: australian}
}

func same(ml float64) definition { return volume(ml, ml, ml, ml) }

func count(usual float64) definition { return definition{dimension: Count, usual: usual} }

func guessed(d definition) definition {
	d.estimate = true
	return d
}

// units holds every definition: grams for masses, millilitres for volumes.
// Usual grams of count units (handful of leaves, knob of butter) are estimates.
var units = map[Unit]definition{
	Gram:       mass(1),
	Kilogram:   mass(1000),
	Milligram:  mass(0.001),
	Ounce:      mass(28.3495),
	Pound:      mass(453.592),
	Stick:      mass(113.4),
	Millilitre: same(1),
	Centilitre: same(10),
	Decilitre:  same(100),
	Litre:      same(1000),
	Teaspoon:   volume(4.929, 5, 5, 5),
	Tablespoon: volume(14.787, 15, 15, 20),
	Cup:        volume(236.588, 250, 250, 250),
	FluidOunce: volume(29.574, 28.413, 28.413, 28.413),
	Pint:       volume(473.176, 568.261, 568.261, 568.261),
	Quart:      volume(946.353, 1136.523, 1136.523, 1136.523),
	Gallon:     volume(3785.41, 4546.09, 4546.09, 4546.09),
	Pinch:      same(0.308), // 1/16 US teaspoon
	Dash:       same(0.6),
	Glug:       guessed(same(15)),
	Handful:    count(30),
	Knob:       count(15),
	Thumb:      count(12),
	Sprig:      count(2),
	Leaf:       count(1),
	Can:        count(0),
	Bunch:      count(0),
	Stalk:      count(0),
	Clove:      count(0),
	Slice:      count(0),
	Piece:      count(0),
	Head:       count(0),
	Block:      count(0),
	Sheet:      count(0),
}

// DimensionOf tells what a unit measures; ok is false for an unknown unit.
func DimensionOf(u Unit) (d Dimension, ok bool) {
	def, ok := units[u]
	return def.dimension, ok
}

// MillilitresOf is the volume of one such unit, 0 when it is not a volume.
func MillilitresOf(u Unit, s System) float64 {
	if d := units[u]; d.dimension == Volume {
		return d.factor(s)
	}
	return 0
}

// GramsOf is the mass of one such unit, 0 when it is not a mass.
func GramsOf(u Unit) float64 {
	if d := units[u]; d.dimension == Mass {
		return d.metric
	}
	return 0
}
