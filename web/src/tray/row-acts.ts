import type { OpenRow, OpenTray } from '@brackenfell/contract/open-tray';
import { FACTS } from '@brackenfell/core/facts/facts';
import { slipSheet } from '../counter/slip-sheet.ts';

/** What the tray recommends: the first that can be sold as it stands. */
export const recommended = (tray: OpenTray): OpenRow | undefined =>
  tray.rows.find(({ verdict }) => verdict === 'sell' || verdict === 'sell-with-advice');

/** Whether a row's question is answered by a reading or a look; a build or a class is chosen where its choice stands. */
export const isAnsweredHere = (row: OpenRow): boolean =>
  row.verdict === 'ask-first' &&
  row.findings.some(
    ({ outcome, blocks, missing }) =>
      outcome === 'unknown' && blocks && missing.some(({ id }) => id !== undefined && FACTS[id].answer !== undefined),
  );

/** Opens the question of an Ask-first row where it stands. */
export function openQuestion(row: OpenRow, engineId: string): void {
  const blocking = row.findings.filter(({ outcome, blocks }) => outcome === 'unknown' && blocks);
  slipSheet.set({
    kind: 'answer',
    part: { partId: row.partId, printed: row.printed },
    facts: blocking.flatMap(({ missing }) => missing.flatMap(({ id }) => id ?? [])),
    says: blocking.map(({ told }) => told.toDo ?? told.says).join(' '),
    engineId,
  });
}
