import type { EnginePlan } from '@brackenfell/contract/engine-plan';

export interface PlanPlaces {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly radiusPx: number;
  readonly cylinders: ReadonlyMap<number, readonly [x: number, y: number]>;
}

const MARGIN_PX = 30;
const STEP_PX = 58;
const ROW_PX = 74;

/** Cylinders from above, the engine's front at the left; the second row of a vee or flat engine stands a little aft. */
export function planPlaces({ banks }: EnginePlan): PlanPlaces {
  const longest = Math.max(...banks.map(({ cylinders }) => cylinders.length));
  const shift = banks.length > 1 ? STEP_PX * 0.3 : 0;
  const cylinders = new Map<number, readonly [number, number]>();
  banks.forEach((bank, row) =>
    bank.cylinders.forEach((cylinder, i) =>
      cylinders.set(cylinder, [MARGIN_PX + i * STEP_PX + row * shift, MARGIN_PX + 12 + row * ROW_PX]),
    ),
  );
  return {
    widthPx: MARGIN_PX * 2 + (longest - 1) * STEP_PX + shift,
    heightPx: MARGIN_PX * 2 + 12 + (banks.length - 1) * ROW_PX,
    radiusPx: 19,
    cylinders,
  };
}
