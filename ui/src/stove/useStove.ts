import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useRef, useState } from "react";

import { api, Problem } from "../api/client";
import type { DevicesNow, StoveNow, StoveView } from "../api/types";
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
    setOffline(answer === "later");
    setLeft(waiting().length);
    if (answer === "later") setTries((n) => n + 1);
  }, [id, take]);

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

  useStream(
    useCallback(
      (cook: string) => {
        if (cook === id) void queries.invalidateQueries({ queryKey: ["stove", id] });
      },
      [queries, id],
    ),
    setDevices,
    useCallback(() => {
      void queries.invalidateQueries({ queryKey: ["stove", id] });
      void send();
    }, [queries, id, send]),
  );
  return { view, tell, screen, offline, left, refused, devices };
}

/** Listens to what the server tells all screens; the browser opens it again by itself. */
export function useStream(
  changed: (cook: string) => void,
  devices: (now: DevicesNow) => void,
  opened: () => void,
) {
  useEffect(() => {
    if (typeof EventSource === "undefined") return;
    const source = new EventSource("/api/stream");
    source.addEventListener("hello", opened);
    source.addEventListener("changed", (e: MessageEvent<string>) =>
      changed((JSON.parse(e.data) as { cook: string }).cook),
    );
    source.addEventListener("devices", (e: MessageEvent<string>) =>
      devices(JSON.parse(e.data) as DevicesNow),
    );
    return () => source.close();
  }, [changed, devices, opened]);
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
