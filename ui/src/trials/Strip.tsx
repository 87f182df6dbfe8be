import type { JudgedTrait, Sheet } from "../api/types";
import { worded } from "../texts/worded";

interface Props {
  trait: JudgedTrait;
  sheets: Sheet[];
  letter: string;
}

const width = 300;
const x = (value: number) => width / 2 + value * 56;

/** What each taster said of a trait, as dots around just right. */
export function Strip({ trait, sheets, letter }: Props) {
  const said = sheets.flatMap((s) =>
    s.said.filter((t) => t.letter === letter).map((t) => t.traits[trait.trait]),
  );
  const piles = new Map<number, number>();
  const n = trait.tooLittle + trait.justRight + trait.tooMuch;
  return (
    <svg
      className="strip"
      viewBox={`0 0 ${width} 54`}
      role="img"
      aria-label={worded("trials.tooLittleJustRightTooMuch", {
        trait: trait.trait,
        tooLittle: trait.tooLittle,
        justRight: trait.justRight,
        tooMuch: trait.tooMuch,
        n,
      })}
    >
      <rect x={x(0) - 28} y="2" width="56" height="40" className="right" />
      <path d={`M${x(-2) - 14} 42H${x(2) + 14}`} className="base" />
      {said.map((value, i) => {
        if (value === undefined) return null;
        const high = piles.get(value) ?? 0;
        piles.set(value, high + 1);
        return (
          <circle
            key={i}
            cx={x(value) - 18 + (high % 5) * 9}
            cy={36 - Math.floor(high / 5) * 9}
            r="4"
            className={value === 0 ? "dot" : "dot off"}
          />
        );
      })}
      <path d={`M${x(trait.mean)} 40l-5 9h10z`} className="mean" />
    </svg>
  );
}
