import { Button } from "antd";
import { Problem } from "../api/client";
import { worded } from "../texts/worded";

/** Says what happened, what it means and what to do next. */
export function ProblemNote({ error, retry }: { error: unknown; retry?: () => void }) {
  const problem =
    error instanceof Problem
      ? error
      : new Problem(0, worded("shared.somethingWentWrong"), String(error));
  return (
    <div className="problem" role="alert">
      <h2>{problem.title}</h2>
      <p>{problem.detail}</p>
      {retry && <Button onClick={retry}>{worded("shared.tryAgain")}</Button>}
    </div>
  );
}
