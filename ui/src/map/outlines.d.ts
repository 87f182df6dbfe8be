declare module "virtual:outlines" {
  export interface Outline {
    code: string;
    d: string;
    box: [number, number, number, number];
  }
  export const outlines: Outline[];
  export const size: { width: number; height: number };
}
