import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useRef, useState } from "react";

import { api, Problem } from "../api/client";
import type { DevicesNow, StoveNow, StoveView } from "../api/types";
import { useStream } from "../app/stream";
import { drawKey, flush, push, screenName, waiting, type Told } from "./queue";

/** How long taps that could not be sent wait before they are tried again. */
const retryAfter = 2_000;

/** A cook-through as this screen sees it: kept true by what the server tells. */
export function useStove(id: string) {
  const queries = useQueryClient();
  const [screen] = useState(screenName);
  const [offline, setOffline] = useState(false);
  const [left, setLeft] = useState(() => waiting().length);
  const [refused, setRefused] = useState<unknown>(null);
  const [devices, setDevices] = useState<DevicesNow | null>(null);
  const view = useQuery({
    queryKey: ["stove", id],
    queryFn: async () => {
      const told = await api.stove(id, screen);
      const was = queries.getQueryData<StoveView>(["stove", id]);
      return was && was.now.state.n > told.now.state.n ? was : told;
    },
    staleTime: 0,
  });

  const take = useCallback(
    (now: StoveNow) =>
      queries.setQueryData<StoveView>(["stove", id], (was) =>
        was && now.state.n >= was.now.state.n ? { ...was, now } : was,
      ),
    [queries, id],
  );

  const sending = useRef(false);
  /** The newest event that was heard of. */
  const heard = useRef(0);
  const catchUp = useCallback(() => {
    const known = queries.getQueryData<StoveView>(["stove", id])?.now.state.n ?? 0;
    if (!sending.current && heard.current > known) {
      void queries.invalidateQueries({ queryKey: ["stove", id] });
    }
  }, [queries, id]);
  const [tries, setTries] = useState(0);
  const send = useCallback(async () => {
    if (sending.current) return;
    sending.current = true;
    const answer = await flush(
      async (w) => {
        const now = await api.tellStove(w.cook, w.event);
        if (w.cook === id) take(now);
      },
      (error) => error instanceof Problem && (error.status === 0 || error.status >= 500),
      setRefused,
    );
    sending.current = false;
    catchUp();
    setOffline(answer === "later");
    setLeft(waiting().length);
    if (answer === "later") setTries((n) => n + 1);
  }, [id, take, catchUp]);

  const tell = useCallback(
    (event: Told) => {
      setRefused(null);
      push({ cook: id, event: { ...event, key: drawKey(), screen, n: 0, at: 0 } });
      setLeft(waiting().length);
      void send();
    },
    [id, screen, send],
  );

  // What was tapped before the lid was closed, and what could not be sent.
  useEffect(() => {
    const soon = window.setTimeout(() => void send(), tries === 0 ? 0 : retryAfter);
    return () => window.clearTimeout(soon);
  }, [send, tries]);

  useStream({
    always: true,
    // What this screen tells itself it is answered; the rest it asks for.
    changed: ({ cook, n }) => {
      if (cook !== id) return;
      if (n === undefined) void queries.invalidateQueries({ queryKey: ["stove", id] });
      else heard.current = Math.max(heard.current, n);
      catchUp();
    },
    devices: setDevices,
    opened: (missed) => {
      if (missed) void queries.invalidateQueries({ queryKey: ["stove", id] });
      void send();
    },
  });
  return { view, tell, screen, offline, left, refused, devices };
}

/** The server's clock, told every quarter of a second, however the screen's own is set. */
export function useClock(serverClock: number): number {
  const [now, setNow] = useState(serverClock);
  useEffect(() => {
    const here = performance.now();
    const tick = window.setInterval(() => setNow(serverClock + performance.now() - here), 250);
    return () => window.clearInterval(tick);
  }, [serverClock]);
  return Math.max(now, serverClock);
}

/** Keeps the screen awake where the browser can. */
export function useAwake() {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let over = false;
    const ask = () => {
      if (over || document.visibilityState !== "visible" || !("wakeLock" in navigator)) return;
      navigator.wakeLock.request("screen").then(
        (l) => {
          lock = l;
        },
        () => undefined, // a battery that runs low may refuse it
      );
    };
    ask();
    document.addEventListener("visibilitychange", ask);
    return () => {
      over = true;
      document.removeEventListener("visibilitychange", ask);
      void lock?.release();
    };
  }, []);
}
