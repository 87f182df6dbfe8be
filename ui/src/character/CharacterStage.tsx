import "./character.css";

import { Button, Input, Select } from "antd";
import { PushpinFilled, PushpinOutlined } from "@ant-design/icons";
import { useMemo, useState } from "react";

import type { DishView, LineRole } from "../api/types";
import { idOf } from "../dish/lines";
import { useOpenDish, type OpenDish } from "../dish/useDish";
import { Mark } from "../shared/Mark";
import { capital, figure, refOf } from "../shared/format";
import { without } from "../shared/records";
import { givenBy, groupTraits, type Group, type Row } from "./bars";
import { kept } from "../texts/kept";
import { worded } from "../texts/worded";

/** What the dish lives from: who supplies each trait, and what must survive. */
export default function CharacterStage() {
  const open = useOpenDish();
  const { dish } = open;
  const groups = useMemo(() => groupTraits(dish), [dish]);
  const [lit, setLit] = useState("");
  const pins = dish.document.decisions.pins;
  const pin = (trait: string) =>
    open.decide(
      pins.includes(trait)
        ? kept("character.letGo", { trait })
        : kept("character.pinned", { trait }),
      {
        pins: pins.includes(trait) ? pins.filter((p) => p !== trait) : [...pins, trait],
      },
    );
  if (groups.length === 0) {
    return (
      <main className="page">
        <div className="empty">
          <h2>{worded("character.nothingCanBeWorkedOutYet")}</h2>
          <p>{worded("character.noLineOfThisDishHas")}</p>
        </div>
      </main>
    );
  }
  return (
    <main className="page character">
      <Sentence open={open} />
      <div className="character-grid">
        <Lines dish={dish} groups={groups} lit={lit} light={setLit} open={open} />
        <div className="rows" aria-label={worded("character.traitsAndWhoSuppliesThem")}>
          <p className="legend">
            <span className="swatch animal" /> {worded("character.fromAnAnimal")}
            <span className="swatch plant" /> {worded("character.fromPlantsFungiMinerals")}
            <span>{worded("character.aPinMarksWhatMustSurvive")}</span>
          </p>
          {groups.map((g) => (
            <section key={g.title}>
              <h2>{g.title}</h2>
              {g.rows.map((r) => (
                <TraitRow
                  key={r.thread.trait + r.thread.part}
                  row={r}
                  lit={lit}
                  light={setLit}
                  pinned={pins.includes(r.thread.trait)}
                  pin={() => pin(r.thread.trait)}
                />
              ))}
            </section>
          ))}
        </div>
      </div>
    </main>
  );
}

/** The cook's own sentence on what the dish lives from. */
function Sentence({ open }: { open: OpenDish }) {
  const said = open.dish.document.decisions.livesFrom;
  const [draft, setDraft] = useState<string | null>(null);
  const keep = () => {
    if (draft !== null && draft.trim() !== said) {
      open.decide(kept("character.saidWhatTheDishLivesFrom"), { livesFrom: draft.trim() });
    }
    setDraft(null);
  };
  return (
    <label className="sentence">
      <span>{worded("character.thisDishLivesFrom")}</span>
      <Input
        value={draft ?? said}
        maxLength={1000}
        placeholder={worded("character.itsSauceItsCrustItsSmoke")}
        onChange={(e) => setDraft(e.target.value)}
        onBlur={keep}
        onPressEnter={keep}
      />
    </label>
  );
}

interface LinesProps {
  dish: DishView;
  groups: Group[];
  lit: string;
  light: (ref: string) => void;
  open: OpenDish;
}

/** The lines of the original with what each does; pointing at one lights its parts. */
function Lines({ dish, groups, lit, light, open }: LinesProps) {
  const roles = new Map(dish.roles.map((r) => [r.ref, r]));
  return (
    <section className="doing" aria-label={worded("character.whatEachLineDoes")}>
      {dish.document.original.components.map((c, i) => (
        <div key={i}>
          {dish.document.original.components.length > 1 && (
            <h2 className="part-name">{c.name || worded("character.mainPart")}</h2>
          )}
          <ul>
            {c.lines.map((l, j) => {
              const ref = refOf(i, j);
              const role = roles.get(ref);
              const given = givenBy(ref, groups);
              return (
                <li
                  key={ref}
                  tabIndex={0}
                  className={lit === ref ? "lit" : ""}
                  onPointerEnter={() => light(ref)}
                  onPointerLeave={() => light("")}
                  onFocus={() => light(ref)}
                >
                  <Mark origin={l.origin} check={l.checkLabel} /> <b>{l.name}</b>
                  {given !== "" && <span className="given"> {given}</span>}
                  {role && <Doing role={role} open={open} />}
                </li>
              );
            })}
          </ul>
        </div>
      ))}
    </section>
  );
}

/** What a line does, by which rule, and the way to set it right. */
function Doing({ role, open }: { role: LineRole; open: OpenDish }) {
  const { use } = role;
  const uses = open.dish.document.decisions.uses ?? {};
  const correct = (name: string | undefined) => {
    const id = idOf(open.dish, role.ref);
    const next = name === undefined ? without(uses, id) : { ...uses, [id]: name };
    open.decide(
      name === undefined
        ? kept("character.wentBackToTheRule")
        : kept("character.saidItIsThereTo", { name }),
      {
        uses: next,
      },
    );
  };
  if (use.use === "" && role.fate === "") return null;
  return (
    <span className="why">
      {use.use !== "" && (
        <>
          {worded("character.it", { rule: use.rule })}
          {use.others.length > 1 && (
            <Select
              size="small"
              variant="borderless"
              value={use.use}
              aria-label={worded("character.whatItDoesHere")}
              popupMatchSelectWidth={false}
              options={use.others.map((value) => ({ value, label: value }))}
              onChange={(v: string) => correct(v)}
            />
          )}
          {use.corrected && (
            <Button type="link" size="small" onClick={() => correct(undefined)}>
              {worded("character.backToTheRule")}
            </Button>
          )}
        </>
      )}
      {role.fate !== "" && <em> {worded("character.it2", { fate: role.fate })}</em>}
    </span>
  );
}

interface RowProps {
  row: Row;
  lit: string;
  light: (ref: string) => void;
  pinned: boolean;
  pin: () => void;
}

const leastLabelled = 0.16;

function TraitRow({ row, lit, light, pinned, pin }: RowProps) {
  const { thread, parts } = row;
  const words = parts.map((p) => `${p.label} ${Math.round(p.share * 100)} %`).join(", ");
  return (
    <div className="trait-row">
      <span className="trait-name">{capital(thread.trait)}</span>
      <div className="bar-track">
        <div
          className="bar"
          role="img"
          aria-label={`${capital(thread.trait)} ${figure(thread.original)} ${thread.unit}: ${words}`}
          style={{ width: `${Math.max(3, thread.strength * 100)}%` }}
        >
          {parts.map((p) => (
            <span
              key={p.ref}
              className={`${p.animal ? "animal" : "plant"} ${lit === "" ? "" : lit === p.ref ? "lit" : "dim"}`}
              style={{ flexGrow: p.share, flexBasis: 0 }}
              title={`${p.label}: ${Math.round(p.share * 100)} %`}
              onPointerEnter={() => light(p.ref)}
              onPointerLeave={() => light("")}
            >
              {p.share * thread.strength >= leastLabelled && p.label}
            </span>
          ))}
        </div>
      </div>
      <span className="trait-figure">
        {figure(thread.original)} <span className="quiet">{thread.unit}</span>
      </span>
      <Button
        type="text"
        size="small"
        className={pinned ? "pin on" : "pin"}
        aria-pressed={pinned}
        aria-label={worded("character.mustSurvive", { capital: capital(thread.trait) })}
        title={
          pinned ? worded("character.pinnedItMustSurvive") : worded("character.pinWhatMustSurvive")
        }
        icon={pinned ? <PushpinFilled /> : <PushpinOutlined />}
        onClick={pin}
      />
    </div>
  );
}
