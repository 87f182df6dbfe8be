import "./pictures.css";

import { useMutation } from "@tanstack/react-query";
import { Button } from "antd";
import { useRef, useState } from "react";

import { api } from "../api/client";
import type { Picture } from "../api/types";
import { ProblemNote } from "./ProblemNote";
import { Sheet } from "./Sheet";
import { worded } from "../texts/worded";

interface Props {
  kind: "dish" | "trial";
  about: string;
  /** What the pictures show, for who cannot see them. */
  of: string;
  pictures: Picture[];
  changed: () => void;
}

/** Photographs of the plate: to look at, to add, to take away and bring back. */
export function Pictures({ kind, about, of, pictures, changed }: Props) {
  const file = useRef<HTMLInputElement>(null);
  const [large, setLarge] = useState("");
  const [gone, setGone] = useState("");
  const add = useMutation({
    mutationFn: (picture: Blob) => api.addPicture(kind, about, picture),
    onSuccess: changed,
  });
  const take = useMutation({
    mutationFn: (id: string) => api.takePicture(id),
    onSuccess: (_, id) => {
      setGone(id);
      setLarge("");
      changed();
    },
  });
  const bring = useMutation({
    mutationFn: (id: string) => api.takePictureBack(id),
    onSuccess: () => {
      setGone("");
      changed();
    },
  });
  return (
    <div className="pictures">
      {pictures.map((p, i) => (
        <button
          key={p.id}
          className="plate"
          onClick={() => setLarge(p.id)}
          aria-label={worded("shared.picture", { of, i: i + 1 })}
        >
          <img src={`/api/pictures/${p.id}?small=true`} alt="" loading="lazy" />
        </button>
      ))}
      <input
        ref={file}
        type="file"
        accept="image/jpeg,image/png"
        hidden
        aria-label={worded("shared.aPictureOf", { of })}
        onChange={(e) => {
          const chosen = e.target.files?.[0];
          if (chosen) add.mutate(chosen);
          e.target.value = "";
        }}
      />
      <Button loading={add.isPending} onClick={() => file.current?.click()}>
        {worded("shared.addAPicture")}
      </Button>
      {gone && (
        <span role="status">
          {worded("shared.takenAway")}{" "}
          <Button size="small" onClick={() => bring.mutate(gone)}>
            {worded("shared.bringItBack")}
          </Button>
        </span>
      )}
      {[add, take, bring].map((m, i) => m.error && <ProblemNote key={i} error={m.error} />)}
      {large && (
        <Sheet title={of} close={() => setLarge("")} wide>
          <img className="large-plate" src={`/api/pictures/${large}`} alt={of} />
          <p>
            <Button onClick={() => take.mutate(large)}>
              {worded("shared.takeThisPictureAway")}
            </Button>
          </p>
        </Sheet>
      )}
    </div>
  );
}
