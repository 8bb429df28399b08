/** What the frame lays over the desk. Fetched together: each small file would be a call. */
export { KeyHelp } from './key-help.tsx';
export { SlipList } from '../slip/slip-list.tsx';
export { ScanList } from '../ask/scan-list.tsx';
export { SwitchPerson } from '../session/switch-person.tsx';
export { HeardDialog } from '../heard/heard-dialog.tsx';
