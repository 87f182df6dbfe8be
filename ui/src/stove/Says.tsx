import type { StoveNotice } from "../api/types";
import type { Told } from "./queue";
import { worded } from "../texts/worded";

interface Props {
  says: StoveNotice[];
  tell: (e: Told) => void;
}

/** What the stove speaks up about, each answered with one tap. */
export function Says({ says, tell }: Props) {
  if (says.length === 0) return null;
  return (
    <div className="stove-says" role="alert">
      {says.slice(0, mostShown).map((n) => (
        <div key={n.id} className={n.grave ? "stove-say grave" : "stove-say"}>
          <p>{n.text}</p>
          <span>
            {answersTo(n).map(([say, event]) => (
              <button key={say} onClick={() => tell(event)}>
                {say}
              </button>
            ))}
          </span>
        </div>
      ))}
      {says.length > mostShown && (
        <p className="stove-more">{worded("stove.andMore", { says: says.length - mostShown })}</p>
      )}
    </div>
  );
}

const mostShown = 2;

const seen = (n: StoveNotice): Told => ({ kind: "seen", text: n.id });

/** The taps that answer what is said. */
export function answersTo(n: StoveNotice): [string, Told][] {
  switch (n.kind) {
    case "timer":
      return [
        ["Done", { kind: "over", of: n.timer }],
        [worded("stove.n2MoreMinutes"), { kind: "longer", of: n.timer, amount: 2 }],
        [worded("stove.n5More"), { kind: "longer", of: n.timer, amount: 5 }],
      ];
    case "forgotten":
      return [
        [worded("stove.itGoesInNow"), { kind: "in", line: n.line }],
        [worded("stove.leaveItOut"), { kind: "left-out", line: n.line, text: "forgotten" }],
      ];
    case "unused":
      return [
        worded("stove.leftOutOnPurpose"),
        worded("stove.notInTheHouse"),
        "forgotten",
        worded("stove.usedNotTold"),
      ].map((why) => [why, { kind: "left-out", line: n.line, text: why }]);
    case "season":
      return [["Tasted", seen(n)]];
    default:
      return [["Seen", seen(n)]];
  }
}
