import { Suspense, useEffect, useRef, useState } from 'react';
import { Outlet, useLocation, useNavigate } from 'react-router';
import { ErrorBoundary } from 'react-error-boundary';
import { toast } from '../controls/toast.ts';
import { ToastCorner } from '../controls/toast-corner.tsx';
import type { Staff } from '@brackenfell/contract/session';
import { AskLine } from '../ask/ask-line.tsx';
import { keepScan } from '../ask/scans.ts';
import { changeSettings, nextUnits, useSettings } from '../settings/settings.ts';
import { useOutboxFlow } from '../counter/outbox-flow.ts';
import { untilSent } from '../counter/slip-outbox.ts';
import { useBegunAs } from '../counter/use-unsent.ts';
import { printDocket } from '../counter/print-docket.ts';
import { SlipPane } from '../slip/slip-pane.tsx';
import { FaultScreen } from './fault-screen.tsx';
import { AwayBanner } from '../controls/away-banner.tsx';
import { room, SheetOnItsWay } from '../controls/room.tsx';
import { drewAddress, useKeys, watchForBursts } from '../keys/keys.ts';
import { isCatalogue, isGarage, isQuarantine, isSums, Rail } from './rail.tsx';
import { CatalogueStrip } from '../catalogue/catalogue-strip.tsx';
import { QuarantineStrip } from '../quarantine/quarantine-strip.tsx';
import { GarageStrip } from '../garage/garage-strip.tsx';
import { SumsStrip } from '../sums/sums-strip.tsx';
import { keepCounter, lastCounter } from '../counter/last-address.ts';
import { usePageTitle } from './use-page-title.ts';
import { StageStrip } from './stage-strip.tsx';
import { useCounter } from '../counter/use-counter.ts';

/** The sheets of the room that is entered, or the stages of the counter. */
function Strip({ pathname }: { readonly pathname: string }) {
  if (isCatalogue(pathname)) return <CatalogueStrip />;
  if (isQuarantine(pathname)) return <QuarantineStrip />;
  if (isGarage(pathname)) return <GarageStrip />;
  return isSums(pathname) ? <SumsStrip /> : <StageStrip />;
}

type Sheet = 'keys' | 'person' | 'slips' | 'scans' | 'heard' | undefined;

/** Not part of the first load: a sheet brings along what lays it over the desk. */
const KeyHelp = room(async () => (await import('./sheets.ts')).KeyHelp);
const SlipList = room(async () => (await import('./sheets.ts')).SlipList);
const ScanList = room(async () => (await import('./sheets.ts')).ScanList);
const SwitchPerson = room(async () => (await import('./sheets.ts')).SwitchPerson);
const HeardDialog = room(async () => (await import('./sheets.ts')).HeardDialog);

/** The frame around every screen of the counter: rail, ask line, stages, desk and slip. */
export function Frame({ me }: { me: Staff }) {
  const [sheet, open] = useState<Sheet>();
  const ask = useRef<HTMLInputElement>(null);
  const desk = useRef<HTMLDivElement>(null);
  const { go, slipId, slip } = useCounter();
  const docket = slip.data && printDocket(slip.data.docket);
  const navigate = useNavigate();
  const settings = useSettings();
  const { pathname, search } = useLocation();
  const inCatalogue = isCatalogue(pathname);
  const inQuarantine = isQuarantine(pathname);
  useEffect(
    () =>
      watchForBursts(keepScan, () =>
        toast.error('The screen you typed for has not come. What you typed for it is not kept.'),
      ),
    [],
  );
  useEffect(() => drewAddress({ pathname, search }), [pathname, search]);
  useEffect(() => () => drewAddress(undefined), []);
  usePageTitle(pathname, docket, slip.data?.engine ?? undefined);
  useOutboxFlow();
  // A slip begun here gets its number in the address as soon as the server has given it one.
  const begunAs = useBegunAs(slipId);
  useEffect(() => {
    if (!begunAs) return;
    const next = new URLSearchParams(window.location.search);
    next.set('slip', begunAs);
    void navigate({ pathname: window.location.pathname, search: next.toString() }, { replace: true });
  }, [begunAs, navigate]);
  useEffect(() => {
    if (pathname.startsWith('/counter')) keepCounter(`${pathname}${search}`);
  }, [pathname, search]);
  const close = () => {
    open(undefined);
  };
  const toDesk = () => desk.current?.focus();
  /** Escape in a field of the desk gives the keys back to the desk; a dialog keeps its own. */
  const leaveField = (event: React.KeyboardEvent) => {
    const { target, currentTarget } = event;
    const inField =
      target instanceof HTMLElement &&
      (/^(INPUT|TEXTAREA)$/.test(target.tagName) || target.getAttribute('role') === 'combobox');
    if (event.key === 'Escape' && inField && !event.defaultPrevented && currentTarget.contains(target)) toDesk();
  };
  useKeys('Everywhere', [
    { press: '/', does: 'Ask line', run: () => ask.current?.focus() },
    { press: '?', does: 'Keys and reading', run: () => open('keys') },
    { press: 'Shift+?', printed: '?', does: 'Keys and reading', run: () => open('keys') },
    ...(inCatalogue || inQuarantine || isSums(pathname) || isGarage(pathname)
      ? []
      : [
          { press: '1', does: 'Engine stage', run: () => go('/counter/engine') },
          { press: '2', does: 'Parts stage', run: () => go('/counter/parts') },
          { press: '3', does: 'Proof stage', run: () => go('/counter/proof') },
          { press: '4', does: 'Set-up stage', run: () => go('/counter/set-up') },
          { press: '5', does: 'Hand-over stage', run: () => go('/counter/hand-over') },
          { press: '6', does: 'Old parts', run: () => go('/counter/old-parts') },
        ]),
    { press: ', c', printed: ', then c', does: 'Counter', run: () => void navigate(lastCounter()) },
    { press: ', k', printed: ', then k', does: 'Catalogue', run: () => go('/catalogue/engines') },
    { press: ', q', printed: ', then q', does: 'Quarantine', run: () => go('/quarantine/batches') },
    { press: ', g', printed: ', then g', does: 'Garage book', run: () => go('/garage/vehicles') },
    { press: ', s', printed: ', then s', does: 'Sums', run: () => go('/sums/feelers') },
    { press: ', d', printed: ', then d', does: 'Drill', run: () => go('/drill') },
    { press: ', h', printed: ', then h', does: 'House rules', run: () => go('/house-rules') },
    { press: '=', does: 'Slips: begin, park, take up', run: () => open('slips') },
    { press: '`', does: 'What was scanned', run: () => open('scans') },
    { press: 'o', does: 'Hand over the counter', run: () => open('person') },
    { press: 'Shift+W', printed: 'Shift w', does: 'Heard at the counter', run: () => open('heard') },
    {
      press: 'u',
      does: 'Units: metric, imperial, both',
      run: () => changeSettings({ units: nextUnits(settings.units) }),
    },
  ]);
  return (
    <div className="frame">
      <Rail me={me} onPerson={() => open('person')} />
      <AskLine
        inputRef={ask}
        onLeave={toDesk}
        onKeys={() => open('keys')}
        onScans={() => open('scans')}
        units={settings.units}
      />
      <div className="frame-strip">
        <AwayBanner />
        <Strip pathname={pathname} />
      </div>
      <div className="frame-desk" ref={desk} tabIndex={-1} data-desk onKeyDown={leaveField}>
        <ErrorBoundary FallbackComponent={FaultScreen} resetKeys={[pathname]}>
          <Outlet />
        </ErrorBoundary>
      </div>
      <SlipPane me={me} onSlips={() => open('slips')} onHeard={() => open('heard')} />
      <Suspense fallback={<SheetOnItsWay />}>
        {sheet === 'keys' && <KeyHelp onClose={close} />}
        {sheet === 'person' && <SwitchPerson me={me} beforeItEnds={() => untilSent(me.id)} onClose={close} />}
        {sheet === 'scans' && <ScanList onClose={close} />}
        {sheet === 'heard' && <HeardDialog me={me} onClose={close} />}
        {sheet === 'slips' && <SlipList me={me} onClose={close} />}
      </Suspense>
      <ToastCorner />
    </div>
  );
}
