import "./trials.css";

import { useEffect, useRef, useState } from "react";

import { api, Problem } from "../api/client";
import type { SheetTrial, SheetView } from "../api/types";
import { drawKey } from "../stove/queue";
import { likings, rights } from "./words";

interface Kept {
  taster: string;
  name: string;
  said: SheetTrial[];
  /** The cup of a triangle that was taken for the odd one, 0 for none. */
  odd: number;
  /** Whether all of it has arrived. */
  sent: boolean;
}

const place = (token: string) => `yembra.sheet.${token}`;

/** The sheet that this browser fills in at a tasting; it outlives a lost line. */
export function readSheet(token: string): Kept {
  try {
    const kept = JSON.parse(localStorage.getItem(place(token)) ?? "null") as Kept | null;
    if (kept?.taster) return { ...kept, odd: kept.odd ?? 0 };
  } catch {
    // what cannot be read is begun anew
  }
  const fresh = { taster: drawKey(), name: "", said: [], odd: 0, sent: true };
  localStorage.setItem(place(token), JSON.stringify(fresh));
  return fresh;
}

/** Which of three cups is the odd one. */
function Odd({ odd, say }: { odd: number; say: (cup: number) => void }) {
  return (
    <fieldset>
      <legend>Two of these are alike. Which is the odd one?</legend>
      <p className="quiet">Taste from left to right; water between. A guess is an answer, too.</p>
      <div className="three">
        {[1, 2, 3].map((cup) => (
          <button
            key={cup}
            type="button"
            aria-pressed={odd === cup}
            onClick={() => say(odd === cup ? 0 : cup)}
          >
            Cup <b>{cup}</b>
          </button>
        ))}
      </div>
    </fieldset>
  );
}

/** One taster's sheet: tap by tap, kept here and sent when the line is there. */
export function SheetForm({ token, view }: { token: string; view: SheetView }) {
  const [kept, setKept] = useState(() => {
    const own = readSheet(token);
    return own.said.length === 0 && own.odd === 0 && (view.said.length > 0 || view.odd > 0)
      ? { ...own, said: view.said, odd: view.odd, name: view.by }
      : own;
  });
  const [at, setAt] = useState(0);
  const [state, setState] = useState<"kept" | "sending" | "waiting" | "refused">("kept");
  const newest = useRef(kept);

  const change = (next: Kept) => {
    newest.current = { ...next, sent: false };
    setKept(newest.current);
    localStorage.setItem(place(token), JSON.stringify(newest.current));
  };
  useEffect(() => {
    if (kept.sent || view.closed) return;
    let over = false;
    const send = async () => {
      setState("sending");
      const sending = newest.current;
      try {
        await api.fillSheet(token, {
          taster: sending.taster,
          name: sending.name,
          said: sending.said,
          odd: sending.odd,
        });
        if (over || newest.current !== sending) return;
        newest.current = { ...sending, sent: true };
        localStorage.setItem(place(token), JSON.stringify(newest.current));
        setKept(newest.current);
        setState("kept");
      } catch (error) {
        if (over) return;
        const later = !(error instanceof Problem) || error.status === 0 || error.status >= 500;
        setState(later ? "waiting" : "refused");
        if (later) timer = window.setTimeout(() => void send(), 2_000);
      }
    };
    let timer = window.setTimeout(() => void send(), 300);
    return () => {
      over = true;
      window.clearTimeout(timer);
    };
  }, [kept, token, view.closed]);

  const letter = view.letters[at] ?? "";
  const none: SheetTrial = { letter, liking: 0, traits: {}, known: "", words: "" };
  const now = kept.said.find((s) => s.letter === letter) ?? none;
  const say = (part: Partial<SheetTrial>) =>
    change({
      ...kept,
      said: [...kept.said.filter((s) => s.letter !== letter), { ...now, ...part }],
    });
  if (view.closed) {
    return (
      <section className="sheet-page">
        <h1>{view.name}</h1>
        <p>The tasting is over. Thank you; what you said stays as it is.</p>
      </section>
    );
  }
  return (
    <section className="sheet-page">
      <h1>
        {view.dish}:{" "}
        {view.triangle
          ? `tray ${view.tray}`
          : view.letters.length === 1
            ? "how is it?"
            : `taste ${letter}`}
      </h1>
      {view.triangle ? (
        <Odd odd={kept.odd} say={(odd) => change({ ...kept, odd })} />
      ) : (
        <>
          <p className="quiet">
            {view.letters.length > 1 && `${at + 1} of ${view.letters.length}. `}
            {view.names[at]} Against the dish as you know and love it.
          </p>
          <fieldset>
            <legend>How do you like it?</legend>
            <div className="nine">
              {likings.map((name, i) => (
                <button
                  key={name}
                  type="button"
                  aria-pressed={now.liking === i + 1}
                  onClick={() => say({ liking: now.liking === i + 1 ? 0 : i + 1 })}
                >
                  <b>{i + 1}</b> {name}
                </button>
              ))}
            </div>
          </fieldset>
          {view.traits.map((trait) => (
            <fieldset key={trait}>
              <legend>{trait}</legend>
              <div className="five">
                {rights.map(([value, name]) => (
                  <button
                    key={value}
                    type="button"
                    aria-label={`${trait}: ${name}`}
                    aria-pressed={now.traits[trait] === value}
                    onClick={() => {
                      const rest = Object.entries(now.traits).filter(([t]) => t !== trait);
                      const again = now.traits[trait] === value;
                      const traits = Object.fromEntries(again ? rest : [...rest, [trait, value]]);
                      say({ traits });
                    }}
                  >
                    {name}
                  </button>
                ))}
              </div>
            </fieldset>
          ))}
          <fieldset>
            <legend>Would you have known that it is not the original?</legend>
            <div className="three">
              {["no", "maybe", "yes"].map((known) => (
                <button
                  key={known}
                  type="button"
                  aria-pressed={now.known === known}
                  onClick={() => say({ known: now.known === known ? "" : known })}
                >
                  {known}
                </button>
              ))}
            </div>
          </fieldset>
        </>
      )}
      {!view.triangle && (
        <label>
          In a sentence, if you like
          <textarea
            rows={2}
            maxLength={500}
            value={now.words}
            onChange={(e) => say({ words: e.target.value })}
          />
        </label>
      )}
      {view.guests.length > 0 && (
        <fieldset>
          <legend>Who are you? Say it or leave it.</legend>
          <div className="three">
            {view.guests.map((name) => (
              <button
                key={name}
                type="button"
                aria-pressed={kept.name === name}
                onClick={() => change({ ...kept, name: kept.name === name ? "" : name })}
              >
                {name}
              </button>
            ))}
          </div>
        </fieldset>
      )}
      <label>
        {view.guests.length > 0 ? "Another name" : "Your name, or none"}
        <input
          value={kept.name}
          maxLength={60}
          onChange={(e) => change({ ...kept, name: e.target.value })}
        />
      </label>
      <div className="sheet-steps">
        <button type="button" disabled={at === 0} onClick={() => setAt(at - 1)}>
          Back
        </button>
        {at + 1 < view.letters.length && (
          <button type="button" className="first" onClick={() => setAt(at + 1)}>
            Now {view.letters[at + 1]}
          </button>
        )}
      </div>
      <p role="status">
        {state === "waiting"
          ? "The line is gone. It is kept here and sent when the line is back."
          : state === "refused"
            ? "The kitchen did not take this; the tasting may be over."
            : state === "sending"
              ? "Sending"
              : kept.sent && (kept.said.length > 0 || kept.odd > 0)
                ? "Arrived. You can change it until the tasting is closed."
                : ""}
      </p>
      <p className="quiet small">
        Kept in this kitchen: what you tap and write here, with the name you give, and nothing else.
      </p>
    </section>
  );
}
