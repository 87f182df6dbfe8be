import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";
import { useRef, useState } from "react";

import { api } from "../api/client";
import { useStream, type Far } from "../app/stream";
import { ProblemNote } from "../shared/ProblemNote";

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
      <p className="quiet">
        Every dish with all its versions, your own foods, settings and days in one zip file of open
        formats. Bringing one in never overwrites a dish: what went another way here is kept beside
        it.
      </p>
      <div className="archive">
        <a href="/api/archive" download className="ant-btn-like">
          Save the kitchen to a file
        </a>
        <Button loading={restore.isPending} onClick={() => file.current?.click()}>
          Bring in a file
        </Button>
        <input
          ref={file}
          type="file"
          accept=".zip,application/zip"
          hidden
          aria-label="Archive to bring in"
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
            ? `${far.done} of ${far.of} dishes ${far.phase}`
            : "The file goes over; what is in it is looked at before anything is changed."}
          {far && <progress max={far.of} value={far.done} aria-label={`Dishes ${far.phase}`} />}
        </p>
      )}
      {restore.error && <ProblemNote error={restore.error} />}
      {done && (
        <p role="status">
          {done.added} dishes came in, {done.longer} gained later versions, {done.copied} were kept
          beside what is here, {done.same} were here already
          {done.pictures > 0 && `; ${done.pictures} pictures came along`}
          {done.entries > 0 && `; ${done.entries} settings and foods were taken over`}.
        </p>
      )}
    </>
  );
}
