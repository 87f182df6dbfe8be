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
import { worded } from "../texts/worded";

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
  if (!settings.data) return <Loading>{worded("kitchen.openingTheKitchen")}</Loading>;
  const s = settings.data;
  const add = () => {
    if (name.trim() === "") return;
    save.mutate({ ...s, diners: [...s.diners, { name: name.trim(), cannotEat: [] }] });
    setName("");
  };
  return (
    <main className="page kitchen">
      <h1>{worded("kitchen.kitchen")}</h1>
      {save.error && <ProblemNote error={save.error} />}
      {s.unfit.length > 0 && (
        <div className="problem" role="note">
          <h3>{worded("kitchen.leftOutOfTheLarder")}</h3>
          <p>{worded("kitchen.foodsOfYourOwnThatNo")}</p>
          <ul>
            {s.unfit.map((what) => (
              <li key={what}>{what}</li>
            ))}
          </ul>
        </div>
      )}
      <section>
        <h2>{worded("kitchen.cupsSpoonsAndPints")}</h2>
        <p className="quiet">{worded("kitchen.meantWhereverARecipeDoesNot")}</p>
        <Select
          value={s.measures}
          options={measures}
          aria-label={worded("kitchen.measuresOfTheKitchen")}
          style={{ width: 320 }}
          onChange={(m: string) => save.mutate({ ...s, measures: m })}
        />
      </section>
      <section>
        <h2>{worded("kitchen.houseRules")}</h2>
        <p className="quiet">{worded("kitchen.whatNewDishesBeginWithEach")}</p>
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
        <h2>{worded("kitchen.whoEatsHere")}</h2>
        <p className="quiet">{worded("kitchen.newDishesAlsoLeaveOutWhat")}</p>
        {s.diners.length === 0 && (
          <p className="quiet">{worded("kitchen.nobodyIsNamedYetNameThose")}</p>
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
                placeholder={worded("kitchen.eatsEverythingOfPlants")}
                aria-label={worded("kitchen.whatCannotEat", { dName: d.name })}
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
                {worded("kitchen.takeAway")}
              </Button>
            </li>
          ))}
        </ul>
        <div className="add-diner">
          <Input
            value={name}
            placeholder={worded("kitchen.name")}
            aria-label={worded("kitchen.nameOfADiner")}
            onChange={(e) => setName(e.target.value)}
            onPressEnter={add}
          />
          <Button onClick={add}>{worded("kitchen.addADiner")}</Button>
        </div>
      </section>
      <section>
        <h2>{worded("kitchen.whatThereIsToCookWith")}</h2>
        <p className="quiet">{worded("kitchen.daysArePlannedWithItA")}</p>
        <KitForm value={s.kit} set={(kit) => save.mutate({ ...s, kit })} />
      </section>
      <section>
        <h2>{worded("kitchen.inTheHouse")}</h2>
        <p className="quiet">{worded("kitchen.theShelfCanThenBeLooked")}</p>
        <InTheHouse house={s.house ?? []} set={(house) => save.mutate({ ...s, house })} />
      </section>
      <section>
        <h2>{worded("kitchen.pricesOfAKilogram")}</h2>
        <p className="quiet">{worded("kitchen.inWhateverMoneyYouUseThose")}</p>
        <PriceList own={s.prices} set={(prices) => save.mutate({ ...s, prices })} />
      </section>
      <section id="learned">
        <h2>{worded("kitchen.whatThisKitchenHasLearned")}</h2>
        <Learned />
      </section>
      <section>
        <h2>{worded("kitchen.otherScreensAndGuests")}</h2>
        <Screens />
      </section>
      <section>
        <h2>{worded("kitchen.backup")}</h2>
        <Archive />
      </section>
      <section>
        <h2>{worded("kitchen.ownFoodsAndCorrections")}</h2>
        {own.data?.length === 0 && (
          <p className="quiet">
            {worded("kitchen.noneYetAnyFoodInThe")}{" "}
            <NavLink to="/larder">{worded("kitchen.larder")}</NavLink>{" "}
            {worded("kitchen.canBeCorrectedAndNewOnes")}
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
