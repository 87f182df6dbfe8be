package flow

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
)

func TestTimesAndHeat(t *testing.T) {
	for said, want := range map[string]*measure.Span{
		"Simmer for 10 minutes.":                              {Low: 10, High: 10},
		"Bake for 45 minutes to 1 hour.":                      {Low: 45, High: 60},
		"Bake for 50 mins - 1 hr until firm.":                 {Low: 50, High: 60},
		"Bake for 45 min-1 hour.":                             {Low: 45, High: 60},
		"Bake for 1 hr to 1 hr 15 mins.":                      {Low: 60, High: 75},
		"Cook for between 45 minutes and 1 hour.":             {Low: 45, High: 60},
		"Boil for 20 minutes to an hour and a half.":          {Low: 20, High: 90},
		"Steam for 10 minutes - 5 minutes longer if thick.":   {Low: 10, High: 10},
		"Simmer for 1 1/2 hours.":                             {Low: 90, High: 90},
		"Simmer 2-2½ hours.":                                  {Low: 120, High: 150},
		"Bake for an hour and a quarter.":                     {Low: 75, High: 75},
		"Fry for 30 seconds.":                                 {Low: 0.5, High: 0.5},
		"Fry 5 min, then simmer 20 min.":                      {Low: 25, High: 25},
		"Bake for 10 minutes (12 minutes on a gas stove).":    {Low: 10, High: 10},
		"Grill, turning every 5 minutes.":                     nil,
		"Cook 400 g of rice.":                                 nil,
		"Chill overnight.":                                    {Low: 480, High: 480},
		"Boil for half an hour.":                              {Low: 30, High: 30},
		"Stew for a couple of hours.":                         {Low: 120, High: 120},
		"Bake for 1 hour 15 minutes.":                         {Low: 75, High: 75},
		"Cook gently for 1 h 15 until tender.":                {Low: 75, High: 75},
		"Simmer for 2 hours 1 day ahead.":                     {Low: 120, High: 120},
		"Fry for 4 minutes a side.":                           {Low: 4, High: 4},
		"Leave 10 minutes before serving.":                    {Low: 10, High: 10},
		"Add the peas 10 minutes before the end.":             nil,
		"Cook for 2 minutes less than it says on the packet.": nil,
		"Rest for at least 4 hours, until firm.":              {Low: 240, High: 240},
	} {
		require.Equal(t, want, reader(t).Step(said, nil).Minutes, said)
	}
	for said, want := range map[string]float64{
		"at 180C": 180, "at 180 °C": 180, "at 350°F": 175, "at 350 degrees F (180 C)": 180, "at gas mark 7": 220, "at gas 4": 180,
		"at 200C/180C fan": 200, "at fan 160C": 180, "at 325 degrees": 165, "until it reaches 74 C": 0,
	} {
		got := reader(t).Step("Bake "+said+".", nil).Celsius
		if want == 0 {
			require.Nil(t, got, said)
			continue
		}
		require.NotNil(t, got, said)
		require.InDelta(t, want, *got, 0.6, said)
	}
	require.Nil(t, reader(t).Step("Mix 2 c flour and 20 C of regret.", nil).Celsius)
}

func TestCues(t *testing.T) {
	for said, want := range map[string]string{
		"Fry until golden, stirring.":                  "until golden",
		"Simmer until tender, about 20 minutes.":       "until tender",
		"Cook till the pan is dry; then add the rice.": "till the pan is dry",
		"Bake for 5 minutes or until set.":             "until set",
		"Whisk until thick and shiny.":                 "until thick and shiny",
		"Fry until soft and add the garlic.":           "until soft",
		"Stir well.":                                   "",
	} {
		require.Equal(t, want, reader(t).Step(said, nil).Cue, said)
	}
}
