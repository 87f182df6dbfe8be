import "./access.css";

import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";

import { api } from "../api/client";
import { ProblemNote } from "../shared/ProblemNote";
import { Sheet } from "../shared/Sheet";
import { Code } from "./Code";
import { signedOut } from "./session";

/** Who can reach the kitchen: addresses, screens that are in, guests' links. */
export function Screens() {
  const queries = useQueryClient();
  const access = useQuery({ queryKey: ["access"], queryFn: api.access });
  const again = () => void queries.invalidateQueries({ queryKey: ["access"] });
  const out = useMutation({
    mutationFn: (id: string) => api.signOut(id),
    onSuccess: (_, id) => {
      if (id === "all" || id === access.data?.own) window.dispatchEvent(new Event(signedOut));
      else again();
    },
  });
  const back = useMutation({ mutationFn: (id: string) => api.takeLinkBack(id), onSuccess: again });
  const code = useMutation({ mutationFn: api.showCode });
  if (access.error) return <ProblemNote error={access.error} />;
  if (!access.data) return null;
  const a = access.data;
  return (
    <>
      {a.open ? (
        <p>
          Other screens find it at <a href={a.addresses[0]}>{a.addresses[0]}</a>
          {a.addresses.length > 1 && (
            <span className="quiet"> (also {a.addresses.slice(1).join(", ")})</span>
          )}
          . On the first visit, compare the certificate’s SHA-256 fingerprint:{" "}
          <code className="fingerprint">{a.fingerprint}</code>
        </p>
      ) : (
        <p className="quiet">
          Only this machine reaches this kitchen, and nobody signs in. To let phones and tablets in,
          set a passphrase (<code>yembra passphrase</code>) and serve it with{" "}
          <code>--addr 0.0.0.0:8765</code>.
        </p>
      )}
      {a.open && (
        <>
          <ul className="own-foods">
            {a.screens.map((s) => (
              <li key={s.id}>
                <b>{s.name}</b>
                {s.id === a.own && " (this one)"}{" "}
                <span className="quiet small">
                  since {new Date(s.made).toLocaleDateString("en-GB")}, seen{" "}
                  {new Date(s.seen).toLocaleString("en-GB")}
                </span>{" "}
                <Button
                  size="small"
                  onClick={() => out.mutate(s.id)}
                  aria-label={`Sign ${s.name} out`}
                >
                  Sign out
                </Button>
              </li>
            ))}
          </ul>
          <p className="screen-tools">
            <Button onClick={() => code.mutate()}>Let a screen in</Button>
            <Button onClick={() => out.mutate("all")}>Sign all out</Button>
          </p>
        </>
      )}
      {a.links.length > 0 && <h3>Guests’ links</h3>}
      <ul className="own-foods">
        {a.links.map((l) => (
          <li key={l.id}>
            {l.name}, {l.kind}, until {new Date(l.until).toLocaleString("en-GB")}, opened {l.used}{" "}
            {l.used === 1 ? "time" : "times"}{" "}
            <Button size="small" onClick={() => back.mutate(l.id)}>
              Take back
            </Button>
          </li>
        ))}
      </ul>
      {(out.error ?? back.error ?? code.error) && (
        <ProblemNote error={out.error ?? back.error ?? code.error} />
      )}
      {code.data && (
        <Sheet title="Scan this with the other screen" close={() => code.reset()}>
          <div className="link-made">
            <Code rows={code.data.rows} label="Code to scan: signs one screen in" />
            <p>
              <a href={code.data.url}>{code.data.url}</a>
            </p>
            <p className="quiet">
              Good once, until {new Date(code.data.until).toLocaleTimeString("en-GB")}.
            </p>
          </div>
        </Sheet>
      )}
    </>
  );
}
