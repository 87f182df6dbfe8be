import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";

import { api, Problem } from "../api/client";
import { Loading } from "../shared/Loading";
import { ProblemNote } from "../shared/ProblemNote";
import { EnterPage } from "./EnterPage";
import { setToken, signedOut } from "./session";
import { worded } from "../texts/worded";

/** Lets a screen in that needs no session or has one; others are asked to sign in. */
export function Door({ children }: { children: React.ReactNode }) {
  const queries = useQueryClient();
  const [out, setOut] = useState(false);
  const session = useQuery({ queryKey: ["session"], queryFn: api.session, staleTime: Infinity });
  useEffect(() => {
    const leave = () => setOut(true);
    window.addEventListener(signedOut, leave);
    return () => window.removeEventListener(signedOut, leave);
  }, []);
  useEffect(() => {
    if (session.data) setToken(session.data.token);
  }, [session.data]);
  // Without a line there is no asking; what was seen last is shown as it was.
  const cut = session.error instanceof Problem && session.error.status === 0;
  if (session.error && !cut) {
    return (
      <main className="page">
        <ProblemNote error={session.error} retry={() => void session.refetch()} />
      </main>
    );
  }
  if (session.isPending) return <Loading>{worded("access.opening")}</Loading>;
  if (session.data && ((session.data.needed && !session.data.signedIn) || out)) {
    return (
      <EnterPage
        entered={() => {
          setOut(false);
          queries.clear();
          void session.refetch();
        }}
      />
    );
  }
  if (session.data) setToken(session.data.token);
  return children;
}
