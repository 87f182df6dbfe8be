package server

import (
	"sync"

	"yembra/core/larder"
	"yembra/knowledge"
)

// Shipped is the larder of the program, loaded once for all tests: nothing changes it.
var Shipped = sync.OnceValues(func() (*larder.Larder, error) { return larder.Load(knowledge.Shipped()) })
