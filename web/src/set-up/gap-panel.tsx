import { useState } from 'react';
import { sayIn } from '@brackenfell/core/fitment/say';
import type { SlipLine } from '@brackenfell/contract/slip';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import { useKeys } from '../keys/keys.ts';
import { useSettings } from '../settings/settings.ts';
import { GapStrip } from './gap-strip.tsx';
import { SignOff } from './sign-off.tsx';
import { TypedFigure } from '../controls/typed-figure.tsx';
import type { GapSeries } from './use-gap-series.ts';

interface GapPanelProps {
  readonly line: SlipLine;
  readonly series: GapSeries;
  readonly mayWrite: boolean;
}

/** The gaps of a line's plugs: one after another from the gauge or typed, what each needs, and how the box lies. */
export function GapPanel({ line, series, mayWrite }: GapPanelProps) {
  const [typing, setTyping] = useState(false);
  const say = sayIn(useSettings().units);
  const { asked, desk, picked, stage, device, state, move, take, putAnother, waiting } = series;
  const of = `plug ${picked}${stage === 'after' ? ', after setting' : ''}`;
  const type = () => setTyping(true);
  useKeys('Gap', [
    { press: 'j', does: 'Next plug', run: () => move(1), takeBack: () => move(-1) },
    { press: 'k', does: 'Plug before', run: () => move(-1), takeBack: () => move(1) },
    { press: 'ArrowDown', printed: '↓', does: 'Next plug', run: () => move(1) },
    { press: 'ArrowUp', printed: '↑', does: 'Plug before', run: () => move(-1) },
    { press: 'Home', does: 'First plug', run: () => move(-line.quantity) },
    { press: 'End', does: 'Last plug', run: () => move(line.quantity) },
    ...(mayWrite
      ? [
          { press: 'Space', does: 'Take the gauge’s reading', run: take },
          { press: 'm', does: 'Type the gap', run: type },
          { press: 'r', does: 'Another plug in its place', run: putAnother },
        ]
      : []),
  ]);
  const { box } = desk;
  return (
    <section aria-label="Gap" className="set-up-panel">
      <h2 className="flex flex-wrap items-baseline gap-x-2">
        <b className="text-lead font-semibold">Gap of each plug</b>
        {box && (
          <span className="text-soft">
            mean <span className="num">{say.quantity('gap', box.meanMm)}</span>, spread{' '}
            <span className="num">{say.quantity('gap', box.spreadMm)}</span>
            {box.setAsideMm !== null && (
              <>
                {' '}
                without one at <span className="num">{say.quantity('gap', box.setAsideMm)}</span>
              </>
            )}
          </span>
        )}
        {box?.fits !== undefined && (
          <span className="flex items-center gap-1">
            <Mark kind={box.fits ? 'match-small' : 'caution'} />
            {box.fits ? 'as its maker allows' : 'wider than its maker allows'}
            {box.isToleranceAssumed && (
              <span className="text-soft">, taken as ±{say.quantity('gap', box.toleranceMm)}</span>
            )}
          </span>
        )}
      </h2>
      <GapStrip
        asked={asked}
        pieces={desk.pieces}
        places={line.positions}
        picked={picked}
        toMeasure={desk.toMeasure}
        unsent={waiting}
        say={say}
        onPick={series.pick}
      />
      <SignOff pieces={desk.pieces} gaps={series.gaps} say={say} />
      <div
        className="flex flex-wrap items-center gap-2 pt-1"
        role="toolbar"
        aria-label="What to do with the picked plug"
      >
        {mayWrite && (
          <>
            <button type="button" className="button-lead" onClick={take}>
              Take it: {of} <Key>Space</Key>
            </button>
            <span className="num" role="status">
              {state?.kind === 'reading' ? (
                <b className={state.steady ? 'font-semibold' : 'text-soft'}>{state.value.toFixed(2)} mm</b>
              ) : (
                <b className="font-sans text-madder">not reading: {state ? state.why : 'waiting'}</b>
              )}
            </span>
            <button type="button" className="button-plain" onClick={type}>
              Type it <Key>m</Key>
            </button>
            <button type="button" className="button-plain" onClick={putAnother}>
              Another in its place <Key>r</Key>
            </button>
            <span className="text-xs text-soft">{device?.name}</span>
            {device?.simulated && (
              <button
                type="button"
                className="button-quiet text-xs"
                onClick={() => {
                  if (device.plugged) device.unplug();
                  else device.plugIn();
                }}
              >
                {device.plugged ? 'Unplug it' : 'Plug it in'}
              </button>
            )}
          </>
        )}
      </div>
      {typing && (
        <TypedFigure
          kind="gap"
          key={`${line.lineId} ${picked} ${stage}`}
          draft={`gap ${line.lineId} ${picked} ${stage}`}
          of={of}
          onNote={(gapMm) => series.note(gapMm, 'typed')}
          onClose={() => {
            setTyping(false);
            document.querySelector<HTMLElement>('[data-desk]')?.focus();
          }}
        />
      )}
    </section>
  );
}
