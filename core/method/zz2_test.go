package method_test

import (
	"fmt"
	"testing"
)

func TestZZ2(t *testing.T) {
	r, _, _ := open(t)
	for _, x := range []string{"Brown the butter beans and mushrooms and set aside.", "Brown the butter beans and mushrooms.", "Brown the butter beans.", "Fry the butter beans and mushrooms and set them aside.", "Heat the butter beans."} {
		fmt.Println(x, r.Animals(x, nil))
	}
}
