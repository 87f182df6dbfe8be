package method

import "yembra/core/swap"

// heed tells of steps that work in a way that the house rules bar: what the original
// does in an oven is still done in one, and nobody has one.
func (c *Carrier) heed(a *swap.Adaptation, house swap.HouseRules) error {
	l := c.book.Larder()
	rules, err := swap.NewRules(l, house)
	if err != nil {
		return err
	}
	for i := range a.Components {
		for n := range a.Components[i].Steps {
			s := &a.Components[i].Steps[n]
			told := map[string]bool{}
			for _, action := range s.Actions {
				t := l.Technique(action.Technique)
				if t == nil {
					continue
				}
				if why := rules.BreaksWay(t.Name, t.Heat); why != "" && !told[why] {
					told[why] = true
					c.tell(s, swap.AgainstHouse, why)
				}
			}
		}
	}
	return nil
}
