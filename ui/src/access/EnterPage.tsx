import "./access.css";

import { useMutation } from "@tanstack/react-query";
import { Button, Input } from "antd";
import { useState } from "react";

import { api } from "../api/client";
import { ProblemNote } from "../shared/ProblemNote";
import { setToken } from "./session";

/** Signs a screen in: by the kitchen's passphrase, or by a code that was scanned. */
export function EnterPage({ entered }: { entered: () => void }) {
  const [code] = useState(() =>
    location.pathname === "/enter" ? decodeURIComponent(location.hash.slice(1)) : "",
  );
  const [byCode, setByCode] = useState(code !== "");
  const [passphrase, setPassphrase] = useState("");
  const [name, setName] = useState(() => localStorage.getItem("yembra.screen") ?? "");
  const enter = useMutation({
    mutationFn: () =>
      api.signIn({ passphrase: byCode ? "" : passphrase, code: byCode ? code : "", name }),
    onSuccess: (s) => {
      localStorage.setItem("yembra.screen", s.name);
      setToken(s.token);
      if (location.pathname === "/enter") history.replaceState(null, "", "/");
      entered();
    },
    onError: () => setByCode(false),
  });
  return (
    <main className="page enter">
      <h1>Yembra</h1>
      <p>
        {byCode
          ? "Another screen lets this one in. Say what this one is called."
          : "This kitchen asks every screen for its passphrase, once. A screen that is in can also show a code to scan, under Kitchen."}
      </p>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          enter.mutate();
        }}
      >
        <label>
          <span>What this screen is called</span>
          <Input
            size="large"
            value={name}
            maxLength={60}
            placeholder="kitchen tablet"
            autoComplete="off"
            onChange={(e) => setName(e.target.value)}
          />
        </label>
        {!byCode && (
          <label>
            <span>Passphrase</span>
            <Input
              size="large"
              type="password"
              value={passphrase}
              autoComplete="current-password"
              onChange={(e) => setPassphrase(e.target.value)}
            />
          </label>
        )}
        {enter.error && <ProblemNote error={enter.error} />}
        <Button
          type="primary"
          size="large"
          htmlType="submit"
          loading={enter.isPending}
          disabled={name.trim() === "" || (!byCode && passphrase === "")}
        >
          Come in
        </Button>
      </form>
    </main>
  );
}
