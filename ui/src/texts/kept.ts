import en from "./en.json";
import { worded } from "./worded";

declare const keptMark: unique symbol;

/** What a change did, as it is kept: by its key, so that every language can tell of it. */
export type KeptText = string & { readonly [keptMark]: true };

type Args = Record<string, string | number>;

/** What the program keeps of a change: the key of a text with what stands in its places. */
export function kept(key: Parameters<typeof worded>[0], args?: Args): KeptText {
  return (args ? `@${String(key)} ${JSON.stringify(args)}` : `@${String(key)}`) as KeptText;
}

const table = en as Record<string, Record<string, string>>;

/** Says what was kept in the words of today; what the cook, or an older program, wrote stands as it is. */
export function retold(text: string): string {
  const found = /^@(\w+)\.(\w+)(?: (\{.*\}))?$/s.exec(text);
  const [, part, name, args] = found ?? [];
  if (!part || !name || table[part]?.[name] === undefined) return text;
  const said = worded as (key: string, args: Args) => string;
  try {
    return said(`${part}.${name}`, args ? (JSON.parse(args) as Args) : {});
  } catch {
    return text;
  }
}
