import "./original.css";

import { Button } from "antd";
import { useState } from "react";
import { useNavigate } from "react-router";

import type { RecipeDish } from "../api/types";
import { useOpenDish } from "../dish/useDish";
import { FlowPicture } from "../flow/FlowPicture";
import { measuresName } from "../shared/measures";
import { Part } from "./Part";
import { addComponent } from "./edit";
import { useEdit } from "./useEdit";

/** The recipe as read, beside the text as it came. */
export default function OriginalStage() {
  const open = useOpenDish();
  const go = useNavigate();
  const { original, source } = open.dish.document;
  const [lit, setLit] = useState("");
  const edit = useEdit();
  const toSwap = open.dish.slots.length;
  return (
    <main className="page original">
      <section aria-label="The recipe as read">
        <Notices dish={original} />
        <Measures dish={original} />
        <FlowPicture dish={original} />
        {original.components.map((c, i) => (
          <Part
            key={`${i} ${c.name}`}
            index={i}
            part={c}
            parts={original.components.length}
            lit={lit}
            setLit={setLit}
          />
        ))}
        <div className="after-parts">
          <Button
            onClick={() =>
              edit("added a part", (e) =>
                addComponent(e, `Part ${e.original.components.length + 1}`),
              )
            }
          >
            Add a part
          </Button>
          <span className="export">
            Give it out as{" "}
            {exports.map(([format, name]) => (
              <a key={format} href={`/api/dishes/${open.dish.id}/original/${format}`} download>
                {name}
              </a>
            ))}
          </span>
        </div>
        {toSwap > 0 && (
          <p className="next-stage">
            <Button
              type="primary"
              size="large"
              onClick={() => void go(`/dishes/${open.dish.id}/swaps`)}
            >
              Choose swaps for {toSwap} {toSwap === 1 ? "line" : "lines"}
            </Button>
          </p>
        )}
      </section>
      <aside className="source" aria-label="The text as it came" tabIndex={0}>
        <h2>As it came</h2>
        {source.split("\n").map((line, i) => (
          <p
            key={i}
            className={lit !== "" && line.includes(lit) ? "lit" : undefined}
            onPointerEnter={() => setLit(textIn(original, line))}
            onPointerLeave={() => setLit("")}
          >
            {line}
          </p>
        ))}
      </aside>
    </main>
  );
}

const exports = [
  ["markdown", "Markdown"],
  ["jsonld", "JSON-LD"],
  ["csv", "CSV"],
] as const;

/** Whose cups and spoons the amounts were read by, and why. */
function Measures({ dish }: { dish: RecipeDish }) {
  if (!dish.measures) return null;
  return (
    <p className="measures small quiet">
      Read by these measures: {measuresName(dish.measures)}
      {dish.habit
        ? `, since the recipe says “${dish.habit.words}”.`
        : ", as chosen for this recipe."}
    </p>
  );
}

/** The text of the read line that a line of the source became, or "". */
function textIn(dish: RecipeDish, source: string): string {
  for (const c of dish.components) {
    for (const l of c.lines) if (source.includes(l.text)) return l.text;
    for (const s of c.steps) if (source.includes(s.text)) return s.text;
  }
  return "";
}

function Notices({ dish }: { dish: RecipeDish }) {
  if (dish.notices.length === 0) return null;
  return (
    <ul className="notices" aria-label="Notices">
      {dish.notices.map((n, i) => (
        <li key={i}>{n.text}</li>
      ))}
    </ul>
  );
}
