package server

import (
	"slices"
	"sync"
)

// viewKey is all that a dish's view depends on: which dish, at which edit, worked out
// with which knowledge.
type viewKey struct {
	dish string
	edit int64
	core *Core
}

// viewCache keeps the views that were worked out last, for dishes that are opened
// again, on this screen or another. Views are never changed.
type viewCache struct {
	mu    sync.Mutex
	views map[viewKey]DishView
	order []viewKey
}

// mostViews is how many views are kept: a few per screen.
const mostViews = 24

func (c *viewCache) get(key viewKey) (DishView, bool) {
	c.mu.Lock()
	defer c.mu.Unlock()
	v, ok := c.views[key]
	return v, ok
}

func (c *viewCache) put(key viewKey, v DishView) {
	c.mu.Lock()
	defer c.mu.Unlock()
	if c.views == nil {
		c.views = map[viewKey]DishView{}
	}
	if _, had := c.views[key]; !had {
		c.order = append(c.order, key)
	}
	c.views[key] = v
	if len(c.order) > mostViews {
		delete(c.views, c.order[0])
		c.order = slices.Delete(c.order, 0, 1)
	}
}
