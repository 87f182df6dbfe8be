import { lazy, Suspense } from "react";
import { Navigate, Route, Routes } from "react-router";

import { Door } from "../access/Door";
import { Frame } from "./Frame";
import { Loading } from "../shared/Loading";
import { worded } from "../texts/worded";

const DishesPage = lazy(() => import("../dishes/DishesPage"));
const NewDish = lazy(() => import("../dishes/NewDish"));
const DishFrame = lazy(() => import("../dish/DishFrame"));
const OriginalStage = lazy(() => import("../original/OriginalStage"));
const CharacterStage = lazy(() => import("../character/CharacterStage"));
const SwapsStage = lazy(() => import("../swaps/SwapsStage"));
const LarderPage = lazy(() => import("../larder/LarderPage"));
const MapPage = lazy(() => import("../map/MapPage"));
const DaysPage = lazy(() => import("../days/DaysPage"));
const DayPage = lazy(() => import("../days/DayPage"));
const KitchenPage = lazy(() => import("../kitchen/KitchenPage"));
const MethodStage = lazy(() => import("../method/MethodStage"));
const BalanceStage = lazy(() => import("../balance/BalanceStage"));
const CardStage = lazy(() => import("../card/CardStage"));
const GuestPage = lazy(() => import("../access/GuestPage"));
const TrialsStage = lazy(() => import("../trials/TrialsStage"));
const StovePage = lazy(() => import("../stove/StovePage"));
const BenchPage = lazy(() => import("../stove/BenchPage"));

/** All places and stages, each loaded when it is first gone to. */
export function Places() {
  return (
    <Suspense fallback={<Loading>{worded("app.opening")}</Loading>}>
      <Routes>
        <Route path="/guest/:token" element={<GuestPage />} />
        <Route
          path="*"
          element={
            <Door>
              <OwnPlaces />
            </Door>
          }
        />
      </Routes>
    </Suspense>
  );
}

/** What the kitchen's own screens see. */
function OwnPlaces() {
  return (
    <Routes>
      <Route path="/stove/:id" element={<StovePage />} />
      <Route path="/enter" element={<Navigate to="/dishes" replace />} />
      <Route path="*" element={<FramedPlaces />} />
    </Routes>
  );
}

/** The places under the top band; at the stove there is none. */
function FramedPlaces() {
  return (
    <Frame>
      <Suspense fallback={<Loading>{worded("app.opening")}</Loading>}>
        <Routes>
          <Route path="/" element={<Navigate to="/dishes" replace />} />
          <Route path="/dishes" element={<DishesPage />} />
          <Route path="/dishes/new" element={<NewDish />} />
          <Route path="/dishes/:id" element={<DishFrame />}>
            <Route index element={<Navigate to="original" replace />} />
            <Route path="original" element={<OriginalStage />} />
            <Route path="character" element={<CharacterStage />} />
            <Route path="swaps" element={<SwapsStage />} />
            <Route path="method" element={<MethodStage />} />
            <Route path="balance" element={<BalanceStage />} />
            <Route path="card" element={<CardStage />} />
            <Route path="trials" element={<TrialsStage />} />
          </Route>
          <Route path="/map" element={<MapPage />} />
          <Route path="/days" element={<DaysPage />} />
          <Route path="/days/:id" element={<DayPage />} />
          <Route path="/larder" element={<LarderPage />} />
          <Route path="/larder/:food" element={<LarderPage />} />
          <Route path="/kitchen" element={<KitchenPage />} />
          <Route path="/bench" element={<BenchPage />} />
          <Route
            path="*"
            element={
              <main className="page">
                <h1>{worded("app.thereIsNothingAtThisAddress")}</h1>
                <p>
                  {worded("app.goBackTo")} <a href="/dishes">{worded("app.theDishes")}</a>.
                </p>
              </main>
            }
          />
        </Routes>
      </Suspense>
    </Frame>
  );
}
