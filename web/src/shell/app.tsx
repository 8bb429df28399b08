import { useQueryClient } from '@tanstack/react-query';
import { Suspense, useEffect } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Navigate, Route, Routes, useParams } from 'react-router';
import { EngineStage } from '../engine/engine-stage.tsx';
import { FaultScreen } from './fault-screen.tsx';
import { Frame } from './frame.tsx';
import { AwayBanner } from '../controls/away-banner.tsx';
import { fetchRooms, room } from '../controls/room.tsx';
import { SignIn } from '../session/sign-in.tsx';
import { useOurShop } from '../shop/our-shop.ts';
import { toastsAreDue } from '../controls/toast.ts';
import { whenQuiet } from '../wire/when-quiet.ts';
import { useLive } from '../live/use-live.ts';
import { useSession } from '../session/use-session.ts';

/** The tray first: it is what one goes to from the engine. */
const PartsStage = room(async () => (await import('../tray/parts-stage.tsx')).PartsStage);
const PartPage = room(async () => (await import('./rooms/counter.ts')).PartPage);
const SetUpStage = room(async () => (await import('./rooms/counter.ts')).SetUpStage);
const HandOverStage = room(async () => (await import('./rooms/counter.ts')).HandOverStage);
const OldPartsStage = room(async () => (await import('./rooms/counter.ts')).OldPartsStage);
const BeginInspection = room(async () => (await import('./rooms/counter.ts')).BeginInspection);
const ProofStage = room(async () => (await import('./rooms/counter.ts')).ProofStage);
const BatchesPage = room(async () => (await import('./rooms/quarantine.ts')).BatchesPage);
const SellersPage = room(async () => (await import('./rooms/quarantine.ts')).SellersPage);
const NoticesPage = room(async () => (await import('./rooms/quarantine.ts')).NoticesPage);
const ReferencesPage = room(async () => (await import('./rooms/quarantine.ts')).ReferencesPage);
const ReceivingPage = room(async () => (await import('./rooms/quarantine.ts')).ReceivingPage);
const AuditPage = room(async () => (await import('./rooms/catalogue.ts')).AuditPage);
const ImportsPage = room(async () => (await import('./rooms/catalogue.ts')).ImportsPage);
const EngineList = room(async () => (await import('./rooms/catalogue.ts')).EngineList);
const NumberList = room(async () => (await import('./rooms/catalogue.ts')).NumberList);
const EnginePage = room(async () => (await import('./rooms/catalogue.ts')).EnginePage);
const RecordPage = room(async () => (await import('./rooms/catalogue.ts')).RecordPage);
const MakersPage = room(async () => (await import('./rooms/catalogue.ts')).MakersPage);
const MendingPage = room(async () => (await import('./rooms/catalogue.ts')).MendingPage);
const GraphPage = room(async () => (await import('./rooms/catalogue.ts')).GraphPage);
const DimensionPage = room(async () => (await import('./rooms/catalogue.ts')).DimensionPage);
const SparkPage = room(async () => (await import('./rooms/shop.ts')).SparkPage);
const FeelersPage = room(async () => (await import('./rooms/shop.ts')).FeelersPage);
const TorquePage = room(async () => (await import('./rooms/shop.ts')).TorquePage);
const WearPage = room(async () => (await import('./rooms/shop.ts')).WearPage);
const ConvertPage = room(async () => (await import('./rooms/shop.ts')).ConvertPage);
const VehiclesPage = room(async () => (await import('./rooms/shop.ts')).VehiclesPage);
const DuePage = room(async () => (await import('./rooms/shop.ts')).DuePage);
const LoansPage = room(async () => (await import('./rooms/shop.ts')).LoansPage);
const WorkPage = room(async () => (await import('./rooms/shop.ts')).WorkPage);
const PeoplePage = room(async () => (await import('./rooms/shop.ts')).PeoplePage);
const FirstRun = room(async () => (await import('../shop/first-run.tsx')).FirstRun);
const ShopPage = room(async () => (await import('./rooms/shop.ts')).ShopPage);
const DrillPage = room(async () => (await import('./rooms/shop.ts')).DrillPage);
const HelpPage = room(async () => (await import('./rooms/shop.ts')).HelpPage);
const HouseRulesPage = room(async () => (await import('./rooms/shop.ts')).HouseRulesPage);

/** The whole application: sign-in, then the counter's frame with its stages. */
export function App() {
  const session = useSession();
  const shop = useOurShop();
  const error = session.error ?? shop.error;
  const isSignedIn = Boolean(session.data);
  useLive(isSignedIn);
  // The other screens come while the first is looked at, not beside what it shows.
  const queries = useQueryClient();
  useEffect(() => {
    if (!isSignedIn) return;
    const leaving = new AbortController();
    void whenQuiet(queries, leaving.signal).then(() => {
      toastsAreDue.set(true);
      return fetchRooms();
    });
    return () => leaving.abort();
  }, [isSignedIn, queries]);
  return (
    <>
      {(session.isPending || shop.isPending) && <p className="p-6 text-soft">Opening the counter …</p>}
      {error && (!session.data || !shop.data) && (
        <div className="p-6">
          <AwayBanner />
          <p className="mt-2 text-soft">{error.message}</p>
        </div>
      )}
      {session.data === null && shop.data && (
        <SignIn place={[shop.data.name, shop.data.address].filter(Boolean).join(', ')} />
      )}
      {session.data === null && shop.data === null && (
        <Suspense fallback={<p className="p-6 text-soft">Opening …</p>}>
          <FirstRun />
        </Suspense>
      )}
      {session.data && shop.data && (
        // All is written anew where the shop writes otherwise than before.
        <ErrorBoundary key={`${shop.data.currency} ${shop.data.locale}`} FallbackComponent={FaultScreen}>
          <Suspense fallback={<p className="p-6 text-soft">Opening …</p>}>
            <Routes>
              <Route path="work/:slipId" element={<WorkPage />} />
              <Route element={<Frame me={session.data} />}>
                <Route index element={<Navigate to="/counter/engine" replace />} />
                <Route path="counter/engine" element={<EngineStage />} />
                <Route path="counter/parts" element={<PartsStage />} />
                <Route path="counter/proof" element={<BeginInspection />} />
                <Route path="counter/proof/:inspectionId" element={<ProofStage />} />
                <Route path="counter/set-up" element={<SetUpStage />} />
                <Route path="counter/hand-over" element={<HandOverStage />} />
                <Route path="counter/old-parts/:desk?" element={<OldPartsStage />} />
                <Route path="quarantine" element={<Navigate to="/quarantine/batches" replace />} />
                <Route path="quarantine/batches" element={<BatchesPage />} />
                <Route path="quarantine/batches/:batchId" element={<BatchesPage />} />
                <Route path="quarantine/sellers" element={<SellersPage />} />
                <Route path="quarantine/receiving" element={<ReceivingPage />} />
                <Route path="quarantine/receiving/:deliveryId" element={<ReceivingPage />} />
                <Route path="quarantine/references" element={<ReferencesPage />} />
                <Route path="quarantine/notices" element={<NoticesPage />} />
                <Route path="parts/:partId" element={<PartPage />} />
                <Route path="slips/:slipId" element={<SlipAddress />} />
                <Route path="parts/:partId/graph" element={<GraphPage />} />
                <Route path="parts/:partId/mend" element={<MendingPage />} />
                <Route path="engines/:engineId" element={<EnginePage />} />
                <Route path="catalogue" element={<Navigate to="/catalogue/engines" replace />} />
                <Route path="catalogue/engines" element={<EngineList />} />
                <Route path="catalogue/numbers" element={<NumberList />} />
                <Route path="catalogue/dimensions" element={<DimensionPage />} />
                <Route path="catalogue/imports" element={<ImportsPage />} />
                <Route path="catalogue/imports/:importId" element={<ImportsPage />} />
                <Route path="catalogue/makers" element={<MakersPage />} />
                <Route path="catalogue/records/:kind/:key" element={<RecordPage />} />
                <Route path="catalogue/audit" element={<AuditPage />} />
                <Route path="sums" element={<Navigate to="/sums/feelers" replace />} />
                <Route path="sums/spark" element={<SparkPage />} />
                <Route path="sums/feelers" element={<FeelersPage />} />
                <Route path="sums/torque" element={<TorquePage />} />
                <Route path="sums/wear" element={<WearPage />} />
                <Route path="sums/convert" element={<ConvertPage />} />
                <Route path="garage" element={<Navigate to="/garage/vehicles" replace />} />
                <Route path="garage/vehicles" element={<VehiclesPage />} />
                <Route path="garage/vehicles/:vehicleId" element={<VehiclesPage />} />
                <Route path="garage/due" element={<DuePage />} />
                <Route path="garage/loans" element={<LoansPage />} />
                <Route path="people" element={<PeoplePage />} />
                <Route path="shop" element={<ShopPage />} />
                <Route path="drill" element={<DrillPage />} />
                <Route path="help" element={<HelpPage />} />
                <Route path="house-rules" element={<HouseRulesPage />} />
                <Route path="*" element={<Nowhere />} />
              </Route>
            </Routes>
          </Suspense>
        </ErrorBoundary>
      )}
    </>
  );
}

/** The shareable address of a slip opens it at the counter. */
function SlipAddress() {
  const { slipId = '' } = useParams();
  return <Navigate to={`/counter/parts?slip=${encodeURIComponent(slipId)}`} replace />;
}

function Nowhere() {
  return <p className="col-span-2 p-6">There is nothing at this address. Press 1 for the engine stage, or / to ask.</p>;
}
