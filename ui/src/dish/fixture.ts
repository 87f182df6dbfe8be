import type { Candidate, DishView, RecipeLine, SwapLine, TrayItem } from "../api/types";
import { refOf } from "../shared/format";

/** A line as the server would send it. */
export function line(name: string, origin: string, more: Partial<RecipeLine> = {}): RecipeLine {
  return {
    text: `100 g ${name}`,
    amount: { low: 100, high: 100, unit: "g" },
    grams: { low: 100, high: 100 },
    food: name.replaceAll(" ", "-"),
    form: "raw",
    name,
    preparation: "",
    optional: false,
    toTaste: false,
    alternatives: [],
    origin,
    animal: "",
    hidden: false,
    checkLabel: false,
    why: `${name}: ${origin}.`,
    ...more,
  };
}

/** An adapted line. */
export function adapted(l: RecipeLine, from: string | null, change: string): SwapLine {
  return { ...l, from, change };
}

/** A small dish with one swap in place and one line open. */
export function dish(): DishView {
  const haddock = line("smoked haddock", "animal", { id: "l1", animal: "fish" });
  const butter = line("butter", "animal", { animal: "dairy" });
  const leek = line("leek", "plant");
  const scales = line("dragon scales", "unknown", { food: null, grams: null });
  const bread = line("bread", "mixed", { checkLabel: true, why: "Look for one without milk." });
  const tofu = line("smoked tofu", "plant");
  return {
    id: "d1",
    edit: 4,
    changed: "2026-11-01T10:00:00Z",
    canUndo: true,
    canRedo: false,
    screen: "",
    what: "used a swap",
    faults: [],
    learned: [],
    slots: [
      {
        ref: refOf(0, 0),
        use: { use: "flake", rule: "is flaked", corrected: false, others: ["flake", "cured"] },
        allowed: 2,
        rule: "no animal matter",
        rejected: [],
      },
      {
        ref: refOf(0, 1),
        use: { use: "fry", rule: "fries", corrected: false, others: ["fry", "enrich"] },
        allowed: 1,
        rule: "no animal matter",
        rejected: [],
      },
    ],
    roles: [
      {
        ref: refOf(0, 0),
        use: { use: "flake", rule: "is flaked", corrected: false, others: ["flake", "cured"] },
        fate: "is cooked",
        taken: 1,
      },
    ],
    document: {
      name: "Skink",
      place: "Scotland",
      country: "",
      source: "Skink\n\n100 g smoked haddock\n100 g butter\n100 g leek",
      original: {
        name: "Skink",
        serves: { low: 4, high: 6 },
        components: [
          {
            name: "",
            lines: [haddock, butter, leek, scales, bread],
            steps: [
              {
                text: "Poach the haddock.",
                techniques: ["poach"],
                minutes: { low: 5, high: 8 },
                celsius: 180,
                lines: [0],
                cue: "until it flakes",
                handsOn: false,
                animals: [{ name: "haddock", animal: "fish" }],
                actions: [
                  {
                    id: "c0.s0.a0",
                    verb: "poach",
                    technique: "poach",
                    to: [{ line: refOf(0, 0), made: null, named: null, share: 1 }],
                    with: [],
                    into: [],
                    minutes: { low: 5, high: 8 },
                    celsius: null,
                    cue: "until it flakes",
                    from: 0,
                    upto: 17,
                    alone: true,
                  },
                ],
                asides: [],
                questions: [],
              },
            ],
          },
        ],
        notices: [
          {
            where: refOf(0, 3),
            kind: "unknown-food",
            text: "“dragon scales” is not in the larder.",
          },
        ],
      },
      decisions: {
        houseRules: { preset: "whole-food", off: [], saltPerServing: 0 },
        pins: ["smoke"],
        swaps: { l1: "smoked-tofu-flakes" },
        boosters: [],
        livesFrom: "Smoke and sea.",
      },
      lastId: 1,
    },
    adaptation: {
      components: [
        {
          name: "",
          lines: [
            adapted(tofu, refOf(0, 0), "swapped"),
            adapted(line("butter (left open)", "unknown"), refOf(0, 1), "dropped"),
            adapted(leek, refOf(0, 2), "kept"),
            adapted(bread, refOf(0, 4), "kept"),
          ],
          steps: [
            {
              text: "Poach the smoked tofu.",
              techniques: ["poach"],
              minutes: null,
              celsius: null,
              lines: [0],
              cue: "",
              handsOn: false,
              animals: [],
              actions: [],
              asides: [],
              questions: [],
              from: [0],
              change: "changed",
              why: "Only warm it.",
              key: "components[0].steps[0]",
              own: false,
              written: "",
              heat: "",
              work: 0,
              wait: 0,
              kit: [],
              cautions: [{ id: "kelp", text: "Not daily.", grave: false, source: "codex" }],
            },
          ],
        },
      ],
      swaps: [
        {
          replaces: refOf(0, 0),
          swap: "smoked-tofu-flakes",
          name: "Flaked smoked tofu",
          lines: [0],
          why: "Smoke in flakes.",
          use: "flake",
          rule: "is flaked",
          amount: 1,
          limits: "Firmer.",
          cautions: ["Kelp is rich in iodine."],
          rejected: [],
        },
      ],
      boosters: [],
      traits: [
        {
          trait: "smoke",
          family: "smelt",
          component: "",
          part: 0,
          strength: 0.5,
          original: 5,
          adapted: 2,
          unit: "0-10",
          steps: -3,
          verdict: "short",
          pinned: true,
          from: [{ line: refOf(0, 0), share: 1 }],
          to: [{ line: refOf(0, 0), share: 1 }],
        },
      ],
      structure: [],
      tally: { kept: 0, near: 0, short: 1, over: 0, wanted: 0, worst: "smoke" },
      sidePots: [],
      unresolved: [{ line: refOf(0, 1), why: "no swap chosen yet" }],
    },
  };
}

/** A candidate for a line. */
export function candidate(id: string, name: string): Candidate {
  return {
    swap: {
      id,
      name,
      short: name,
      serves: [],
      uses: [],
      right: [],
      per: "100 g",
      formula: [],
      prepare: [],
      pan: "",
      finish: "",
      cookMinutes: 0,
      bare: false,
      verb: "",
      bears: 0,
      cook: "",
      why: "It keeps the smoke.",
      limits: "It is firm.",
      cautions: [],
      when: "",
      ahead: "",
      next: [],
      source: "estimate",
    },
    fit: "right",
    lines: [line("smoked tofu", "plant")],
    moves: [{ trait: "smoke", component: "", steps: -0.4, verdict: "kept", pinned: true }],
    tally: { kept: 1, near: 0, short: 0, over: 0, wanted: 0, worst: "" },
    hands: 5,
    wait: 20,
    kit: ["pan"],
    grade: "plain",
    allergens: ["soy"],
    cost: 0.8,
    protein: 9,
    reason: "",
    homes: [],
    stranger: false,
    first: false,
    parts: { pinned: 0, others: 0, broken: 0, soft: 0, hands: 5, cost: 0.8 },
  };
}

/** A booster of the tray. */
export function tray(food: string, grams: number, helps = false): TrayItem {
  return {
    food,
    form: "raw",
    name: food,
    traits: ["savoury"],
    when: "At the end.",
    component: 0,
    part: "",
    step: 6,
    most: 24,
    grams,
    shown: "1 tsp (6 g)",
    helps,
    moves: [{ trait: "savoury", component: "", steps: 0.6, verdict: "near", pinned: false }],
    barred: helps ? "" : "no sea",
    allergens: [],
    estimate: true,
  };
}
