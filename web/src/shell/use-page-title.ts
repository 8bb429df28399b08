import { useEffect } from 'react';

/** Views by the beginning of their address, the most particular first. */
const TITLES: readonly (readonly [start: string, title: string])[] = [
  ['/counter/engine', 'Engine'],
  ['/counter/parts', 'Parts'],
  ['/counter/proof', 'Proof'],
  ['/counter/set-up', 'Set-up'],
  ['/counter/hand-over', 'Hand-over'],
  ['/counter/old-parts', 'Old parts'],
  ['/parts', 'Part'],
  ['/engines', 'Engine card'],
  ['/catalogue/audit', 'Audit'],
  ['/catalogue/numbers', 'Numbers'],
  ['/catalogue/dimensions', 'Search by dimension'],
  ['/catalogue', 'Catalogue'],
  ['/quarantine/receiving', 'Deliveries'],
  ['/quarantine', 'Quarantine'],
  ['/work', 'Work'],
  ['/garage/due', 'Due'],
  ['/garage/loans', 'Tool loans'],
  ['/garage', 'Garage book'],
  ['/house-rules', 'House rules'],
  ['/sums/feelers', 'Feelers'],
  ['/sums/spark', 'Spark demand'],
  ['/sums/torque', 'Torque'],
  ['/sums/wear', 'Wear'],
  ['/sums/convert', 'Conversions'],
  ['/drill', 'Drill'],
  ['/help', 'Getting started'],
  ['/people', 'Sign-ins and people'],
  ['/shop', 'The shop'],
];

/** Names the view in the page's title, with the slip and engine in hand, for tabs and for those who hear the page. */
export function usePageTitle(pathname: string, docket: string | undefined, engine: string | undefined): void {
  const view = TITLES.find(([start]) => pathname.startsWith(start))?.[1];
  const title = [view, engine, docket && `slip ${docket}`, 'Brackenfell'].filter(Boolean).join(' – ');
  useEffect(() => {
    document.title = title;
  }, [title]);
}
