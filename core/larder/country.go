package larder

import (
	"regexp"
	"slices"
	"strings"
)

// Country is a country or territory by its ISO 3166-1 number.
type Country struct {
	Code   string `json:"code"`
	Name   string `json:"name"`
	Region string `json:"region"`
	// Kitchen is the family of kitchens that its cooking is counted to.
	Kitchen string `json:"kitchen"`
}

// Countries are all of them, by name.
func (l *Larder) Countries() []Country { return l.countries }

// CountryOf is the country of a code; of one that is not known nothing is said.
func (l *Larder) CountryOf(code string) Country {
	for _, c := range l.countries {
		if c.Code == code {
			return c
		}
	}
	return Country{}
}

// RegionOf is the region of the world that a country stands in, empty where it is not
// known.
func (l *Larder) RegionOf(code string) string { return l.CountryOf(code).Region }

// CountryIn is the code of the country that a place names, empty where it names none
// or several.
func (l *Larder) CountryIn(place string) string {
	found := ""
	words := " " + strings.Join(Words(place), " ") + " "
	for _, c := range l.countries {
		if strings.Contains(words, " "+strings.Join(Words(c.Name), " ")+" ") {
			if found != "" {
				return ""
			}
			found = c.Code
		}
	}
	return found
}

var countryCode = regexp.MustCompile(`^\d{3}$`)

func (l *Larder) loadCountries(src Source) error {
	return eachRow(src, "countries.csv", func(r row) {
		l.countries = append(l.countries, Country{r.text("code"), r.text("name"), r.text("region"), r.text("kitchen")})
	})
}

// Traditional is a dish of a place, to choose the next one from.
type Traditional struct {
	// Key names it.
	Key     string `json:"key"`
	Country string `json:"country"`
	Place   string `json:"place"`
	Name    string `json:"name"`
	What    string `json:"what"`
	// Lives are the traits that it lives from, RestsOn the animal matter in it.
	Lives   []string `json:"lives"`
	RestsOn []string `json:"restsOn"`
	When    string   `json:"when"`
	Source  string   `json:"source"`
	// called is its name as words.
	called string
}

// Traditional are the dishes of the world, country by country.
func (l *Larder) Traditional() []Traditional { return l.traditional }

// TraditionalNamed finds one by its key, nil where there is none.
func (l *Larder) TraditionalNamed(key string) *Traditional {
	at := slices.IndexFunc(l.traditional, func(t Traditional) bool { return t.Key == key })
	if at < 0 {
		return nil
	}
	return &l.traditional[at]
}

func (l *Larder) loadTraditional(src Source) error {
	return eachRow(src, "traditional.csv", func(r row) {
		t := Traditional{Country: r.text("country"), Place: r.text("place"), Name: r.text("name"), What: r.text("what"), Lives: strings.Fields(r.text("lives")), RestsOn: []string{}, When: r.text("when"), Source: r.text("source")}
		t.called = strings.Join(Words(t.Name), " ")
		t.Key = t.Country + "-" + strings.ReplaceAll(t.called, " ", "-")
		for _, x := range strings.Split(r.text("rests_on"), ",") {
			if x = strings.TrimSpace(x); x != "" {
				t.RestsOn = append(t.RestsOn, x)
			}
		}
		l.traditional = append(l.traditional, t)
	})
}

// most and least of what is said of a traditional dish.
const mostSaid = 120

// traditional looks for dishes of no country, said twice or not at all.
func (c *checker) traditional() {
	seen := map[string]bool{}
	for _, t := range c.larder.traditional {
		at := "traditional dish " + t.Name
		c.source(at, t.Source)
		if c.larder.RegionOf(t.Country) == "" {
			c.say("%s: no country %q", at, t.Country)
		}
		if t.What == "" || t.When == "" || len(t.Lives) == 0 || len(t.What) > mostSaid || seen[t.Key] {
			c.say("%s: said twice, or not what it is, lives from and when", at)
		}
		seen[t.Key] = true
	}
}

// countries looks for countries without a code, name, region or kitchen of their own.
func (c *checker) countries() {
	seen := map[string]bool{}
	for _, x := range c.larder.countries {
		if !countryCode.MatchString(x.Code) || x.Name == "" || x.Region == "" || x.Kitchen == "" || seen[x.Code] || seen[x.Name] {
			c.say("country %q: no code, name, region or kitchen of its own", x.Name)
		}
		seen[x.Code], seen[x.Name] = true, true
	}
}
