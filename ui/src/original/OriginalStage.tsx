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
import { kept } from "../texts/kept";
import { worded } from "../texts/worded";

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
      <section aria-label={worded("original.theRecipeAsRead")}>
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
              edit(kept("original.addedAPart"), (e) =>
                addComponent(
                  e,
                  worded("original.part", { components: e.original.components.length + 1 }),
                ),
              )
            }
          >
            {worded("original.addAPart")}
          </Button>
          <span className="export">
            {worded("original.giveItOutAs")}{" "}
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
              {worded("original.chooseSwapsFor", {
                toSwap,
                which: toSwap === 1 ? worded("original.line2") : worded("original.lines"),
              })}
            </Button>
          </p>
        )}
      </section>
      <aside className="source" aria-label={worded("original.theTextAsItCame")} tabIndex={0}>
        <h2>{worded("original.asItCame")}</h2>
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
      {worded("original.readByTheseMeasures", {
        measuresName: measuresName(dish.measures),
        which: dish.habit
          ? worded("original.sinceTheRecipeSays", { words: dish.habit.words })
          : worded("original.asChosenForThisRecipe"),
      })}
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
    <ul className="notices" aria-label={worded("original.notices")}>
      {dish.notices.map((n, i) => (
        <li key={i}>{n.text}</li>
      ))}
    </ul>
  );
}
