/** What is held, received and compared. Fetched together: a screen is many small files, and each of them a call. */
export { BatchesPage } from '../../quarantine/batches-page.tsx';
export { SellersPage } from '../../quarantine/sellers-page.tsx';
export { NoticesPage } from '../../quarantine/notices-page.tsx';
export { ReferencesPage } from '../../authenticity/references-page.tsx';
export { ReceivingPage } from '../../receiving/receiving-page.tsx';
