import type { TastingView } from "../api/types";

/** A triangle: who pours sees what goes where, and at the end all see what it showed. */
export function Triangle({ view }: { view: TastingView }) {
  const { tasting, sheets, trays, odd } = view;
  return (
    <>
      <p role="status" className={odd ? "told" : "quiet"}>
        {odd ||
          `${sheets.length} said which cup is the odd one. Who was right is told when the tasting is closed.`}
      </p>
      <details open={tasting.closed === 0}>
        <summary>What stands in the cups, for who pours</summary>
        <table>
          <thead>
            <tr>
              <th>Tray</th>
              <th>Cup 1</th>
              <th>Cup 2</th>
              <th>Cup 3</th>
            </tr>
          </thead>
          <tbody>
            {trays.map((cups, i) => (
              <tr key={i}>
                <th scope="row">{i + 1}</th>
                {cups.map((thing, cup) => (
                  <td key={cup}>{thing}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </>
  );
}
