import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, useEffect, useMemo, useRef } from 'react';
import type { Tray, TrayRow } from '@brackenfell/contract/tray';
import { VERDICT_WORDS, type Verdict } from '@brackenfell/core/fitment/verdict';
import { Mark, MARK_WORDS, VERDICT_MARK } from '../controls/mark.tsx';
import { printAmount } from '../controls/money.ts';
import { useSettings } from '../settings/settings.ts';
import { COLUMNS } from './columns.ts';
import { useIsPicked, usePicked, type RowPick } from './row-pick.ts';

const VERDICT_NOTE: Record<Verdict, string> = {
  sell: 'every check that counts is met',
  'sell-with-advice': 'fits, and the customer is told something',
  'ask-first': 'one fact settles it: ask or measure',
  'needs-supervisor': 'only with the supervisor’s word',
  refuse: 'do not supply',
};

type Item =
  | { readonly kind: 'divider'; readonly verdict: Verdict; readonly count: number }
  | { readonly kind: 'row'; readonly row: TrayRow; readonly index: number };

function itemsOf(rows: readonly TrayRow[]): Item[] {
  return rows.flatMap((row, index): Item[] => {
    const starts = index === 0 || rows[index - 1]!.verdict !== row.verdict;
    const count = rows.filter((r) => r.verdict === row.verdict).length;
    return [
      ...(starts ? [{ kind: 'divider', verdict: row.verdict, count } as const] : []),
      { kind: 'row', row, index },
    ];
  });
}

interface TrayTableProps {
  readonly tray: Tray;
  readonly pick: RowPick;
  readonly onTake: (row: TrayRow) => void;
}

/** The tray: candidates as rows, checks as columns of marks, a divider where the verdict changes. */
export function TrayTable({ tray, pick, onTake }: TrayTableProps) {
  const items = useMemo(() => itemsOf(tray.rows), [tray]);
  const scroller = useRef<HTMLDivElement>(null);
  const { textSize, dense } = useSettings();
  const rem = (16 * textSize) / 100;
  const virtual = useVirtualizer({
    count: items.length,
    getScrollElement: () => scroller.current,
    estimateSize: (i) => (items[i]!.kind === 'divider' ? (dense ? 1.125 : 1.375) : dense ? 1.1875 : 1.5) * rem,
    overscan: 12,
  });
  useEffect(() => {
    virtual.measure();
  }, [virtual, rem, dense]);
  useEffect(() => {
    const show = () => {
      const at = items.findIndex((item) => item.kind === 'row' && item.index === pick.index);
      // The first row is shown with its divider.
      if (at >= 0) virtual.scrollToIndex(at === 1 ? 0 : at, { align: 'auto' });
    };
    show();
    return pick.subscribe(show);
  }, [items, pick, virtual]);

  return (
    <div
      className="tray"
      role="grid"
      aria-label="Tray of candidates"
      aria-rowcount={tray.rows.length + 1}
      aria-colcount={COLUMNS.length + 7}
      tabIndex={0}
      data-tray
    >
      <TrayHead tray={tray} pick={pick} />
      <div ref={scroller} className="tray-scroll" role="presentation">
        <div role="rowgroup" className="relative" style={{ height: virtual.getTotalSize() }}>
          {virtual.getVirtualItems().map(({ index, start, size }) => {
            const item = items[index]!;
            const style = { transform: `translateY(${start}px)`, height: size };
            return item.kind === 'divider' ? (
              <Divider key={`divider ${item.verdict}`} item={item} style={style} />
            ) : (
              <Row
                key={item.row.partId}
                row={item.row}
                index={item.index}
                top={start}
                height={size}
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

function TrayHead({ tray, pick }: { tray: Tray; pick: RowPick }) {
  const picked = tray.rows[usePicked(pick)];
  const failing = new Set(picked?.findings.filter((f) => f.outcome === 'refuse').map((f) => f.check));
  return (
    <div className="tray-head" role="row" aria-rowindex={1}>
      <div role="columnheader" className="tray-lead">
        <b>Tray: {tray.rows.length} candidates</b>
        <span>
          {tray.byReference} by reference or listing, {tray.bySize} by size
        </span>
        <span>{tray.order}</span>
      </div>
      {COLUMNS.map(({ check, title, startsGroup }) => (
        <div
          key={check}
          role="columnheader"
          className={`tray-column ${startsGroup ? 'tray-group' : ''} ${failing.has(check) ? 'tray-failing' : ''}`}
        >
          <span>{title}</span>
        </div>
      ))}
      <div role="columnheader" className="self-end pl-2">
        Reason
      </div>
      <div role="columnheader" className="self-end text-right">
        Stock
      </div>
      <div role="columnheader" className="self-end text-right">
        £ each
      </div>
      <div role="columnheader" className="tray-per self-end pr-2 text-right leading-tight">
        £ a set
        <br />
        10 000
        <br />
        km
      </div>
    </div>
  );
}

function Divider({ item, style }: { item: Extract<Item, { kind: 'divider' }>; style: React.CSSProperties }) {
  return (
    <div className={`tray-divider verdict-${item.verdict}`} role="row" style={style}>
      <span role="gridcell" className="flex items-center gap-2">
        <Mark kind={VERDICT_MARK[item.verdict]} rem={0.875} />
        <b>{VERDICT_WORDS[item.verdict]}</b>
        <span className="num">{item.count}</span>
        <span className="font-normal text-soft">{VERDICT_NOTE[item.verdict]}</span>
      </span>
    </div>
  );
}

interface RowProps {
  readonly row: TrayRow;
  readonly index: number;
  readonly top: number;
  readonly height: number;
  readonly pick: RowPick;
  readonly onTake: (row: TrayRow) => void;
}

/** One candidate. Its marks are drawn once; being picked changes only the row's own ground. */
const Row = memo(function Row({ row, index, top, height, pick, onTake }: RowProps) {
  const picked = useIsPicked(pick, index);
  return (
    <div
      className={`tray-row verdict-${row.verdict}`}
      role="row"
      aria-rowindex={index + 2}
      aria-selected={picked}
      style={{ transform: `translateY(${top}px)`, height }}
      onClick={() => pick.set(index)}
      onDoubleClick={() => onTake(row)}
      data-row={row.printed}
    >
      <RowCells row={row} />
    </div>
  );
});

const RowCells = memo(function RowCells({ row }: { row: TrayRow }) {
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
      {row.findings.map((finding, i) => {
        const { title, startsGroup } = COLUMNS[i]!;
        return (
          <span role="gridcell" key={finding.check} className={`tray-mark ${startsGroup ? 'tray-group' : ''}`}>
            <Mark
              kind={finding.outcome === 'match' ? 'match-small' : finding.outcome}
              label={`${title}: ${MARK_WORDS[finding.outcome]}`}
            />
          </span>
        );
      })}
      <span role="gridcell" className="tray-reason" title={row.reason}>
        {row.reason}
      </span>
      <span role="gridcell" className="num text-right">
        {row.onHand}
      </span>
      <span role="gridcell" className="num text-right">
        {printAmount(row.priceMinor)}
      </span>
      <span role="gridcell" className="num tray-per pr-2 text-right">
        {row.verdict === 'refuse' ? '–' : printAmount(row.costPer10000KmMinor)}
      </span>
    </>
  );
});
