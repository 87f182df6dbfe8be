package main

import (
	"context"
	"fmt"

	"yembra/demo"
	"yembra/server"
)

// layOutTables lays out three trials of a dish and two tastings, with what made-up
// guests said and what was changed because of it.
func layOutTables(ctx context.Context, k *server.Kitchen, ids map[string]string) error {
	t := demo.Tables
	dish := ids[t.Dish]
	first, err := k.AddTrial(ctx, dish, server.TrialRequest{Words: t.First.Words, Different: t.First.Different})
	if err != nil {
		return fmt.Errorf("lay out the demo's first trial: %w", err)
	}
	var sheets [][]demo.Cup
	for _, cup := range t.FirstSheets {
		sheets = append(sheets, []demo.Cup{cup})
	}
	table, err := layTable(ctx, k, dish, []string{first}, sheets)
	if err != nil {
		return err
	}
	// What the program proposes of the fault is tried.
	next, err := k.NextChanges(ctx, table)
	if err != nil {
		return fmt.Errorf("lay out the demo's next change: %w", err)
	}
	for _, n := range next {
		if n.Trait == t.Mended && len(n.Ways) > 0 {
			w := n.Ways[0]
			change := server.ChangeRequest{Take: []server.TakenChange{{Trait: n.Trait, Side: n.Side, Dose: w.Dose, Line: w.Line, Factor: w.Factor, Step: w.Step, Minutes: w.Minutes}}}
			if err := k.TakeChange(ctx, table, change); err != nil {
				return fmt.Errorf("lay out the demo's mended fault: %w", err)
			}
		}
	}
	var then []string
	for i, said := range t.Then {
		if i > 0 { // the second way begins where the first one did
			if err := k.ReturnTo(ctx, dish, first); err != nil {
				return fmt.Errorf("lay out the demo's way back: %w", err)
			}
		}
		id, err := k.AddTrial(ctx, dish, server.TrialRequest{Words: said.Words, Different: said.Different})
		if err != nil {
			return fmt.Errorf("lay out the demo's trials: %w", err)
		}
		then = append(then, id)
	}
	sheets = nil
	for _, cups := range t.ThenSheets {
		sheets = append(sheets, cups[:])
	}
	if _, err := layTable(ctx, k, dish, then, sheets); err != nil {
		return err
	}
	return k.ReturnTo(ctx, dish, then[0]) // it was liked more
}

// layTable lays a table for trials, fills its sheets and closes it.
func layTable(ctx context.Context, k *server.Kitchen, dish string, trials []string, sheets [][]demo.Cup) (string, error) {
	t, err := k.LayTable(ctx, dish, server.TastingRequest{Trials: trials, Traits: []string{"smoke", "salt", "richness"}})
	if err != nil {
		return "", fmt.Errorf("lay out the demo's tasting: %w", err)
	}
	for i, cups := range sheets {
		sheet := server.SheetRequest{Taster: fmt.Sprintf("demo %d", i+1), Name: fmt.Sprintf("Guest %d", i+1)}
		for n, cup := range cups {
			sheet.Said = append(sheet.Said, server.SheetTrial{Letter: t.Served[n].Letter, Liking: cup.Liking, Traits: map[string]int{"smoke": cup.Smoke, "salt": cup.Salt}, Known: "maybe", Words: cup.Words})
		}
		if err := k.KeepSheet(ctx, t.ID, sheet); err != nil {
			return "", fmt.Errorf("lay out the demo's sheets: %w", err)
		}
	}
	if _, err := k.CloseTasting(ctx, t.ID); err != nil {
		return "", fmt.Errorf("close the demo's tasting: %w", err)
	}
	return t.ID, nil
}
