import "./access.css";

import { useMutation } from "@tanstack/react-query";
import { Button } from "antd";
import { useState } from "react";

import { api } from "../api/client";
import { ProblemNote } from "../shared/ProblemNote";
import { Sheet } from "../shared/Sheet";
import { Code } from "./Code";
import { worded } from "../texts/worded";

interface Props {
  kind: "card" | "day" | "shopping" | "tasting";
  about: string;
  what: string;
}

/** A button that makes a guest's link: to one thing, for a while, with a code to scan. */
export function GuestLink({ kind, about, what }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button type="link" onClick={() => setOpen(true)}>
        {worded("access.linkForAGuest")}
      </Button>
      {open && <LinkSheet kind={kind} about={about} what={what} close={() => setOpen(false)} />}
    </>
  );
}

const lasting: [string, number][] = [
  [worded("access.n2Hours"), 2],
  [worded("access.aDay"), 24],
  [worded("access.aWeek"), 24 * 7],
];

function LinkSheet({ kind, about, what, close }: Props & { close: () => void }) {
  const make = useMutation({
    mutationFn: (hours: number) => api.makeLink({ kind, about, hours }),
  });
  const [copied, setCopied] = useState(false);
  return (
    <Sheet title={worded("access.aGuestsLinkTo", { what })} close={close}>
      {!make.data && (
        <>
          <p>{worded("access.itOpensThisAndNothingElse")}</p>
          <div className="link-times">
            {lasting.map(([say, hours]) => (
              <Button key={say} loading={make.isPending} onClick={() => make.mutate(hours)}>
                {worded("access.for", { say })}
              </Button>
            ))}
          </div>
        </>
      )}
      {make.error && <ProblemNote error={make.error} />}
      {make.data && (
        <div className="link-made">
          <Code rows={make.data.rows} label={worded("access.codeToScanTheGuestsLink")} />
          <p>
            <a href={make.data.url}>{make.data.url}</a>
          </p>
          <p className="quiet">
            {worded("access.goodUntilItIsShownOnly", {
              value: new Date(make.data.until).toLocaleString("en-GB"),
            })}
          </p>
          <Button
            onClick={() =>
              void navigator.clipboard?.writeText(make.data.url).then(() => setCopied(true))
            }
          >
            {copied ? worded("access.copied") : worded("access.copy")}
          </Button>
        </div>
      )}
    </Sheet>
  );
}
