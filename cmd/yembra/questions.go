package main

import (
	"context"
	"encoding/json"
	"fmt"
	"io"
	"os"

	"yembra/core/day"
	"yembra/core/measure"
	"yembra/core/swap"
	"yembra/server"
)

func input(file string) ([]byte, error) {
	var data []byte
	var err error
	if file == "-" {
		data, err = io.ReadAll(io.LimitReader(os.Stdin, server.BodyLimit+1))
	} else {
		data, err = os.ReadFile(file)
	}
	if err != nil {
		return nil, fmt.Errorf("read the input: %w", err)
	}
	if len(data) > server.BodyLimit {
		return nil, fmt.Errorf("the input holds more than %d bytes", server.BodyLimit)
	}
	return data, nil
}

func printJSON(v any) error {
	e := json.NewEncoder(os.Stdout)
	e.SetIndent("", "  ")
	e.SetEscapeHTML(false)
	return e.Encode(v)
}

func (r readCommand) Run() error {
	k, err := core()
	if err != nil {
		return err
	}
	data, err := input(r.File)
	if err != nil {
		return err
	}
	text := string(data)
	d, err := k.Read(server.ReadRequest{Text: &text, Measures: measure.System(r.Measures)})
	if err != nil {
		return err
	}
	return printJSON(d)
}

func (p proofCommand) Run() error {
	k, err := core()
	if err != nil {
		return err
	}
	for _, file := range p.Files {
		data, err := input(file)
		if err != nil {
			return err
		}
		if _, err := k.Proof(os.Stdout, string(data), p.Measures, swap.HouseRules{Preset: p.Preset}); err != nil {
			return fmt.Errorf("%s: %w", file, err)
		}
	}
	return nil
}

func (a adaptCommand) Run() error {
	k, err := core()
	if err != nil {
		return err
	}
	data, err := input(a.File)
	if err != nil {
		return err
	}
	var req server.AdaptRequest
	if err := server.DecodeStrict(data, &req); err != nil {
		return err
	}
	answer, err := k.Adapt(req)
	if err != nil {
		return err
	}
	return printJSON(answer)
}

func (p planCommand) Run() error {
	data, err := input(p.File)
	if err != nil {
		return err
	}
	var req day.Request
	if err := server.DecodeStrict(data, &req); err != nil {
		return err
	}
	answer, err := server.Plan(context.Background(), req)
	if err != nil {
		return err
	}
	return printJSON(answer)
}
