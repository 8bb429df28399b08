import type { Express } from 'express';
import { nearness, WITHIN_MM, type Held } from '@brackenfell/core/dimensions/dimensions';
import { sayIn, type Say } from '@brackenfell/core/fitment/say';
import { searchByDimension } from '@brackenfell/contract/dimensions';
import type { Context } from '../context/context.ts';
import { serve } from '../http/serve.ts';
import { trouble } from '../http/trouble.ts';
import { readStock } from '../stock/store.ts';
import { findPlugs } from './find-plugs.ts';
import { readPlaces } from './store.ts';

const MOST_SHOWN = 60;

const TERMINAL_WORDS: Readonly<Record<string, string>> = {
  solid: 'solid top',
  nut: 'nut on its stud',
  stud: 'bare stud',
  cup: 'cup',
};

/** The five dimensions in one line, as their source states them; what is not stated is left out. */
function sayHeld({ threadMm, reachLowMm, reachHighMm, seat, hexMm, terminal }: Held, say: Say): string {
  return [
    threadMm === undefined ? '' : `M${threadMm}`,
    reachLowMm === undefined ? '' : `reach ${say.span('reach', { low: reachLowMm, high: reachHighMm ?? reachLowMm })}`,
    seat === undefined ? '' : seat === 'taper' ? 'taper' : 'gasket',
    hexMm === undefined ? 'hex not stated' : `hex ${say.quantity('hex', hexMm)}`,
    terminal === undefined ? '' : (TERMINAL_WORDS[terminal] ?? terminal),
  ]
    .filter(Boolean)
    .join(', ');
}

export function dimensionRoutes(app: Express, context: Context): void {
  serve(app, context, searchByDimension, async ({ query: { how, units, ...asked }, db }) => {
    if (Object.values(asked).every((said) => said === undefined))
      return trouble('invalid-request', 'Give at least one dimension.', { threadMm: 'or any other is needed' });
    const within = WITHIN_MM[how];
    const band = (mm: number | undefined, most: number) =>
      mm === undefined ? ([0, 1000] as const) : ([mm - most - 1e-6, mm + most + 1e-6] as const);
    const [held, places] = await Promise.all([
      context.sheets.withPlugs(db),
      readPlaces(db, band(asked.threadMm, within.threadMm), band(asked.reachMm, within.reachMm)),
    ]);
    const say = sayIn(units);
    const plugs = findPlugs(held.plugs, asked, how);
    const shown = plugs.slice(0, MOST_SHOWN);
    const stock = await readStock(
      db,
      shown.map(({ place }) => held.plugs.ids[place]!),
    );
    const suiting = places
      .flatMap((place) => {
        const near = nearness(asked, place, how);
        return near === undefined ? [] : [{ place, near }];
      })
      .sort((a, b) => a.near - b.near);
    const engines = [...new Map([...suiting].reverse().map(({ place }) => [place.engineId, place])).values()].reverse();
    return {
      parts: shown.map(({ place, held: dimensions }) => {
        const partId = held.plugs.ids[place]!;
        const { printed, maker } = held.titles[place]!;
        const shelf = stock.get(partId);
        return {
          partId,
          printed,
          maker,
          says: sayHeld(dimensions, say),
          onHand: shelf?.on_hand ?? 0,
          priceMinor: shelf?.each_minor ?? null,
        };
      }),
      partCount: plugs.length,
      engines: engines.slice(0, MOST_SHOWN).map(({ engineId, title, summary, ...place }) => ({
        engineId,
        title,
        summary,
        says: sayHeld(place, say),
      })),
      engineCount: engines.length,
    };
  });
}
