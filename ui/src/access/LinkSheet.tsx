import "./access.css";

import { useMutation } from "@tanstack/react-query";
import { Button } from "antd";
import { useState } from "react";

import { api } from "../api/client";
import { ProblemNote } from "../shared/ProblemNote";
import { Sheet } from "../shared/Sheet";
import { Code } from "./Code";

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
        Link for a guest
      </Button>
      {open && <LinkSheet kind={kind} about={about} what={what} close={() => setOpen(false)} />}
    </>
  );
}

const lasting: [string, number][] = [
  ["2 hours", 2],
  ["a day", 24],
  ["a week", 24 * 7],
];

function LinkSheet({ kind, about, what, close }: Props & { close: () => void }) {
  const make = useMutation({
    mutationFn: (hours: number) => api.makeLink({ kind, about, hours }),
  });
  const [copied, setCopied] = useState(false);
  return (
    <Sheet title={`A guest's link to ${what}`} close={close}>
      {!make.data && (
        <>
          <p>
            It opens this and nothing else, for as long as you say. It can be taken back in Kitchen.
          </p>
          <div className="link-times">
            {lasting.map(([say, hours]) => (
              <Button key={say} loading={make.isPending} onClick={() => make.mutate(hours)}>
                for {say}
              </Button>
            ))}
          </div>
        </>
      )}
      {make.error && <ProblemNote error={make.error} />}
      {make.data && (
        <div className="link-made">
          <Code rows={make.data.rows} label="Code to scan: the guest's link" />
          <p>
            <a href={make.data.url}>{make.data.url}</a>
          </p>
          <p className="quiet">
            Good until {new Date(make.data.until).toLocaleString("en-GB")}. It is shown only now.
          </p>
          <Button
            onClick={() =>
              void navigator.clipboard?.writeText(make.data.url).then(() => setCopied(true))
            }
          >
            {copied ? "Copied" : "Copy"}
          </Button>
        </div>
      )}
    </Sheet>
  );
}
