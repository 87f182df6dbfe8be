package measure

// Figures beyond these belong to no kitchen: a text that holds one is not
// believed, a request that holds one is refused.
const (
	MostFigure   = 1e9       // any number in a text
	MostGrams    = 1e7       // of one line
	MostMinutes  = 60 * 1440 // of one step: sixty days
	MostServings = 1e5
	LeastCelsius = -100
	MostCelsius  = 1000
)

// Within tells whether a span is one of figures between two bounds. What is no
// number lies nowhere.
func (s Span) Within(least, most float64) bool {
	return s.Low >= least && s.High >= s.Low && s.High <= most
}
