import "./kitchen.css";

import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button, Input, Select } from "antd";
import { useRef, useState } from "react";
import { NavLink } from "react-router";

import { Screens } from "../access/Screens";
import { api } from "../api/client";
import type { Settings } from "../api/types";
import { Loading } from "../shared/Loading";
import { HouseRulesForm } from "../shared/HouseRulesForm";
import { Mark } from "../shared/Mark";
import { ProblemNote } from "../shared/ProblemNote";
import { measures } from "../shared/measures";
import { Archive } from "./Archive";
import { InTheHouse } from "./InTheHouse";
import { KitForm } from "./KitForm";
import { Learned } from "./Learned";
import { PriceList } from "./PriceList";

/** What the kitchen is like: its measures, who eats there, its own foods. */
export default function KitchenPage() {
  const queries = useQueryClient();
  const settings = useQuery({ queryKey: ["kitchen"], queryFn: api.settings });
  const own = useQuery({ queryKey: ["shelf", "own"], queryFn: () => api.shelf("own") });
  // What was kept last, for changes that wait behind one another.
  const newest = useRef(0);
  const save = useMutation({
    scope: { id: "kitchen" },
    mutationFn: (s: Settings) =>
      api.saveSettings({ ...s, version: Math.max(s.version, newest.current) }),
    onMutate: (s) => queries.setQueryData(["kitchen"], s),
    onSuccess: (kept) => {
      newest.current = kept.version;
    },
    onError: () => void queries.invalidateQueries({ queryKey: ["kitchen"] }),
  });
  const rules = useQuery({ queryKey: ["rules"], queryFn: api.rules, staleTime: Infinity });
  const [name, setName] = useState("");
  if (settings.error) {
    return (
      <main className="page">
        <ProblemNote error={settings.error} retry={() => void settings.refetch()} />
      </main>
    );
  }
  if (!settings.data) return <Loading>Opening the kitchen</Loading>;
  const s = settings.data;
  const add = () => {
    if (name.trim() === "") return;
    save.mutate({ ...s, diners: [...s.diners, { name: name.trim(), cannotEat: [] }] });
    setName("");
  };
  return (
    <main className="page kitchen">
      <h1>Kitchen</h1>
      {save.error && <ProblemNote error={save.error} />}
      {s.unfit.length > 0 && (
        <div className="problem" role="note">
          <h3>Left out of the larder</h3>
          <p>
            Foods of your own that no longer fit what is known. They are kept; correct them and they
            count again.
          </p>
          <ul>
            {s.unfit.map((what) => (
              <li key={what}>{what}</li>
            ))}
          </ul>
        </div>
      )}
      <section>
        <h2>Cups, spoons and pints</h2>
        <p className="quiet">
          Meant wherever a recipe does not say otherwise. A recipe that names its own (“Australian
          tablespoons”) is read by those, and says so on its page.
        </p>
        <Select
          value={s.measures}
          options={measures}
          aria-label="Measures of the kitchen"
          style={{ width: 320 }}
          onChange={(m: string) => save.mutate({ ...s, measures: m })}
        />
      </section>
      <section>
        <h2>House rules</h2>
        <p className="quiet">
          What new dishes begin with; each dish can have its own. A swap that breaks a hard rule is
          never proposed, a soft rule only changes the order.
        </p>
        {rules.data && (
          <HouseRulesForm
            rules={rules.data}
            value={s.houseRules}
            set={(houseRules) => save.mutate({ ...s, houseRules })}
            spread
          />
        )}
      </section>
      <section>
        <h2>Who eats here</h2>
        <p className="quiet">New dishes also leave out what someone here cannot eat.</p>
        {s.diners.length === 0 && (
          <p className="quiet">Nobody is named yet. Name those whose plates need care.</p>
        )}
        <ul className="diners">
          {s.diners.map((d, i) => (
            <li key={`${i} ${d.name}`}>
              <b>{d.name}</b>
              <Select
                mode="multiple"
                value={d.cannotEat}
                options={(rules.data?.switches ?? [])
                  .filter((x) => x.diner !== "")
                  .map((x) => ({ value: x.diner, label: x.diner }))}
                placeholder="eats everything of plants"
                aria-label={`What ${d.name} cannot eat`}
                onChange={(list: string[]) =>
                  save.mutate({
                    ...s,
                    diners: s.diners.map((x, j) => (j === i ? { ...x, cannotEat: list } : x)),
                  })
                }
              />
              <Button
                type="text"
                onClick={() => save.mutate({ ...s, diners: s.diners.filter((_, j) => j !== i) })}
              >
                Take away
              </Button>
            </li>
          ))}
        </ul>
        <div className="add-diner">
          <Input
            value={name}
            placeholder="Name"
            aria-label="Name of a diner"
            onChange={(e) => setName(e.target.value)}
            onPressEnter={add}
          />
          <Button onClick={add}>Add a diner</Button>
        </div>
      </section>
      <section>
        <h2>What there is to cook with</h2>
        <p className="quiet">Days are planned with it; a day can have more or less.</p>
        <KitForm value={s.kit} set={(kit) => save.mutate({ ...s, kit })} />
      </section>
      <section>
        <h2>In the house</h2>
        <p className="quiet">
          The shelf can then be looked through for what can be cooked from it.
        </p>
        <InTheHouse house={s.house ?? []} set={(house) => save.mutate({ ...s, house })} />
      </section>
      <section>
        <h2>Prices of a kilogram</h2>
        <p className="quiet">
          In whatever money you use. Those that come with Yembra are made up and serve only to
          compare.
        </p>
        <PriceList own={s.prices} set={(prices) => save.mutate({ ...s, prices })} />
      </section>
      <section id="learned">
        <h2>What this kitchen has learned</h2>
        <Learned />
      </section>
      <section>
        <h2>Other screens and guests</h2>
        <Screens />
      </section>
      <section>
        <h2>Backup</h2>
        <Archive />
      </section>
      <section>
        <h2>Own foods and corrections</h2>
        {own.data?.length === 0 && (
          <p className="quiet">
            None yet. Any food in the <NavLink to="/larder">larder</NavLink> can be corrected, and
            new ones added.
          </p>
        )}
        <ul className="own-foods">
          {own.data?.map((f) => (
            <li key={f.id}>
              <NavLink to={`/larder/${f.id}`}>
                <Mark origin={f.origin} check={f.checkLabel} /> {f.name}
              </NavLink>{" "}
              <span className="quiet small">{f.own}</span>
            </li>
          ))}
        </ul>
      </section>
    </main>
  );
}
