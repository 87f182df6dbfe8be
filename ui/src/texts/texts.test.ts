import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import ts from "typescript";
import { describe, expect, it } from "vitest";

import en from "./en.json";
import { kept, retold } from "./kept";
import { worded } from "./worded";

const files = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((e) =>
    e.isDirectory() ? files(join(folder, e.name)) : [join(folder, e.name)],
  );
const sources = files("src").filter(
  (f) => /\.tsx?$/.test(f) && !/\.test\.|\.d\.ts$|fixture|patience/.test(f),
);
const table = en as Record<string, Record<string, string>>;
const places = (text: string) => [...text.matchAll(/\{\{(\w+)\}\}/g)].map((m) => m[1]).sort();

/** Attributes that people read or hear. */
const read = /^(aria-label|title|placeholder|label|alt|aria-roledescription|aria-valuetext)$/;
const wordy = /[A-Za-z]{2}/;

/** Calls a visitor for every node of a source. */
function visit(file: string, see: (n: ts.Node, source: ts.SourceFile) => void) {
  const source = ts.createSourceFile(
    file,
    readFileSync(file, "utf8"),
    ts.ScriptTarget.Latest,
    true,
    file.endsWith("x") ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
  );
  const go = (n: ts.Node) => {
    see(n, source);
    ts.forEachChild(n, go);
  };
  go(source);
}

describe("the texts of the client", () => {
  it("stand in the table and not in the pages", () => {
    const bare: string[] = [];
    for (const file of sources) {
      visit(file, (n) => {
        const attribute = ts.isJsxAttribute(n) && read.test(n.name.getText());
        if (ts.isJsxText(n) && wordy.test(n.text)) bare.push(`${file}: ${n.text.trim()}`);
        if (
          attribute &&
          n.initializer &&
          ts.isStringLiteral(n.initializer) &&
          wordy.test(n.initializer.text)
        )
          bare.push(`${file}: ${n.getText()}`);
      });
    }
    expect(bare).toEqual([]);
  });

  it("are all used, each with what stands in its places", () => {
    const used = new Set<string>();
    const wrong: string[] = [];
    for (const file of sources) {
      visit(file, (n) => {
        if (!ts.isCallExpression(n) || !/^(worded|kept)$/.test(n.expression.getText())) return;
        const [key, given] = n.arguments;
        if (!key || !ts.isStringLiteral(key)) {
          wrong.push(`${file}: ${n.getText()}`);
          return;
        }
        const [part, name] = key.text.split(".") as [string, string];
        used.add(key.text);
        const names =
          given && ts.isObjectLiteralExpression(given)
            ? given.properties.map((p) => p.name?.getText() ?? "").sort()
            : [];
        if (names.join() !== places(table[part]?.[name] ?? "?").join())
          wrong.push(`${file}: ${key.text} takes ${places(table[part]?.[name] ?? "").join()}`);
      });
    }
    expect(wrong).toEqual([]);
    const all = Object.entries(table).flatMap(([part, texts]) =>
      Object.keys(texts).map((k) => `${part}.${k}`),
    );
    expect(all.filter((k) => !used.has(k))).toEqual([]);
  });

  it("are kept by their keys and told in the words of today", () => {
    expect(kept("dish.renamedIt")).toBe("@dish.renamedIt");
    expect(retold(kept("dish.renamedIt"))).toBe(en.dish.renamedIt);
    expect(retold(kept("swaps.addedADoseOf", { itemName: "white miso" }))).toBe(
      "added a dose of white miso",
    );
    for (const own of ["less onion", "@home, in spring", "@dish.none", "@dish.renamedTo {oops"])
      expect(retold(own)).toBe(own);
  });

  it("come out as they stand, with marks of their own", () => {
    expect(worded("access.toBuy", { name: "<Salt & pepper>" })).toBe(
      en.access.toBuy.replace("{{name}}", "<Salt & pepper>"),
    );
  });
});
