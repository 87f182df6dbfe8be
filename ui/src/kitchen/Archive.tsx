import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";
import { useRef, useState } from "react";

import { api } from "../api/client";
import { useStream, type Far } from "../app/stream";
import { ProblemNote } from "../shared/ProblemNote";
import { worded } from "../texts/worded";

/** The whole kitchen out to one file, and back in. */
export function Archive() {
  const queries = useQueryClient();
  const file = useRef<HTMLInputElement>(null);
  const restore = useMutation({
    mutationFn: (f: Blob) => api.restore(f),
    onSuccess: () => queries.invalidateQueries(),
  });
  const [far, setFar] = useState<Far | null>(null);
  useStream({ archive: setFar });
  const done = restore.data;
  return (
    <>
      <p className="quiet">{worded("kitchen.everyDishWithAllItsVersions")}</p>
      <div className="archive">
        <a href="/api/archive" download className="ant-btn-like">
          {worded("kitchen.saveTheKitchenToAFile")}
        </a>
        <Button loading={restore.isPending} onClick={() => file.current?.click()}>
          {worded("kitchen.bringInAFile")}
        </Button>
        <input
          ref={file}
          type="file"
          accept=".zip,application/zip"
          hidden
          aria-label={worded("kitchen.archiveToBringIn")}
          onChange={(e) => {
            const chosen = e.target.files?.[0];
            if (chosen) restore.mutate(chosen);
            e.target.value = "";
          }}
        />
      </div>
      {restore.isPending && (
        <p role="status">
          {far
            ? worded("kitchen.ofDishes", { done: far.done, of: far.of, phase: far.phase })
            : worded("kitchen.theFileGoesOverWhatIs")}
          {far && (
            <progress
              max={far.of}
              value={far.done}
              aria-label={worded("kitchen.dishes", { phase: far.phase })}
            />
          )}
        </p>
      )}
      {restore.error && <ProblemNote error={restore.error} />}
      {done && (
        <p role="status">
          {worded("kitchen.dishesCameInGainedLaterVersions", {
            added: done.added,
            longer: done.longer,
            copied: done.copied,
            same: done.same,
          })}
          {done.pictures > 0 && worded("kitchen.picturesCameAlong", { pictures: done.pictures })}
          {done.entries > 0 &&
            worded("kitchen.settingsAndFoodsWereTakenOver", { entries: done.entries })}
          .
        </p>
      )}
    </>
  );
}
