package character_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"yembra/core/character"
)

// Every rule of the table of uses is the one that reads its own example, and
// none hides a rule below it.
func TestEveryRuleOfUseReadsItsExample(t *testing.T) {
	l, _ := read(t, "Soup\n\n1 onion\n\nMethod\n1. Boil.")
	require.NotEmpty(t, l.UseRules())
	for _, rule := range l.UseRules() {
		_, d := read(t, "Dish\n\n"+rule.Example)
		require.NotEmpty(t, d.Components, rule.Example)
		use := character.UseOf(l, d, 0, 0, "")
		assert.Equal(t, rule.Use, use.Name, rule.Example)
		assert.Equal(t, rule.Why, use.Rule, rule.Example)
	}
}
