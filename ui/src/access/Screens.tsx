import "./access.css";

import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";

import { api } from "../api/client";
import { ProblemNote } from "../shared/ProblemNote";
import { Sheet } from "../shared/Sheet";
import { Code } from "./Code";
import { signedOut } from "./session";
import { worded } from "../texts/worded";

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
          {worded("access.otherScreensFindItAt")} <a href={a.addresses[0]}>{a.addresses[0]}</a>
          {a.addresses.length > 1 && (
            <span className="quiet">
              {" "}
              {worded("access.also", { addresses: a.addresses.slice(1).join(", ") })}
            </span>
          )}
          {worded("access.onTheFirstVisitCompareThe")}{" "}
          <code className="fingerprint">{a.fingerprint}</code>
        </p>
      ) : (
        <p className="quiet">
          {worded("access.onlyThisMachineReachesThisKitchen")}
          <code>{worded("access.yembraPassphrase")}</code>
          {worded("access.andServeItWith")} <code>{worded("access.addr00008765")}</code>.
        </p>
      )}
      {a.open && (
        <>
          <ul className="own-foods">
            {a.screens.map((s) => (
              <li key={s.id}>
                <b>{s.name}</b>
                {s.id === a.own && worded("access.thisOne")}{" "}
                <span className="quiet small">
                  {worded("access.sinceSeen", {
                    value: new Date(s.made).toLocaleDateString("en-GB"),
                    value2: new Date(s.seen).toLocaleString("en-GB"),
                  })}
                </span>{" "}
                <Button
                  size="small"
                  onClick={() => out.mutate(s.id)}
                  aria-label={worded("access.signOut", { sName: s.name })}
                >
                  {worded("access.signOut2")}
                </Button>
              </li>
            ))}
          </ul>
          <p className="screen-tools">
            <Button onClick={() => code.mutate()}>{worded("access.letAScreenIn")}</Button>
            <Button onClick={() => out.mutate("all")}>{worded("access.signAllOut")}</Button>
          </p>
        </>
      )}
      {a.links.length > 0 && <h3>{worded("access.guestsLinks")}</h3>}
      <ul className="own-foods">
        {a.links.map((l) => (
          <li key={l.id}>
            {worded("access.untilOpened", {
              lName: l.name,
              kind: l.kind,
              value: new Date(l.until).toLocaleString("en-GB"),
              used: l.used,
              which: l.used === 1 ? worded("access.time") : worded("access.times"),
            })}{" "}
            <Button size="small" onClick={() => back.mutate(l.id)}>
              {worded("access.takeBack")}
            </Button>
          </li>
        ))}
      </ul>
      {(out.error ?? back.error ?? code.error) && (
        <ProblemNote error={out.error ?? back.error ?? code.error} />
      )}
      {code.data && (
        <Sheet title={worded("access.scanThisWithTheOtherScreen")} close={() => code.reset()}>
          <div className="link-made">
            <Code rows={code.data.rows} label={worded("access.codeToScanSignsOneScreen")} />
            <p>
              <a href={code.data.url}>{code.data.url}</a>
            </p>
            <p className="quiet">
              {worded("access.goodOnceUntil", {
                value: new Date(code.data.until).toLocaleTimeString("en-GB"),
              })}
            </p>
          </div>
        </Sheet>
      )}
    </>
  );
}
