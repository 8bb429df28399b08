/** What the catalogue holds, takes in and is mended by. Fetched together: a screen is many small files, and each of them a call. */
export { AuditPage } from '../../audit/audit-page.tsx';
export { ImportsPage } from '../../imports/imports-page.tsx';
export { EngineList } from '../../catalogue/engine-list.tsx';
export { NumberList } from '../../catalogue/number-list.tsx';
export { EnginePage } from '../../catalogue/engine-page.tsx';
export { RecordPage } from '../../record/record-page.tsx';
export { MakersPage } from '../../record/makers-page.tsx';
export { MendingPage } from '../../mending/mending-page.tsx';
export { GraphPage } from '../../interchange/graph-page.tsx';
export { DimensionPage } from '../../dimensions/dimension-page.tsx';
