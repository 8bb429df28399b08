/** What is asked about a slip, one thing at a time. Fetched together: each small file would be a call. */
export { NoteDialog } from './note-dialog.tsx';
export { QuantityDialog } from './quantity-dialog.tsx';
export { CollectDialog } from './collect-dialog.tsx';
export { EndDialog } from './collect-dialog.tsx';
export { BatchDialog } from './batch-dialog.tsx';
export { ReleaseDialog } from '../release/release-dialog.tsx';
export { ToldDialog } from './told-dialog.tsx';
export { AnswerDialog } from './answer-dialog.tsx';
