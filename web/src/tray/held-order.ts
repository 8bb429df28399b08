import type { OpenRow, OpenTray } from '@brackenfell/contract/open-tray';
import { VERDICT_WORDS, type Verdict } from '@brackenfell/core/fitment/verdict';
import { withTax } from '@brackenfell/core/money/tax';
import { printAmount } from '@brackenfell/core/words/money';

/** A row in the place where it was, and what changed of it since the tray was laid out. */
export interface HeldRow extends OpenRow {
  /** The verdict it stands under; its own may be another by now. */
  readonly under: Verdict;
  readonly changed: string | null;
}
export interface HeldTray extends Omit<OpenTray, 'rows'> {
  readonly rows: readonly HeldRow[];
  /** What a person is told of all that changed; empty while the tray stands as it was laid out. */
  readonly says: readonly string[];
}

const free = (row: OpenRow): number => row.onHand - row.unproven;

/** What of a row a person at the counter would act upon, as it was and as it is. */
function changeOf(was: OpenRow, is: OpenRow, taxBasisPoints: number): string | null {
  const price = ({ priceMinor, takes }: OpenRow) =>
    printAmount(priceMinor === null ? null : withTax(priceMinor * takes, taxBasisPoints));
  const said = [
    ...(was.verdict === is.verdict ? [] : [`${VERDICT_WORDS[was.verdict]} → ${VERDICT_WORDS[is.verdict]}`]),
    ...(was.verdict === is.verdict && was.reason !== is.reason ? [is.reason] : []),
    ...(free(was) === free(is) ? [] : [`free ${free(was)} → ${free(is)}`]),
    ...(was.held === is.held ? [] : [is.held > was.held ? 'a batch is held' : 'a batch is no longer held']),
    ...(price(was) === price(is) ? [] : [`price ${price(was)} → ${price(is)}`]),
  ];
  return said.length > 0 ? said.join(', ') : null;
}

const withoutSources = (row: OpenRow): OpenRow => ({
  ...row,
  findings: row.findings.map((finding) => ({ ...finding, sources: [] })),
});

/**
 * A tray that was judged anew while somebody moved through it: every row stands where it stood, with what is known of it now,
 * and says what changed. New candidates wait until the tray is laid out anew; one that is none any more says so.
 */
export function holdOrder(laidOut: OpenTray, fresh: OpenTray, taxBasisPoints: number): HeldTray {
  const now = new Map(fresh.rows.map((row) => [row.partId, row]));
  const rows = laidOut.rows.map((was): HeldRow => {
    const is = now.get(was.partId);
    // The sources it cites are those of the tray as it was.
    if (!is) return { ...withoutSources(was), under: was.verdict, changed: 'no longer a candidate' };
    return { ...is, under: was.verdict, changed: changeOf(was, is, taxBasisPoints) };
  });
  const held = new Set(rows.map(({ partId }) => partId));
  const added = fresh.rows.filter(({ partId }) => !held.has(partId)).length;
  const changed = rows.filter((row) => row.changed !== null);
  const says = [
    ...changed.map((row) => `${row.printed}: ${row.changed}`),
    ...(added === 0 ? [] : [added === 1 ? 'one more candidate' : `${added} more candidates`]),
  ];
  // What is counted beyond the rows is of the tray they were laid out from, as long as they differ from it.
  return { ...fresh, rows, counts: says.length === 0 ? fresh.counts : laidOut.counts, says };
}
