package server

import (
	"crypto/sha256"
	"fmt"

	"github.com/gofiber/fiber/v3"
	"golang.org/x/sync/singleflight"
)

// flights lets work that is asked for several times at once be done once. What is
// computed must depend on nothing but its key.
type flights struct {
	group singleflight.Group
	// began is told of each piece of work that is begun, where a test listens.
	began func(what string)
}

// once computes what a key names, or waits for whoever does already.
func once[T any](f *flights, what, key string, compute func() (T, error)) (T, error) {
	v, err, _ := f.group.Do(what+"\x00"+key, func() (any, error) {
		if f.began != nil {
			f.began(what)
		}
		return compute()
	})
	got, _ := v.(T)
	return got, err
}

// answerOnce answers a request that depends on nothing but its body and the knowledge: equal
// ones that come at once are computed once.
func answerOnce[T any](k *Kitchen, c fiber.Ctx, compute func() (T, error)) error {
	v, err := once(k.flights, c.Path(), fmt.Sprintf("%p %x", k.Core(), sha256.Sum256(c.Request().Body())), compute)
	if err != nil {
		return err
	}
	return c.JSON(v)
}
