import type { TastingView } from "../api/types";
import { worded } from "../texts/worded";

/** A triangle: who pours sees what goes where, and at the end all see what it showed. */
export function Triangle({ view }: { view: TastingView }) {
  const { tasting, sheets, trays, odd } = view;
  return (
    <>
      <p role="status" className={odd ? "told" : "quiet"}>
        {odd || worded("trials.saidWhichCupIsTheOdd", { sheets: sheets.length })}
      </p>
      <details open={tasting.closed === 0}>
        <summary>{worded("trials.whatStandsInTheCupsFor")}</summary>
        <table>
          <thead>
            <tr>
              <th>{worded("trials.tray2")}</th>
              <th>{worded("trials.cup1")}</th>
              <th>{worded("trials.cup2")}</th>
              <th>{worded("trials.cup3")}</th>
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
