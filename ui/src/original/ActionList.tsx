import type { Action, Mend, RecipeDish, RecipeStep } from "../api/types";
import { madeNames, thing } from "../flow/layout";
import { minutes, refOf } from "../shared/format";
import { useOpenDish } from "../dish/useDish";
import { mendStep } from "./edit";
import { useEdit } from "./useEdit";
import { kept, type KeptText } from "../texts/kept";
import { worded } from "../texts/worded";

interface Props {
  part: number;
  index: number;
  step: RecipeStep;
}

/** What a step does to what, action by action, with the ways to put a wrong reading right. */
export function ActionList({ part, index, step }: Props) {
  const { original } = useOpenDish().dish.document;
  const edit = useEdit();
  const made = madeNames(original);
  const mend = (m: Mend, what: KeptText) => edit(what, (e) => mendStep(e, part, index, m));
  const asked = new Set(step.questions.map((q) => q.from));
  return (
    <ol className="actions" aria-label={worded("original.whatStepDoes", { index: index + 1 })}>
      {step.actions.map((a) => (
        <li key={a.id} className={asked.has(a.from) ? "asks" : undefined}>
          <span>
            <span className="verb">{a.verb}</span>{" "}
            <span className="rest">{words(a, original, made)}</span>
          </span>
          <MendChoice at={a.from} what={a.verb} dish={original} mend={mend} />
        </li>
      ))}
      {step.questions.map((q) => (
        <li key={`q${q.from}`} className="asks">
          <span className="question">{q.text}</span>
          {!step.actions.some((a) => a.from === q.from) && (
            <MendChoice at={q.from} what="this" dish={original} mend={mend} />
          )}
        </li>
      ))}
      {(step.mends ?? []).map((m) => (
        <li key={`m${m.from} ${m.as} ${m.line ?? ""}`}>
          <span className="rest">
            {worded("original.putRightByYou", { mendWords: mendWords(m, original) })}
          </span>
          <button
            className="quiet-action"
            onClick={() =>
              edit(kept("original.tookBackAMendedReading"), (e) =>
                mendStep(e, part, index, m, true),
              )
            }
          >
            {worded("original.takeBack")}
          </button>
        </li>
      ))}
    </ol>
  );
}

function words(a: Action, dish: RecipeDish, made: Map<string, string>): string {
  const list = (rs: Action["to"]) => rs.map((r) => thing(r, dish, made)).join(", ");
  return [
    list(a.to),
    a.with.length > 0 && worded("original.with", { list: list(a.with) }),
    a.into.length > 0 && worded("original.into", { list: list(a.into) }),
    a.minutes && minutes(a.minutes),
    a.celsius !== null && `${a.celsius} °C`,
    a.cue,
  ]
    .filter(Boolean)
    .join(" · ");
}

function mendWords(m: Mend, dish: RecipeDish): string {
  if (m.as === "remark") return worded("original.onlyARemark");
  const line = lines(dish).find((l) => l.id === m.line)?.name ?? worded("original.aLineThatIsGone");
  return m.as === "to"
    ? worded("original.isWorkedHere", { line })
    : worded("original.goesInHere", { line });
}

/** Chooses what a place in a step really is. */
function MendChoice({
  at,
  what,
  dish,
  mend,
}: {
  at: number;
  what: string;
  dish: RecipeDish;
  mend: (m: Mend, what: KeptText) => void;
}) {
  return (
    <span className="mend">
      <select
        aria-label={worded("original.putTheReadingOfRight", { what })}
        value=""
        onChange={(e) => {
          const [as = "", line = ""] = e.target.value.split(" ");
          if (as === "remark") mend({ from: at, as }, kept("original.tookForARemark", { what }));
          else if (line) mend({ from: at, as, line }, kept("original.putALineInto", { what }));
        }}
      >
        <option value="">{worded("original.notSo")}</option>
        <option value="remark">{worded("original.itIsOnlyARemark")}</option>
        <optgroup label={worded("original.thisIsWorkedHere")}>
          {lines(dish).map((l) => (
            <option key={l.id} value={`to ${l.id}`}>
              {l.name}
            </option>
          ))}
        </optgroup>
        <optgroup label={worded("original.thisGoesInHere")}>
          {lines(dish).map((l) => (
            <option key={l.id} value={`with ${l.id}`}>
              {l.name}
            </option>
          ))}
        </optgroup>
      </select>
    </span>
  );
}

function lines(dish: RecipeDish): { id: string; name: string }[] {
  return dish.components.flatMap((c, i) =>
    c.lines.map((l, j) => ({ id: l.id ?? refOf(i, j), name: l.name || l.text })),
  );
}
