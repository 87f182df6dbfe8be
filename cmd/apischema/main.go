// Command apischema writes the JSON schema of everything that crosses the
// border between server and interface; the interface's types are generated
// from it.
package main

import (
	"encoding/json"
	"fmt"
	"os"
	"reflect"
	"strings"

	"github.com/invopop/jsonschema"

	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/stove"
	"yembra/core/swap"
	"yembra/formats"
	"yembra/server"
	"yembra/store"
)

// api names every type that the interface sends or receives.
type api struct {
	DishView       server.DishView
	DishSummary    server.DishSummary
	ShelfView      server.ShelfView
	ShelfFacets    server.ShelfFacets
	ManyRequest    server.ManyRequest
	NeedsView      server.NeedsView
	CopyRequest    server.CopyRequest
	NearDish       server.NearDish
	TodoDish       server.TodoDish
	WishRequest    server.WishRequest
	CreateRequest  server.CreateRequest
	SaveRequest    server.SaveRequest
	CandidatesView server.CandidatesView
	Proposal       server.Proposal
	PreviewRequest server.PreviewRequest
	TrayItem       swap.TrayItem
	BalanceView    server.BalanceView
	PriceView      server.PriceView
	DayView        server.DayView
	DaySummary     server.DaySummary
	CreateDay      server.CreateDayRequest
	Restored       store.Restored
	Card           formats.Card
	FoodHit        server.FoodHit
	FoodView       server.FoodView
	Entry          larder.Entry
	Shelf          server.Shelf
	Settings       server.Settings
	StepRequest    server.StepRequest
	RulesView      server.RulesView
	LineRequest    server.LineRequest
	ReadAnswer     recipe.Dish
	StoveView      server.StoveView
	StoveNow       server.StoveNow
	StoveSummary   server.StoveSummary
	BeginRequest   server.BeginRequest
	Event          stove.Event
	Tap            stove.Tap
	Summary        stove.Summary
	Trial          server.Trial
	KeepRequest    server.KeepRequest
	LearnedView    server.LearnedView
	BenchView      server.BenchView
	BenchRequest   server.BenchRequest
	SessionView    server.SessionView
	SignInRequest  server.SignInRequest
	AccessView     server.AccessView
	ShownCode      server.ShownCode
	LinkRequest    server.LinkRequest
	GuestView      server.GuestView
	TickRequest    server.TickRequest
	Past           store.Past
	TrialView      server.TrialView
	TrialRequest   server.TrialRequest
	BetweenView    server.BetweenView
	Tasting        server.Tasting
	TastingView    server.TastingView
	TastingRequest server.TastingRequest
	SheetRequest   server.SheetRequest
	NextChange     server.NextChange
	ChangeRequest  server.ChangeRequest
	VariantRequest server.VariantRequest
	Picture        server.Picture
}

func main() {
	named := map[string]reflect.Type{}
	r := jsonschema.Reflector{
		AllowAdditionalProperties: false,
		Namer: func(t reflect.Type) string {
			if t.Name() == "" {
				return ""
			}
			// Line and Step exist in two packages; say which is meant.
			pkg := t.PkgPath()[strings.LastIndexByte(t.PkgPath(), '/')+1:]
			name := strings.ToUpper(t.Name()[:1]) + t.Name()[1:]
			switch name {
			case "Line", "Step", "Component", "Animal", "Dish":
				name = strings.ToUpper(pkg[:1]) + pkg[1:] + name
			case "Placed", "Take", "Progress", "Weight", "Weighing", "Move", "Notice", "Pot":
				if pkg == "stove" {
					name = "Stove" + name
				}
			}
			if of, known := named[name]; known && of != t {
				fmt.Fprintf(os.Stderr, "apischema: %v and %v are both called %s\n", of, t, name)
				os.Exit(1)
			}
			named[name] = t
			return name
		},
	}
	schema := r.Reflect(&api{})
	out, err := json.MarshalIndent(schema, "", "  ")
	if err != nil {
		fmt.Fprintln(os.Stderr, "apischema:", err)
		os.Exit(1)
	}
	fmt.Println(string(out))
}
