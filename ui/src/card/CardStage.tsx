import "./card.css";

import { PrinterOutlined } from "@ant-design/icons";
import { keepPreviousData, useMutation, useQuery } from "@tanstack/react-query";
import { Button, Switch } from "antd";
import { useState } from "react";
import { Link, useNavigate } from "react-router";

import { GuestLink } from "../access/LinkSheet";
import { api } from "../api/client";
import { shownBy } from "../app/byBook";
import { useOpenDish } from "../dish/useDish";
import { Loading } from "../shared/Loading";
import { ProblemNote } from "../shared/ProblemNote";
import { CardPage } from "./CardPage";
import { SizeField } from "./SizeField";
import { sizeQuery, type Size } from "./size";
import { worded } from "../texts/worded";

const exportsOf = [
  ["pdf?paper=a4", "PDF, A4"],
  ["pdf?paper=letter", worded("card.pdfLetter")],
  ["html", "page"],
  ["markdown", "Markdown"],
  ["jsonld", "JSON-LD"],
  ["csv", "CSV"],
] as const;

/** The printable page of the adapted dish. */
export default function CardStage() {
  const { dish } = useOpenDish();
  const serves = dish.document.original.serves;
  const usual = serves ? (serves.low + serves.high) / 2 : 0;
  const [size, setSize] = useState<Size>({ by: "table", servings: null });
  const [weekday, setWeekday] = useState(false);
  const query = weekdayQuery(sizeQuery(size), weekday);
  const answer = useQuery({
    queryKey: ["card", dish.id, dish.edit, query],
    queryFn: () => api.card(dish.id, query),
    placeholderData: keepPreviousData,
  });
  const card = answer.data;
  const go = useNavigate();
  const begin = useMutation({
    mutationFn: (factor: number) => api.beginStove({ dish: dish.id, factor, day: "", weekday }),
    onSuccess: (stove) => void go(`/stove/${stove.id}`),
  });
  return (
    <main className="page">
      <div className="card-tools no-print">
        <Button
          type="primary"
          loading={begin.isPending}
          onClick={() => begin.mutate(card?.factor ?? 1)}
        >
          {worded("card.cookThis")}
        </Button>
        <Button icon={<PrinterOutlined />} onClick={() => window.print()}>
          {worded("card.printCard")}
        </Button>
        <SizeField card={card} usual={usual} size={size} set={setSize} />
        <label className="weekday">
          <Switch
            checked={weekday}
            onChange={setWeekday}
            aria-label={worded("card.weekdayVersion")}
          />{" "}
          {worded("card.weekdayVersion")}
        </label>
        <span className="card-exports">
          {worded("card.giveItOutAs")}{" "}
          {exportsOf.map(([format, name]) => (
            <a
              key={format}
              href={shownBy(withQuery(`/api/dishes/${dish.id}/card/${format}`, query))}
            >
              {name}
            </a>
          ))}
          <Link to={`/days?dish=${dish.id}`}>{worded("card.planADayWithIt")}</Link>
          <GuestLink kind="card" about={dish.id} what={worded("card.thisCard")} />
        </span>
      </div>
      {weekday && card && (
        <p className="weekday-says" role="status">
          {worded("card.whatYouHaveDecidedStaysAs", { weekday: card.weekday })}
        </p>
      )}
      {begin.error && <ProblemNote error={begin.error} />}
      {answer.error && <ProblemNote error={answer.error} retry={() => void answer.refetch()} />}
      {card ? (
        <CardPage card={card} />
      ) : (
        answer.isPending && <Loading>{worded("card.writingTheCard")}</Loading>
      )}
    </main>
  );
}

function weekdayQuery(query: string, weekday: boolean): string {
  if (!weekday) return query;
  return query === "" ? "?weekday=true" : `${query}&weekday=true`;
}

function withQuery(path: string, query: string): string {
  return path.includes("?") ? path + query.replace("?", "&") : path + query;
}
