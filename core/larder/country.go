package larder

import (
	"regexp"
	"strings"
)

// Country is a country or territory by its ISO 3166-1 number.
type Country struct {
	Code   string `json:"code"`
	Name   string `json:"name"`
	Region string `json:"region"`
}

// Countries are all of them, by name.
func (l *Larder) Countries() []Country { return l.countries }

// RegionOf is the region of the world that a country stands in, empty where it is not
// known.
func (l *Larder) RegionOf(code string) string {
	for _, c := range l.countries {
		if c.Code == code {
			return c.Region
		}
	}
	return ""
}

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
	seen := map[string]bool{}
	return eachRow(src, "countries.csv", func(r row) {
		c := Country{r.text("code"), r.text("name"), r.text("region")}
		if !countryCode.MatchString(c.Code) || c.Name == "" || c.Region == "" || seen[c.Code] || seen[c.Name] {
			r.fail("country %q has no code, name or region of its own", c.Name)
		}
		seen[c.Code], seen[c.Name] = true, true
		l.countries = append(l.countries, c)
	})
}
