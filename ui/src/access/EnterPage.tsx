import "./access.css";

import { useMutation } from "@tanstack/react-query";
import { Button, Input } from "antd";
import { useState } from "react";

import { api } from "../api/client";
import { ProblemNote } from "../shared/ProblemNote";
import { setToken } from "./session";
import { worded } from "../texts/worded";

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
      <h1>{worded("access.yembra")}</h1>
      <p>
        {byCode
          ? worded("access.anotherScreenLetsThisOneIn")
          : worded("access.thisKitchenAsksEveryScreenFor")}
      </p>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          enter.mutate();
        }}
      >
        <label>
          <span>{worded("access.whatThisScreenIsCalled")}</span>
          <Input
            size="large"
            value={name}
            maxLength={60}
            placeholder={worded("access.kitchenTablet")}
            autoComplete="off"
            onChange={(e) => setName(e.target.value)}
          />
        </label>
        {!byCode && (
          <label>
            <span>{worded("access.passphrase")}</span>
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
          {worded("access.comeIn")}
        </Button>
      </form>
    </main>
  );
}
