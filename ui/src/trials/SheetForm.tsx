import "./trials.css";

import { useEffect, useRef, useState } from "react";

import { api, Problem } from "../api/client";
import type { SheetTrial, SheetView } from "../api/types";
import { drawKey } from "../stove/queue";
import { likings, rights } from "./words";
import { worded } from "../texts/worded";

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
      <legend>{worded("trials.twoOfTheseAreAlikeWhich")}</legend>
      <p className="quiet">{worded("trials.tasteFromLeftToRightWater")}</p>
      <div className="three">
        {[1, 2, 3].map((cup) => (
          <button
            key={cup}
            type="button"
            aria-pressed={odd === cup}
            onClick={() => say(odd === cup ? 0 : cup)}
          >
            {worded("trials.cup")} <b>{cup}</b>
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
        <p>{worded("trials.theTastingIsOverThankYou")}</p>
      </section>
    );
  }
  return (
    <section className="sheet-page">
      <h1>
        {view.dish}:{" "}
        {view.triangle
          ? worded("trials.tray", { tray: view.tray })
          : view.letters.length === 1
            ? worded("trials.howIsIt")
            : worded("trials.taste", { letter })}
      </h1>
      {view.triangle ? (
        <Odd odd={kept.odd} say={(odd) => change({ ...kept, odd })} />
      ) : (
        <>
          <p className="quiet">
            {view.letters.length > 1 &&
              worded("trials.of", { at: at + 1, letters: view.letters.length })}
            {view.names[at]} {worded("trials.againstTheDishAsYouKnow")}
          </p>
          <fieldset>
            <legend>{worded("trials.howDoYouLikeIt")}</legend>
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
            <legend>{worded("trials.wouldYouHaveKnownThatIt")}</legend>
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
          {worded("trials.inASentenceIfYouLike")}
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
          <legend>{worded("trials.whoAreYouSayItOr")}</legend>
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
        {view.guests.length > 0 ? worded("trials.anotherName") : worded("trials.yourNameOrNone")}
        <input
          value={kept.name}
          maxLength={60}
          onChange={(e) => change({ ...kept, name: e.target.value })}
        />
      </label>
      <div className="sheet-steps">
        <button type="button" disabled={at === 0} onClick={() => setAt(at - 1)}>
          {worded("trials.back")}
        </button>
        {at + 1 < view.letters.length && (
          <button type="button" className="first" onClick={() => setAt(at + 1)}>
            {worded("trials.now")} {view.letters[at + 1]}
          </button>
        )}
      </div>
      <p role="status">
        {state === "waiting"
          ? worded("trials.theLineIsGoneItIs")
          : state === "refused"
            ? worded("trials.theKitchenDidNotTakeThis")
            : state === "sending"
              ? worded("trials.sending")
              : kept.sent && (kept.said.length > 0 || kept.odd > 0)
                ? worded("trials.arrivedYouCanChangeItUntil")
                : ""}
      </p>
      <p className="quiet small">{worded("trials.keptInThisKitchenWhatYou")}</p>
    </section>
  );
}
