package server

import "github.com/gofiber/fiber/v3"

// routes are where the interface finds things; docs/security.md has who may ask for them.
type routes struct {
	kitchen *Kitchen
	api     fiber.Router
}

type handler = func(*Kitchen, fiber.Ctx) error

func (r routes) get(path string, h handler) {
	r.api.Add([]string{fiber.MethodGet, fiber.MethodHead}, path, r.kitchen.answering(h))
}

func (r routes) post(path string, h handler) { r.api.Post(path, r.kitchen.answering(h)) }

func (r routes) put(path string, h handler) { r.api.Put(path, r.kitchen.answering(h)) }

func (r routes) remove(path string, h handler) { r.api.Delete(path, r.kitchen.answering(h)) }

// stateless are what needs no kitchen.
func (r routes) stateless() {
	r.get("/health", (*Kitchen).health)
	r.post("/read", (*Kitchen).read)
	r.post("/lines", (*Kitchen).readLine)
	r.post("/steps", (*Kitchen).readStep)
	r.post("/convert", (*Kitchen).convert)
	r.post("/adapt", (*Kitchen).adapt)
	r.api.Post("/plan", plan)
	r.post("/analyse", (*Kitchen).analyse)
	r.get("/rules", (*Kitchen).rules)
}

// house are the larder, the settings, who may come in, and what is told to every window.
func (r routes) house() {
	r.get("/larder/foods", (*Kitchen).foods)
	r.get("/larder/foods/:id", (*Kitchen).food)
	r.put("/larder/foods/:id", (*Kitchen).saveFood)
	r.remove("/larder/foods/:id", (*Kitchen).takeBackFood)
	r.get("/larder/shelves", (*Kitchen).shelves)
	r.get("/kitchen", (*Kitchen).settings)
	r.put("/kitchen", (*Kitchen).saveSettings)
	r.get("/prices", (*Kitchen).prices)
	r.get("/archive", (*Kitchen).backup)
	r.post("/archive", (*Kitchen).restore)
	r.get("/stream", (*Kitchen).stream)
	r.get("/session", (*Kitchen).showSession)
	r.post("/session", (*Kitchen).signIn)
	r.remove("/session", (*Kitchen).signOut)
	r.post("/session/codes", (*Kitchen).showCode)
	r.get("/access", (*Kitchen).showAccess)
	r.remove("/sessions/:id", (*Kitchen).signOut)
	r.post("/links", (*Kitchen).makeLink)
	r.remove("/links/:id", (*Kitchen).takeLinkBack)
	r.get("/guest/:token", (*Kitchen).showGuest)
	r.post("/guest/:token/tick", (*Kitchen).tickGuest)
	r.post("/guest/:token/sheet", (*Kitchen).fillSheet)
}

// days are days and what is given out of them.
func (r routes) days() {
	r.get("/days", (*Kitchen).days)
	r.post("/days", (*Kitchen).createDay)
	r.get("/days/:id", (*Kitchen).showDay)
	r.put("/days/:id", (*Kitchen).saveDay)
	r.post("/days/:id/undo", (*Kitchen).undoDay)
	r.remove("/days/:id", (*Kitchen).removeDay)
	r.get("/days/:id/calendar", (*Kitchen).exportCalendar)
	r.get("/days/:id/shopping", (*Kitchen).exportShopping)
	r.post("/days/:id/tick", (*Kitchen).tickDay)
}

// stove are cooking, what it teaches, scales and probes.
func (r routes) stove() {
	r.get("/stove", (*Kitchen).stoves)
	r.post("/stove", (*Kitchen).beginStove)
	r.get("/stove/:id", (*Kitchen).showStove)
	r.remove("/stove/:id", (*Kitchen).letGo)
	r.post("/stove/:id", (*Kitchen).takeBackUp)
	r.post("/stove/:id/events", (*Kitchen).tellStove)
	r.get("/stove/:id/different", (*Kitchen).taps)
	r.get("/stove/:id/summary", (*Kitchen).sumStove)
	r.post("/stove/:id/keep", (*Kitchen).keepTrial)
	r.get("/learned", (*Kitchen).learned)
	r.remove("/learned/:cook/:number", (*Kitchen).unlearn)
	r.post("/learned/:cook/:number", (*Kitchen).relearn)
	r.get("/bench", (*Kitchen).showBench)
	r.post("/bench", (*Kitchen).driveBench)
	r.post("/bench/scale", (*Kitchen).bridgeScale)
	r.post("/bench/probe", (*Kitchen).bridgeProbe)
}

// table are trials, tastings and what they teach.
func (r routes) table() {
	r.remove("/taught/:tasting/:letter/:trait", (*Kitchen).unteach)
	r.post("/taught/:tasting/:letter/:trait", (*Kitchen).teach)
	r.get("/dishes/:id/past", (*Kitchen).past)
	r.get("/dishes/:id/trials", (*Kitchen).trials)
	r.post("/dishes/:id/trials", (*Kitchen).addTrial)
	r.get("/dishes/:id/trials/between", (*Kitchen).between)
	r.post("/dishes/:id/trials/:trial/return", (*Kitchen).returnTo)
	r.get("/dishes/:id/trials/:trial/card/:format", (*Kitchen).trialCard)
	r.get("/dishes/:id/tastings", (*Kitchen).tastings)
	r.post("/dishes/:id/tastings", (*Kitchen).makeTasting)
	r.get("/tastings/:id", (*Kitchen).showTasting)
	r.get("/tastings/:id/csv", (*Kitchen).exportTasting)
	r.get("/tastings/:id/next", (*Kitchen).nextChange)
	r.post("/tastings/:id/next", (*Kitchen).takeChange)
	r.post("/tastings/:id/close", (*Kitchen).closeTasting)
}

// shelf are the shelf, what is wished for, pictures.
func (r routes) shelf() {
	r.get("/pictures/:id", (*Kitchen).showPicture)
	r.post("/pictures/:kind/:id", (*Kitchen).addPicture)
	r.remove("/pictures/:id", (*Kitchen).takePicture)
	r.put("/pictures/:id", (*Kitchen).takePictureBack)
	r.get("/shelf", (*Kitchen).facets)
	r.post("/shelf", (*Kitchen).shelveMany)
	r.get("/shelf/cards", (*Kitchen).giveOut)
	r.post("/shelf/examples", (*Kitchen).layOutExamples)
	r.get("/todo", (*Kitchen).todo)
	r.post("/todo/:key", (*Kitchen).beginTodo)
	r.put("/todo/:key", (*Kitchen).wish)
	r.get("/pictures/:kind/:id", (*Kitchen).listPictures)
}

// dishes are dishes.
func (r routes) dishes() {
	r.post("/dishes/:id/variants", (*Kitchen).makeVariant)
	r.get("/dishes", (*Kitchen).dishes)
	r.get("/dishes/:id/near", (*Kitchen).near)
	r.get("/dishes/:id/needs", (*Kitchen).needs)
	r.post("/dishes/:id/copy", (*Kitchen).copyDish)
	r.get("/dishes/:id/variants", (*Kitchen).variants)
	r.post("/dishes", (*Kitchen).createDish)
	r.get("/dishes/:id", (*Kitchen).dish)
	r.get("/dishes/:id/original/:format", (*Kitchen).exportOriginal)
	r.put("/dishes/:id", (*Kitchen).saveDish)
	r.post("/dishes/:id/undo", (*Kitchen).undo)
	r.post("/dishes/:id/redo", (*Kitchen).redo)
	r.get("/dishes/:id/candidates", (*Kitchen).candidates)
	r.post("/dishes/:id/proposals", (*Kitchen).proposals)
	r.post("/dishes/:id/preview", (*Kitchen).preview)
	r.get("/dishes/:id/boosters", (*Kitchen).tray)
	r.get("/dishes/:id/balance", (*Kitchen).balance)
	r.get("/dishes/:id/card", (*Kitchen).showCard)
	r.get("/dishes/:id/card/:format", (*Kitchen).exportCard)
}
