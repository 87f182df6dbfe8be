import type { ThreadMark } from "../api/types";

const tone: Record<string, string> = {
  kept: "var(--fern)",
  wanted: "var(--fern)",
  near: "var(--turmeric)",
  short: "var(--tide)",
  over: "var(--clay)",
};

/** The dish's emblem: its threads, small. Threads that do not arrive stop short of the gap's far side. */
export function Emblem({ threads }: { threads: ThreadMark[] }) {
  const shown = threads.slice(0, 8);
  const height = 40;
  const gap = height / (shown.length + 1);
  return (
    <svg width="64" height={height} viewBox={`0 0 64 ${height}`} aria-hidden="true">
      {shown.map((t, i) => {
        const y = gap * (i + 1);
        const end = gap * (((i * 3 + 2) % shown.length) + 1);
        const whole = t.verdict !== "short";
        return (
          <path
            key={`${t.trait}${i}`}
            d={
              whole
                ? `M2 ${y} C24 ${y} 40 ${end} 62 ${end}`
                : `M2 ${y} C20 ${y} 26 ${(y + end) / 2} 34 ${(y + end) / 2 + 4}`
            }
            fill="none"
            stroke={tone[t.verdict] ?? "var(--quiet)"}
            strokeWidth="2.2"
            strokeDasharray={whole ? undefined : "5 2 2 2"}
          />
        );
      })}
    </svg>
  );
}
