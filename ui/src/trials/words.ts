import { worded } from "../texts/worded";

/** The nine-point scale of liking, from 1. */
export const likings = [
  worded("trials.dislikeExtremely"),
  worded("trials.dislikeVeryMuch"),
  "dislike",
  worded("trials.dislikeALittle"),
  "neither",
  worded("trials.likeALittle"),
  "like",
  worded("trials.likeVeryMuch"),
  worded("trials.likeExtremely"),
] as const;

/** The scale around just right. */
export const rights: [number, string][] = [
  [-2, worded("trials.muchTooLittle")],
  [-1, worded("trials.tooLittle")],
  [0, worded("trials.justRight")],
  [1, worded("trials.tooMuch")],
  [2, worded("trials.muchTooMuch")],
];

/** A date as a trial is called by. */
export function dayOf(at: number): string {
  return new Date(at).toLocaleDateString("en-GB", {
    day: "numeric",
    month: "short",
    year: "numeric",
  });
}
