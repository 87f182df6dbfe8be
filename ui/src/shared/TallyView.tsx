import type { Tally } from "../api/types";
import { tallyWords } from "./format";

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
      {tally.wanted > 0 && <span className="quiet">{tally.wanted} wanted less</span>}
      {tally.worst && <span className="quiet">furthest off: {tally.worst}</span>}
    </span>
  );
}
