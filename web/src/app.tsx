import { lazy, Suspense } from 'react';
import { Navigate, Route, Routes, useParams } from 'react-router';
import { EngineStage } from './engine/engine-stage.tsx';
import { Frame } from './frame/frame.tsx';
import { AwayBanner } from './frame/away-banner.tsx';
import { PartPage } from './part/part-page.tsx';
import { SignIn } from './session/sign-in.tsx';
import { useSession } from './session/use-session.ts';
import { PartsStage } from './tray/parts-stage.tsx';

/** The catalogue room and the house rules come when they are entered: the counter is usable before. */
const AuditPage = lazy(async () => ({ default: (await import('./audit/audit-page.tsx')).AuditPage }));
const EngineList = lazy(async () => ({ default: (await import('./catalogue/engine-list.tsx')).EngineList }));
const EnginePage = lazy(async () => ({ default: (await import('./catalogue/engine-page.tsx')).EnginePage }));
const GraphPage = lazy(async () => ({ default: (await import('./interchange/graph-page.tsx')).GraphPage }));

const BeginInspection = lazy(async () => ({
  default: (await import('./authenticity/begin-inspection.tsx')).BeginInspection,
}));
const ProofStage = lazy(async () => ({ default: (await import('./authenticity/proof-stage.tsx')).ProofStage }));
const BatchesPage = lazy(async () => ({ default: (await import('./quarantine/batches-page.tsx')).BatchesPage }));
const SellersPage = lazy(async () => ({ default: (await import('./quarantine/sellers-page.tsx')).SellersPage }));
const NoticesPage = lazy(async () => ({ default: (await import('./quarantine/notices-page.tsx')).NoticesPage }));
const ReferencesPage = lazy(async () => ({
  default: (await import('./authenticity/references-page.tsx')).ReferencesPage,
}));
const ReceivingPage = lazy(async () => ({ default: (await import('./receiving/receiving-page.tsx')).ReceivingPage }));
const HouseRulesPage = lazy(async () => ({
  default: (await import('./house-rules/house-rules-page.tsx')).HouseRulesPage,
}));

/** The whole application: sign-in, then the counter's frame with its stages. */
export function App() {
  const session = useSession();
  return (
    <>
      {session.isPending && <p className="p-6 text-soft">Opening the counter …</p>}
      {session.error && !session.data && (
        <div className="p-6">
          <AwayBanner />
          <p className="mt-2 text-soft">{session.error.message}</p>
        </div>
      )}
      {session.data === null && <SignIn />}
      {session.data && (
        <Suspense fallback={<p className="p-6 text-soft">Opening …</p>}>
          <Routes>
            <Route element={<Frame me={session.data} />}>
              <Route index element={<Navigate to="/counter/engine" replace />} />
              <Route path="counter/engine" element={<EngineStage />} />
              <Route path="counter/parts" element={<PartsStage />} />
              <Route path="counter/proof" element={<BeginInspection />} />
              <Route path="counter/proof/:inspectionId" element={<ProofStage />} />
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
              <Route path="engines/:engineId" element={<EnginePage />} />
              <Route path="catalogue" element={<Navigate to="/catalogue/engines" replace />} />
              <Route path="catalogue/engines" element={<EngineList />} />
              <Route path="catalogue/audit" element={<AuditPage />} />
              <Route path="house-rules" element={<HouseRulesPage />} />
              <Route path="*" element={<Nowhere />} />
            </Route>
          </Routes>
        </Suspense>
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
