import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, useCallback, useEffect, useLayoutEffect, useMemo, useRef } from 'react';
import type { OpenRow, OpenTray } from '@brackenfell/contract/open-tray';
import { TRAY_ORDER } from '@brackenfell/core/fitment/ranking';
import { VERDICT_WORDS, type Verdict } from '@brackenfell/core/fitment/verdict';
import { printCount } from '@brackenfell/core/words/counted';
import { Key } from '../controls/key.tsx';
import { Mark, MARK_WORDS, MarkPaths, VERDICT_MARK } from '../controls/mark.tsx';
import type { MarkKind } from '../controls/mark-shapes.ts';
import { withTax } from '@brackenfell/core/money/tax';
import { inOurMoney, printAmount } from '@brackenfell/core/words/money';
import { ourTax } from '../shop/our-shop.ts';
import { useSettings } from '../settings/settings.ts';
import { gridColumns, markPlaces, marksWidth } from './columns.ts';
import type { HeldRow, HeldTray } from './held-order.ts';
import { useIsPainted, useIsPicked, usePickedAfterPaint, type RowPick } from './row-pick.ts';

const VERDICT_NOTE: Record<Verdict, string> = {
  sell: 'every check that counts is met',
  'sell-with-advice': 'fits, and the customer is told something',
  'ask-first': 'one fact settles it: ask or measure',
  'needs-supervisor': 'only with the supervisor’s word',
  refuse: 'do not supply',
};

type Item =
  | { readonly kind: 'divider'; readonly verdict: Verdict; readonly count: number }
  | { readonly kind: 'row'; readonly row: HeldRow; readonly index: number }
  | { readonly kind: 'more'; readonly beyond: readonly { verdict: Verdict; count: number }[] };

function itemsOf({ rows, counts }: HeldTray): Item[] {
  const items = rows.flatMap((row, index): Item[] => {
    const starts = index === 0 || rows[index - 1]!.under !== row.under;
    const count = counts.verdicts[row.under];
    return [...(starts ? [{ kind: 'divider', verdict: row.under, count } as const] : []), { kind: 'row', row, index }];
  });
  const beyond = TRAY_ORDER.map((verdict) => ({
    verdict,
    count: counts.verdicts[verdict] - rows.filter(({ under }) => under === verdict).length,
  })).filter(({ count }) => count > 0);
  return beyond.length > 0 ? [...items, { kind: 'more', beyond }] : items;
}

/** The style sheet lays rows out by these; how many checks there are depends on the kind of part. */
const checksGrid = (columns: OpenTray['columns']) =>
  ({ '--tray-checks': gridColumns(columns), '--tray-marks': columns.length }) as React.CSSProperties;

/** Of a tray no longer than this all rows are there, so that to scroll is only to move them; of a longer one those in sight. */
const MOST_KEPT = 70;
/** As many as are in sight at first; the others come when these have been painted. */
const FIRST_PAINTED = 24;

interface TrayTableProps {
  readonly tray: HeldTray;
  readonly pick: RowPick;
  readonly onTake: (row: OpenRow) => void;
  readonly onMore: () => void;
}

/** The tray: candidates as rows, checks as columns of marks, a divider where the verdict changes. */
export function TrayTable({ tray, pick, onTake, onMore }: TrayTableProps) {
  const items = useMemo(() => itemsOf(tray), [tray]);
  const scroller = useRef<HTMLDivElement>(null);
  const { textSize, dense, touch } = useSettings();
  const rem = (16 * textSize) / 100;
  const sizeOf = useCallback(
    (item: Item) => (item.kind !== 'row' ? (dense ? 1.125 : 1.375) : touch ? 2.5 : dense ? 1.1875 : 1.5) * rem,
    [dense, touch, rem],
  );
  const isLong = items.length > MOST_KEPT;
  const virtual = useVirtualizer({
    count: items.length,
    getScrollElement: () => scroller.current,
    estimateSize: (i) => sizeOf(items[i]!),
    overscan: 4,
    enabled: isLong,
  });
  useEffect(() => {
    virtual.measure();
  }, [virtual, rem, dense, touch]);
  const laid = useMemo(() => layItems(items, sizeOf), [items, sizeOf]);
  const places = useMemo(() => laid.flatMap(({ item, place }) => (item.kind === 'row' ? [place] : [])), [laid]);
  const last = laid.at(-1)?.place;
  const kept = useIsPainted() ? laid : laid.slice(0, FIRST_PAINTED);
  useEffect(() => {
    const show = () => {
      const place = places[pick.index];
      const pane = scroller.current;
      if (!place || !pane) return;
      // The first row is shown with its divider.
      const top = pick.index === 0 ? 0 : place.top;
      if (top < pane.scrollTop) pane.scrollTop = top;
      else if (place.top + place.height > pane.scrollTop + pane.clientHeight) {
        pane.scrollTop = place.top + place.height - pane.clientHeight;
      }
    };
    show();
    return pick.subscribe(show);
  }, [places, pick]);

  const grid = useRef<HTMLDivElement>(null);
  // The grid has the keys' focus and names its picked row, so that a screen reader says what was moved to.
  useEffect(() => {
    const name = () => grid.current?.setAttribute('aria-activedescendant', rowId(pick.index));
    const hear = () => {
      name();
      const focus = document.activeElement;
      if (focus === document.body || focus?.hasAttribute('data-desk')) grid.current?.focus({ preventScroll: true });
    };
    name();
    return pick.subscribe(hear);
  }, [pick, tray]);

  return (
    <div
      ref={grid}
      tabIndex={0}
      className={`tray ${tray.kind === 'plug' ? '' : 'tray-without-cost'}`}
      role="grid"
      aria-label="Tray of candidates"
      aria-rowcount={tray.counts.byReference + tray.counts.bySize + 1}
      aria-colcount={tray.columns.length + 7}
      style={checksGrid(tray.columns)}
      data-tray
    >
      <TrayHead tray={tray} pick={pick} />
      <div ref={scroller} className="tray-scroll" role="rowgroup">
        <div role="presentation" className="relative" style={{ height: last ? last.top + last.height : 0 }}>
          <Highlight places={places} pick={pick} />
          {(isLong ? virtual.getVirtualItems().map(({ index }) => laid[index]!) : kept).map(({ item, place }) => {
            const { top, height } = place;
            const style = { top, height };
            return item.kind === 'divider' ? (
              <Divider key={`divider ${item.verdict}`} item={item} style={style} />
            ) : item.kind === 'more' ? (
              <More key="more" item={item} style={style} onMore={onMore} />
            ) : (
              <Row
                key={item.row.partId}
                row={item.row}
                index={item.index}
                top={top}
                height={height}
                columns={tray.columns}
                pick={pick}
                onTake={onTake}
              />
            );
          })}
        </div>
      </div>
    </div>
  );
}

function TrayHead({ tray, pick }: { tray: OpenTray; pick: RowPick }) {
  const picked = tray.rows[usePickedAfterPaint(pick)];
  const failing = picked?.findings.filter((f) => f.outcome === 'refuse').map((f) => f.check);
  return <HeadCells tray={tray} failing={failing?.join(' ') ?? ''} />;
}

/** The column heads; those of checks that the picked row fails are tinted. Drawn anew only when that changes. */
const HeadCells = memo(function HeadCells({ tray, failing }: { tray: OpenTray; failing: string }) {
  const all = tray.counts.byReference + tray.counts.bySize;
  return (
    <div className="tray-head" role="row" aria-rowindex={1}>
      <div role="columnheader" className="tray-lead">
        <b>
          Tray: {tray.rows.length < all ? `${tray.rows.length} of ` : ''}
          {printCount(all)} candidates
        </b>
        <span>
          {printCount(tray.counts.byReference)} by reference or listing, {printCount(tray.counts.bySize)} by{' '}
          {tray.kind === 'plug' ? 'size' : 'form'}
          {tray.counts.notJudged > 0 && `; ${printCount(tray.counts.notJudged)} of about that form are further off`}
        </span>
        <span>{tray.order}</span>
      </div>
      {tray.columns.map(({ check, title, startsGroup }) => (
        <div
          key={check}
          role="columnheader"
          className={`tray-column ${startsGroup ? 'tray-group' : ''} ${failing.split(' ').includes(check) ? 'tray-failing' : ''}`}
        >
          <span>{title}</span>
        </div>
      ))}
      <div role="columnheader" className="tray-reason self-end">
        Reason
      </div>
      <div role="columnheader" className="self-end text-right">
        Free
      </div>
      <div role="columnheader" className="self-end text-right leading-tight">
        {inOurMoney('£ set')}
        <br />
        with tax
      </div>
      <div role="columnheader" className="tray-per self-end pr-2 text-right leading-tight">
        {inOurMoney('£ per')}
        <br />
        {tray.costOver}
      </div>
    </div>
  );
});

const rowId = (index: number) => `tray-row-${index}`;

interface Place {
  readonly top: number;
  readonly height: number;
}

/** Where everything of the list stands, one below the other, in pixels. */
function layItems(items: readonly Item[], sizeOf: (item: Item) => number): { item: Item; place: Place }[] {
  let top = 0;
  return items.map((item) => {
    const place = { top, height: sizeOf(item) };
    top += place.height;
    return { item, place };
  });
}

/** The picked row's ground and frame: one layer under the rows that is only moved, so that no row is painted anew. */
function Highlight({ places, pick }: { places: readonly Place[]; pick: RowPick }) {
  const ground = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    const move = () => {
      const place = places[pick.index];
      if (!ground.current || !place) return;
      ground.current.style.height = `${place.height}px`;
      ground.current.style.transform = `translateY(${place.top}px)`;
    };
    move();
    return pick.subscribe(move);
  }, [places, pick]);
  return <div ref={ground} className="tray-highlight" aria-hidden="true" />;
}

function Divider({ item, style }: { item: Extract<Item, { kind: 'divider' }>; style: React.CSSProperties }) {
  return (
    <div className={`tray-divider verdict-${item.verdict}`} role="row" style={style}>
      <span role="gridcell" className="flex items-center gap-2">
        <Mark kind={VERDICT_MARK[item.verdict]} rem={0.875} />
        <b>{VERDICT_WORDS[item.verdict]}</b>
        <span className="num">{printCount(item.count)}</span>
        <span className="font-normal text-soft">{VERDICT_NOTE[item.verdict]}</span>
      </span>
    </div>
  );
}

interface MoreProps {
  readonly item: Extract<Item, { kind: 'more' }>;
  readonly style: React.CSSProperties;
  readonly onMore: () => void;
}

/** After the last row: what was judged and is not shown. */
function More({ item, style, onMore }: MoreProps) {
  return (
    <div className="tray-divider" role="row" style={style}>
      <span role="gridcell" className="flex items-center gap-2">
        <button type="button" className="button-quiet" onClick={onMore}>
          More <Key>e</Key>
        </button>
        <span className="font-normal text-soft">
          judged and not shown:{' '}
          {item.beyond.map(({ verdict, count }) => `${printCount(count)} ${VERDICT_WORDS[verdict]}`).join(', ')}
        </span>
      </span>
    </div>
  );
}

interface RowProps {
  readonly row: HeldRow;
  readonly index: number;
  readonly top: number;
  readonly height: number;
  readonly columns: OpenTray['columns'];
  readonly pick: RowPick;
  readonly onTake: (row: OpenRow) => void;
}

/** One candidate. Its marks are drawn once; being picked changes only the row's own ground. */
const Row = memo(function Row({ row, index, top, height, columns, pick, onTake }: RowProps) {
  const picked = useIsPicked(pick, index);
  return (
    <div
      className={`tray-row verdict-${row.verdict}`}
      role="row"
      id={rowId(index)}
      aria-label={`${row.printed}, ${VERDICT_WORDS[row.verdict]}: ${row.changed === null ? '' : `changed, ${row.changed}. `}${row.reason}`}
      aria-rowindex={index + 2}
      aria-selected={picked}
      tabIndex={picked ? 0 : -1}
      style={{ top, height }}
      onClick={() => pick.set(index)}
      onDoubleClick={() => onTake(row)}
      data-row={row.printed}
    >
      <RowCells row={row} columns={columns} />
    </div>
  );
});

interface RowCellsProps {
  readonly row: HeldRow;
  readonly columns: OpenTray['columns'];
}

const RowCells = memo(function RowCells({ row, columns }: RowCellsProps) {
  return (
    <>
      <span role="rowheader" className="num tray-number">
        {row.printed}
        {row.inHand && <span className="pl-1 font-sans text-bracken">▸</span>}
      </span>
      <span role="gridcell" className="tray-maker">
        {row.maker}
      </span>
      <span role="gridcell" className="tray-evidence">
        {row.evidenceWord}
      </span>
      <span role="presentation" className="tray-marks">
        <RowMarks row={row} columns={columns} />
        {/* They hold nothing that is seen: to hide them would make each a layer of its own, of which the browser has some 250. */}
        {row.findings.map(({ check, title, outcome }) => (
          <span role="gridcell" key={check} aria-label={`${title}: ${MARK_WORDS[outcome]}`} />
        ))}
      </span>
      <span role="gridcell" className="tray-reason" title={row.reason}>
        {row.changed !== null && <b className="told-changed">{row.changed}</b>}
        {row.reason}
      </span>
      <span role="gridcell" className="num text-right">
        {row.onHand - row.unproven}
        {row.unproven > 0 && (
          <small className="text-heather" title={`${row.unproven} more were looked at and are not proven`}>
            +{row.unproven}?<span className="sr-only"> {row.unproven} more not proven</span>
          </small>
        )}
        {row.held > 0 && <span className="sr-only">, {row.held} more held in quarantine</span>}
      </span>
      <span role="gridcell" className="num text-right">
        {printAmount(row.priceMinor === null ? null : withTax(row.priceMinor * row.takes, ourTax()))}
      </span>
      <span role="gridcell" className="num tray-per pr-2 text-right">
        {row.verdict === 'refuse' ? '–' : printAmount(row.costOverServiceMinor)}
      </span>
    </>
  );
});

/** All marks of a row in one drawing, one path a kind: hundreds of small drawings would cost a frame at every move. */
function RowMarks({ row, columns }: RowCellsProps) {
  const places = markPlaces(columns);
  const width = marksWidth(columns);
  const kinds = new Map<MarkKind, (readonly [number, number])[]>();
  row.findings.forEach((finding, i) => {
    const kind = finding.outcome === 'match' ? 'match-small' : finding.outcome;
    const held = kinds.get(kind);
    if (held) held.push([places[i]!, 0]);
    else kinds.set(kind, [[places[i]!, 0]]);
  });
  return (
    <svg viewBox={`0 0 ${width} 12`} style={{ width: `${width / 16}rem` }} aria-hidden="true">
      {[...kinds].map(([kind, at]) => (
        <MarkPaths key={kind} kind={kind} at={at} />
      ))}
    </svg>
  );
}
