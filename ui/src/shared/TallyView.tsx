import type { Tally } from "../api/types";
import { tallyWords } from "./format";
import { worded } from "../texts/worded";

/** The tally with its worst trait named. */
export function TallyView({ tally }: { tally: Tally }) {
  const entries = [
    ["kept", tally.kept],
    ["near", tally.near],
    ["short", tally.short],
    ["over", tally.over],
  ] as const;
  return (
    <span className="tally" aria-label={tallyWords(tally)}>
      {entries
        .filter(([name, n]) => n > 0 || name !== "over")
        .map(([name, n]) => (
          <span key={name} className={name}>
            <b>{n}</b> {name}
          </span>
        ))}
      {tally.wanted > 0 && (
        <span className="quiet">{worded("shared.wantedLess", { wanted: tally.wanted })}</span>
      )}
      {tally.worst && (
        <span className="quiet">{worded("shared.furthestOff", { worst: tally.worst })}</span>
      )}
    </span>
  );
}
