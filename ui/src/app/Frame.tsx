import { Input } from "antd";
import type { InputRef } from "antd";
import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { NavLink, useLocation } from "react-router";

import { api } from "../api/client";
import { KeyList } from "../shared/KeyList";
import { Sheet } from "../shared/Sheet";
import { isTyping, keyList } from "./keys";
import { useTold } from "./useTold";
import { worded } from "../texts/worded";

/** The top band with the places, search and help. */
export function Frame({ children }: { children: React.ReactNode }) {
  useTold();
  const [help, setHelp] = useState(false);
  const search = useRef<InputRef>(null);
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (isTyping(e) || e.ctrlKey || e.metaKey || e.altKey) return;
      if (e.key === "/") {
        e.preventDefault();
        search.current?.focus();
      } else if (e.key === "?") {
        setHelp(true);
      }
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);
  return (
    <>
      <header className="band">
        <NavLink to="/dishes" className="wordmark" aria-label={worded("app.yembraToTheDishes")}>
          <svg width="26" height="18" viewBox="0 0 26 18" aria-hidden="true">
            <path d="M1 4c12 0 12 10 24 10" stroke="#9CC5A4" strokeWidth="2.4" fill="none" />
            <path d="M1 9h24" stroke="#E9B85A" strokeWidth="2.4" fill="none" />
            <path d="M1 14c7 0 8-5 12-8" stroke="#D98CA8" strokeWidth="2.4" fill="none" />
          </svg>
          {worded("app.yembra")}
        </NavLink>
        <nav aria-label={worded("app.places")} className="places">
          <NavLink to="/dishes">{worded("app.dishes")}</NavLink>
          <NavLink to="/map">{worded("app.map")}</NavLink>
          <NavLink to="/days">{worded("app.days")}</NavLink>
          <NavLink to="/larder">{worded("app.larder")}</NavLink>
          <NavLink to="/kitchen">{worded("app.kitchen")}</NavLink>
          <OnTheStove />
        </nav>
        <Search inputRef={search} />
        <button
          className="help-key"
          onClick={() => setHelp(true)}
          aria-label={worded("app.helpAndKeys")}
          title={worded("app.helpAndKeys2")}
        >
          ?
        </button>
      </header>
      {children}
      {help && (
        <Sheet title={worded("app.keys")} close={() => setHelp(false)}>
          <KeyList keys={keyList} />
        </Sheet>
      )}
    </>
  );
}

/** What is being cooked now, one tap away. */
function OnTheStove() {
  const cooking = useQuery({ queryKey: ["stoves"], queryFn: api.stoves, refetchInterval: 20_000 });
  const running = cooking.data?.filter((s) => s.ended === 0) ?? [];
  return (
    <>
      {running.slice(0, 2).map((s) => (
        <NavLink key={s.id} to={`/stove/${s.id}`} className="cooking">
          {worded("app.onTheStove", { sName: s.name })}
        </NavLink>
      ))}
    </>
  );
}

function Search({ inputRef }: { inputRef: React.RefObject<InputRef | null> }) {
  const [text, setText] = useState("");
  const { pathname } = useLocation();
  const [openAt, setOpenAt] = useState("");
  const hits = useQuery({
    queryKey: ["search", text],
    queryFn: () => api.dishes(new URLSearchParams({ q: text, most: "20" })),
    enabled: text.trim() !== "",
  });
  const foods = useQuery({
    queryKey: ["foods", text],
    queryFn: () => api.foods(text),
    enabled: text.trim() !== "",
  });
  const open = text.trim() !== "" && openAt === pathname;
  return (
    <div className="search" role="search">
      <Input
        ref={inputRef}
        value={text}
        placeholder={worded("app.searchDishesAndFoods2")}
        aria-label={worded("app.searchDishesAndFoods3")}
        allowClear
        onChange={(e) => {
          setText(e.target.value);
          setOpenAt(pathname);
        }}
        onKeyDown={(e) => {
          if (e.key === "Escape") {
            setText("");
            e.currentTarget.blur();
          }
        }}
      />
      {open && hits.data && (
        <ul className="search-hits">
          {hits.data.all === 0 && foods.data?.length === 0 && (
            <li className="quiet nothing">{worded("app.noDishAndNoFoodWith", { text })}</li>
          )}
          {hits.data.dishes.slice(0, 8).map((d) => (
            <li key={d.id}>
              <NavLink to={`/dishes/${d.id}/original`} onClick={() => setText("")}>
                {d.name} <span className="quiet small">{d.place}</span>
              </NavLink>
            </li>
          ))}
          {foods.data?.slice(0, 6).map((f) => (
            <li key={f.id}>
              <NavLink to={`/larder/${f.id}`} onClick={() => setText("")}>
                {f.name} <span className="quiet small">{worded("app.inTheLarder")}</span>
              </NavLink>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
