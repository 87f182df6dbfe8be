/** A code to scan, drawn from its rows. */
export function Code({ rows, label }: { rows: string[]; label: string }) {
  const size = rows.length;
  const path = rows
    .flatMap((row, y) =>
      [...row].map((dark, x) => (dark === "1" ? `M${x + edge} ${y + edge}h1v1h-1z` : "")),
    )
    .join("");
  return (
    <svg
      className="scan-code"
      viewBox={`0 0 ${size + 2 * edge} ${size + 2 * edge}`}
      role="img"
      aria-label={label}
      shapeRendering="crispEdges"
    >
      <rect width="100%" height="100%" fill="#fff" />
      <path d={path} fill="#2a2431" />
    </svg>
  );
}

/** The quiet edge that a scanner needs, in modules. */
const edge = 4;
