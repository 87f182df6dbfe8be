import { changeHeaders, signedOut } from "../access/session";
import { shownBy } from "../app/byBook";
import type {
  AccessView,
  Adaptation,
  BalanceView,
  BeginRequest,
  BenchRequest,
  BenchView,
  BetweenView,
  Card,
  CandidatesView,
  ChangeRequest,
  CopyRequest,
  CreateDayRequest,
  CreateRequest,
  DayDocument,
  DaySummary,
  DayView,
  Decisions,
  DishSummary,
  DishView,
  Entry,
  Event,
  FoodHit,
  FoodView,
  GuestView,
  LearnedView,
  LineRequest,
  LinkRequest,
  ManyRequest,
  NearDish,
  NeedsView,
  NextChange,
  Past,
  Picture,
  PriceView,
  Proposal,
  RecipeLine,
  RecipeStep,
  Restored,
  RulesView,
  SaveRequest,
  SessionView,
  Settings,
  SheetRequest,
  SheetView,
  Shelf,
  ShelfFacets,
  ShelfView,
  ShownCode,
  SignInRequest,
  StepRequest,
  StoveNow,
  StoveSummary,
  StoveView,
  Summary,
  Tap,
  Tasting,
  TastingRequest,
  TastingView,
  TickRequest,
  TodoDish,
  TrayItem,
  Trial,
  TrialRequest,
  TrialView,
  VariantRequest,
} from "./types";

/** What the server says when a request cannot be carried out (RFC 9457). */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly detail: string,
    /** The newer dish, when a save came too late. */
    readonly current?: DishView,
  ) {
    super(detail);
  }
}

interface ProblemBody {
  title?: string;
  detail?: string;
  current?: DishView;
}

async function request<T>(method: string, at: string, body?: unknown, edit?: number): Promise<T> {
  const path = shownBy(at);
  const headers: Record<string, string> = { Accept: "application/json", ...changeHeaders(method) };
  const raw = body instanceof Blob;
  if (body !== undefined && !raw) headers["Content-Type"] = "application/json";
  if (edit !== undefined) headers["If-Match"] = `"${edit}"`;
  let answer: Response;
  try {
    answer = await fetch(path, {
      method,
      headers,
      body: body === undefined || raw ? body : JSON.stringify(body),
    });
  } catch {
    throw new Problem(
      0,
      "The kitchen does not answer",
      "The server cannot be reached. What you typed is kept here; try again once it runs.",
    );
  }
  if (answer.status === 401 && path !== "/api/session") window.dispatchEvent(new Event(signedOut));
  if (!answer.ok) {
    const p = (await answer.json().catch(() => ({}))) as ProblemBody;
    throw new Problem(
      answer.status,
      p.title ?? "The request failed",
      p.detail ?? `Status ${answer.status}.`,
      p.current,
    );
  }
  if (answer.status === 204) return undefined as T;
  return (await answer.json()) as T;
}

export const api = {
  dishes: (query: URLSearchParams, from = 0) => {
    const asked = new URLSearchParams(query);
    if (from > 0) asked.set("from", String(from));
    const search = asked.toString();
    return request<ShelfView>("GET", `/api/dishes${search && "?"}${search}`);
  },
  facets: () => request<ShelfFacets>("GET", "/api/shelf"),
  shelveMany: (r: ManyRequest) => request<undefined>("POST", "/api/shelf", r),
  layOutExamples: () => request<undefined>("POST", "/api/shelf/examples"),
  copyDish: (id: string, r: CopyRequest) => request<DishView>("POST", `/api/dishes/${id}/copy`, r),
  needs: (id: string) => request<NeedsView>("GET", `/api/dishes/${id}/needs`),
  near: (id: string) => request<NearDish[]>("GET", `/api/dishes/${id}/near`),
  variants: (id: string) => request<DishSummary[]>("GET", `/api/dishes/${id}/variants`),
  todo: (query: URLSearchParams) => request<TodoDish[]>("GET", `/api/todo?${query.toString()}`),
  beginTodo: (key: string) => request<DishView>("POST", `/api/todo/${encodeURIComponent(key)}`),
  wish: (key: string, wish: boolean) =>
    request<undefined>("PUT", `/api/todo/${encodeURIComponent(key)}`, { wish }),
  pictures: (kind: string, about: string) =>
    request<Picture[]>("GET", `/api/pictures/${kind}/${about}`),
  dish: (id: string) => request<DishView>("GET", `/api/dishes/${id}`),
  create: (r: CreateRequest) => request<DishView>("POST", "/api/dishes", r),
  save: (id: string, edit: number, r: SaveRequest) =>
    request<DishView>("PUT", `/api/dishes/${id}`, r, edit),
  undo: (id: string, edit: number) =>
    request<DishView>("POST", `/api/dishes/${id}/undo`, undefined, edit),
  redo: (id: string, edit: number) =>
    request<DishView>("POST", `/api/dishes/${id}/redo`, undefined, edit),
  candidates: (id: string, line: string) =>
    request<CandidatesView>("GET", `/api/dishes/${id}/candidates?line=${encodeURIComponent(line)}`),
  preview: (id: string, decisions: Decisions) =>
    request<Adaptation>("POST", `/api/dishes/${id}/preview`, { decisions }),
  balance: (id: string) => request<BalanceView>("GET", `/api/dishes/${id}/balance`),
  card: (id: string, size: string) => request<Card>("GET", `/api/dishes/${id}/card${size}`),
  boosters: (id: string) => request<TrayItem[]>("GET", `/api/dishes/${id}/boosters`),
  proposals: (id: string) => request<Proposal[]>("POST", `/api/dishes/${id}/proposals`),
  readLine: (r: LineRequest) => request<RecipeLine>("POST", "/api/lines", r),
  readStep: (r: StepRequest) => request<RecipeStep>("POST", "/api/steps", r),
  shelf: (shelf: string) =>
    request<FoodHit[]>("GET", `/api/larder/foods?shelf=${encodeURIComponent(shelf)}`),
  shelves: () => request<Shelf[]>("GET", "/api/larder/shelves"),
  food: (id: string) => request<FoodView>("GET", `/api/larder/foods/${encodeURIComponent(id)}`),
  saveFood: (e: Entry, version: number) =>
    request<FoodView>("PUT", `/api/larder/foods/${encodeURIComponent(e.id)}`, e, version),
  takeBackFood: (id: string, version: number) =>
    request<FoodView | undefined>(
      "DELETE",
      `/api/larder/foods/${encodeURIComponent(id)}`,
      undefined,
      version,
    ),
  settings: () => request<Settings>("GET", "/api/kitchen"),
  saveSettings: (s: Settings) => request<Settings>("PUT", "/api/kitchen", s, s.version),
  days: () => request<DaySummary[]>("GET", "/api/days"),
  createDay: (r: CreateDayRequest) => request<DayView>("POST", "/api/days", r),
  day: (id: string) => request<DayView>("GET", `/api/days/${id}`),
  saveDay: (id: string, version: number, d: DayDocument) =>
    request<DayView>("PUT", `/api/days/${id}`, d, version),
  undoDay: (id: string, version: number) =>
    request<DayView>("POST", `/api/days/${id}/undo`, undefined, version),
  removeDay: (id: string) => request<undefined>("DELETE", `/api/days/${id}`),
  prices: () => request<PriceView[]>("GET", "/api/prices"),
  restore: (archive: Blob) => request<Restored>("POST", "/api/archive", archive),
  foods: (q: string) => request<FoodHit[]>("GET", `/api/larder/foods?q=${encodeURIComponent(q)}`),
  stoves: () => request<StoveSummary[]>("GET", "/api/stove"),
  stove: (id: string, screen: string) =>
    request<StoveView>("GET", `/api/stove/${id}?screen=${encodeURIComponent(screen)}`),
  beginStove: (r: BeginRequest) => request<StoveView>("POST", "/api/stove", r),
  tellStove: (id: string, e: Event) =>
    request<StoveNow>("POST", `/api/stove/${id}/events?screen=${encodeURIComponent(e.screen)}`, e),
  taps: (id: string, move: string) =>
    request<Tap[]>("GET", `/api/stove/${id}/different?move=${encodeURIComponent(move)}`),
  sumStove: (id: string) => request<Summary>("GET", `/api/stove/${id}/summary`),
  keepStove: (id: string, words: string) =>
    request<Trial>("POST", `/api/stove/${id}/keep`, { words }),
  letGoStove: (id: string) => request<undefined>("DELETE", `/api/stove/${id}`),
  takeBackUpStove: (id: string) => request<StoveView>("POST", `/api/stove/${id}`),
  learned: () => request<LearnedView>("GET", "/api/learned"),
  unlearn: (key: string) => request<LearnedView>("DELETE", `/api/learned/${key}`),
  relearn: (key: string) => request<LearnedView>("POST", `/api/learned/${key}`),
  unteach: (key: string) => request<LearnedView>("DELETE", `/api/taught/${key}`),
  teach: (key: string) => request<LearnedView>("POST", `/api/taught/${key}`),
  session: () => request<SessionView>("GET", "/api/session"),
  signIn: (r: SignInRequest) => request<SessionView>("POST", "/api/session", r),
  signOut: (id: string) => request<undefined>("DELETE", `/api/sessions/${id}`),
  showCode: () => request<ShownCode>("POST", "/api/session/codes"),
  access: () => request<AccessView>("GET", "/api/access"),
  makeLink: (r: LinkRequest) => request<ShownCode>("POST", "/api/links", r),
  takeLinkBack: (id: string) => request<undefined>("DELETE", `/api/links/${id}`),
  guest: (token: string, taster: string, again: boolean) =>
    request<GuestView>(
      "GET",
      `/api/guest/${encodeURIComponent(token)}?taster=${encodeURIComponent(taster)}${again ? "&again=true" : ""}`,
    ),
  tickGuest: (token: string, t: TickRequest) =>
    request<string[]>("POST", `/api/guest/${encodeURIComponent(token)}/tick`, t),
  tick: (day: string, t: TickRequest) => request<string[]>("POST", `/api/days/${day}/tick`, t),
  trials: (dish: string) => request<TrialView[]>("GET", `/api/dishes/${dish}/trials`),
  addTrial: (dish: string, r: TrialRequest) =>
    request<TrialView[]>("POST", `/api/dishes/${dish}/trials`, r),
  between: (dish: string, a: string, b: string) =>
    request<BetweenView>(
      "GET",
      `/api/dishes/${dish}/trials/between?a=${encodeURIComponent(a)}&b=${encodeURIComponent(b)}`,
    ),
  returnTo: (dish: string, trial: string, edit: number) =>
    request<DishView>("POST", `/api/dishes/${dish}/trials/${trial}/return`, undefined, edit),
  makeVariant: (dish: string, r: VariantRequest) =>
    request<DishView>("POST", `/api/dishes/${dish}/variants`, r),
  addPicture: (kind: string, about: string, picture: Blob) =>
    request<Picture[]>("POST", `/api/pictures/${kind}/${about}`, picture),
  takePicture: (id: string) => request<undefined>("DELETE", `/api/pictures/${id}`),
  takePictureBack: (id: string) => request<undefined>("PUT", `/api/pictures/${id}`),
  tastings: (dish: string) => request<Tasting[]>("GET", `/api/dishes/${dish}/tastings`),
  makeTasting: (dish: string, r: TastingRequest) =>
    request<Tasting>("POST", `/api/dishes/${dish}/tastings`, r),
  tasting: (id: string) => request<TastingView>("GET", `/api/tastings/${id}`),
  nextChange: (id: string) => request<NextChange[]>("GET", `/api/tastings/${id}/next`),
  takeChange: (id: string, edit: number, r: ChangeRequest) =>
    request<DishView>("POST", `/api/tastings/${id}/next`, r, edit),
  closeTasting: (id: string) => request<TastingView>("POST", `/api/tastings/${id}/close`),
  fillSheet: (token: string, r: SheetRequest) =>
    request<SheetView>("POST", `/api/guest/${encodeURIComponent(token)}/sheet`, r),
  past: (id: string) => request<Past[]>("GET", `/api/dishes/${id}/past`),
  bench: () => request<BenchView>("GET", "/api/bench"),
  driveBench: (r: Partial<BenchRequest>) => request<BenchView>("POST", "/api/bench", r),
  rules: () => request<RulesView>("GET", "/api/rules"),
};
