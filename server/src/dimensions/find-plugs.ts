import { nearness, type Dimensions, type Held, type MeasuredWith } from '@brackenfell/core/dimensions/dimensions';
import { rulingValue, type FactSheet } from '@brackenfell/core/facts/facts';
import type { PlugColumns } from '@brackenfell/core/plugs/screening/plug-columns';

const sizeOf = (plug: FactSheet): Omit<Held, 'hexMm' | 'terminal'> => {
  const reachMm = rulingValue(plug, 'plug.reachMm');
  return {
    threadMm: rulingValue(plug, 'plug.threadDiameterMm'),
    reachLowMm: reachMm,
    reachHighMm: reachMm,
    seat: rulingValue(plug, 'plug.seat'),
  };
};

export interface NearPlug {
  readonly place: number;
  readonly nearness: number;
  readonly held: Held;
}

/** All plugs that come near what was measured, nearest first: asked of each size once, then of hex and terminal. */
export function findPlugs(plugs: PlugColumns, asked: Dimensions, how: MeasuredWith): NearPlug[] {
  const ofSize = plugs.placesBySize();
  const { hexMm: _, terminal: __, ...size } = asked;
  return plugs.size.samples
    .flatMap((sample, code) => {
      const held = sizeOf(sample);
      if (nearness(size, { ...held, hexMm: undefined, terminal: undefined }, how) === undefined) return [];
      return [...ofSize[code]!].flatMap((place) => {
        const whole: Held = {
          ...held,
          hexMm: plugs.factOf(place, 'plug.hexMm')?.ruling[0]?.value,
          terminal: plugs.factOf(place, 'plug.terminal')?.ruling[0]?.value,
        };
        const near = nearness(asked, whole, how);
        return near === undefined ? [] : [{ place, nearness: near, held: whole }];
      });
    })
    .sort((a, b) => a.nearness - b.nearness);
}
