import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { memo, useState } from "react";
import { afterEach, expect, it } from "vitest";

import { Loading } from "./Loading";
import { useStable } from "./useStable";

afterEach(cleanup);

it("keeps a function the same for memoised rows and calls the newest", () => {
  let drawn = 0;
  const Row = memo(function Row({ act }: { act: (by: number) => void }) {
    drawn++;
    return <button onClick={() => act(2)}>act</button>;
  });
  function Counter() {
    const [n, setN] = useState(1);
    const act = useStable((by: number) => setN(n * by));
    return (
      <>
        <Row act={act} />
        <output>{n}</output>
      </>
    );
  }
  render(<Counter />);
  for (let i = 0; i < 3; i++) fireEvent.click(screen.getByText("act"));
  expect(screen.getByRole("status").textContent).toBe("8");
  expect(drawn).toBe(1);
});

it("says what is under way", () => {
  render(<Loading>Planning the day</Loading>);
  expect(screen.getByRole("status").textContent).toContain("Planning the day");
});
