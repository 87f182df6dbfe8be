import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { createContext, useContext } from "react";

import { api, Problem } from "../api/client";
import type { ChangeRequest, Decisions, DishView, SaveRequest } from "../api/types";
import { type KeptText } from "../texts/kept";

/** What is kept of a dish, with what the change did. */
export type Save = SaveRequest & { what: KeptText };

/** An open dish with the ways to change it. Every change is saved as it is made. */
export interface OpenDish {
  dish: DishView;
  save: (change: Save) => void;
  decide: (what: KeptText, change: Partial<Decisions>) => void;
  undo: () => void;
  redo: () => void;
  /** Goes on from a trial. */
  returnTo: (trial: string) => void;
  /** Takes changes that a table has led to. */
  take: (tasting: string, body: ChangeRequest) => void;
  saving: boolean;
  error: unknown;
  /** The change that came too late, with the newer dish. */
  conflict: { mine: Save | null; theirs: DishView } | null;
  settle: (keepMine: boolean) => void;
  retry: () => void;
}

type Change =
  | { kind: "save"; body: Save }
  | { kind: "undo" }
  | { kind: "redo" }
  | { kind: "return"; trial: string }
  | { kind: "take"; tasting: string; body: ChangeRequest };

/** Loads a dish and hands out the ways to change it. */
export function useDish(id: string) {
  const queries = useQueryClient();
  const key = ["dish", id];
  const query = useQuery({
    queryKey: key,
    queryFn: async () => {
      const told = await api.dish(id);
      // What was asked for before a change is older than the answer to the change.
      const now = queries.getQueryData<DishView>(key);
      return now && now.edit > told.edit ? now : told;
    },
  });
  const take = (d: DishView) => {
    queries.setQueryData(key, d);
    void queries.invalidateQueries({ queryKey: ["candidates", id] });
    void queries.invalidateQueries({ queryKey: ["dishes"] });
    void queries.invalidateQueries({ queryKey: ["trials", id] });
  };
  const change = useMutation({
    mutationKey: key,
    scope: { id: `dish-${id}` },
    mutationFn: (c: Change) => {
      const edit = queries.getQueryData<DishView>(key)?.edit ?? 0;
      if (c.kind === "undo") return api.undo(id, edit);
      if (c.kind === "redo") return api.redo(id, edit);
      if (c.kind === "return") return api.returnTo(id, c.trial, edit);
      if (c.kind === "take") return api.takeChange(c.tasting, edit, c.body);
      return api.save(id, edit, c.body);
    },
    // What was decided shows at once; what follows from it comes with the answer.
    onMutate: (c) => {
      const before = queries.getQueryData<DishView>(key);
      const decisions = c.kind === "save" ? c.body.decisions : undefined;
      if (before && decisions) {
        queries.setQueryData(key, { ...before, document: { ...before.document, decisions } });
      }
      return { before };
    },
    onError: (_, __, kept) => {
      if (kept?.before) queries.setQueryData(key, kept.before);
    },
    onSuccess: take,
  });
  const failed = change.error;
  const late =
    failed instanceof Problem && failed.status === 412 && failed.current ? failed.current : null;
  const mine = change.variables?.kind === "save" ? change.variables.body : null;
  const dish = query.data;
  if (!dish) return { query, open: null };
  const open: OpenDish = {
    dish,
    save: (body) => change.mutate({ kind: "save", body }),
    decide: (what, d) =>
      change.mutate({
        kind: "save",
        body: { what, decisions: { ...latest(queries.getQueryData<DishView>(key), dish), ...d } },
      }),
    undo: () => change.mutate({ kind: "undo" }),
    redo: () => change.mutate({ kind: "redo" }),
    returnTo: (trial) => change.mutate({ kind: "return", trial }),
    take: (tasting, body) => change.mutate({ kind: "take", tasting, body }),
    saving: change.isPending,
    error: late ? null : failed,
    conflict: late ? { mine, theirs: late } : null,
    settle: (keepMine) => {
      if (!late) return;
      take(late);
      change.reset();
      if (keepMine && mine) change.mutate({ kind: "save", body: mine });
    },
    retry: () => {
      if (change.variables) change.mutate(change.variables);
    },
  };
  return { query, open };
}

function latest(now: DishView | undefined, then: DishView): Decisions {
  return (now ?? then).document.decisions;
}

export const DishContext = createContext<OpenDish | null>(null);

/** The dish that the stages inside a dish's frame work on. */
export function useOpenDish(): OpenDish {
  const open = useContext(DishContext);
  if (!open) throw new Error("a stage was opened outside a dish");
  return open;
}
