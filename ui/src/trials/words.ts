/** The nine-point scale of liking, from 1. */
export const likings = [
  "dislike extremely",
  "dislike very much",
  "dislike",
  "dislike a little",
  "neither",
  "like a little",
  "like",
  "like very much",
  "like extremely",
] as const;

/** The scale around just right. */
export const rights: [number, string][] = [
  [-2, "much too little"],
  [-1, "too little"],
  [0, "just right"],
  [1, "too much"],
  [2, "much too much"],
];

/** A date as a trial is called by. */
export function dayOf(at: number): string {
  return new Date(at).toLocaleDateString("en-GB", {
    day: "numeric",
    month: "short",
    year: "numeric",
  });
}
