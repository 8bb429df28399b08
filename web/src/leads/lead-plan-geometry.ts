import type { EnginePlan } from '@brackenfell/contract/engine-plan';
import type { DrawingOf } from '@brackenfell/contract/tray';

interface Size {
  readonly widthPx: number;
  readonly heightPx: number;
}
export type Place = readonly [x: number, y: number];

/** Where each cylinder stands on the plan, the engine's front at the left, and where the coil or cap stands. */
export interface PlanLayout {
  readonly cylinders: ReadonlyMap<number, Place>;
  readonly source: Place;
  readonly radiusPx: number;
}

const MARGIN = 34;
/** How far the second row stands behind the first, in steps from cylinder to cylinder. */
const AFT = 0.22;

/** Cylinders in their rows as the fitter sees them from above. */
export function layOutPlan(plan: EnginePlan, size: Size): PlanLayout {
  const longest = Math.max(...plan.banks.map(({ cylinders }) => cylinders.length));
  const sourceRoom = 74;
  // The second row of a vee or flat engine stands a little aft: room for that too.
  const aft = plan.banks.length > 1 ? AFT : 0;
  const step = (size.widthPx - sourceRoom - MARGIN * 2) / (Math.max(1, longest - 1) + aft);
  const radiusPx = Math.max(9, Math.min(17, step / 3, size.heightPx / (plan.banks.length * 4)));
  const rowY = (row: number) =>
    plan.banks.length === 1 ? size.heightPx * 0.68 : size.heightPx * (row === 0 ? 0.2 : 0.8);
  const cylinders = new Map<number, Place>();
  plan.banks.forEach((bank, row) => {
    const shift = row === 1 ? step * aft : 0;
    bank.cylinders.forEach((cylinder, i) => {
      cylinders.set(cylinder, [sourceRoom + MARGIN + i * step * 0.96 + shift, rowY(row)]);
    });
  });
  return { cylinders, source: [46, size.heightPx * (plan.banks.length === 1 ? 0.36 : 0.5)], radiusPx };
}

/** The lead's line from its tower to a plug, hanging a little. */
export function leadPath([fromX, fromY]: Place, [toX, toY]: Place, spread: number): string {
  const middle = (fromX + toX) / 2;
  return `M${fromX} ${fromY}C${middle} ${fromY + spread} ${middle} ${toY - spread} ${toX} ${toY}`;
}

const CAP_RADIUS = 30;

/** Where each way's lead leaves: its tower on the cap, or its place in the pack's row. */
export function towerPlaces({ source: [x, y] }: PlanLayout, drawing: DrawingOf<'lead-set'>): Map<string, Place> {
  const places = new Map<string, Place>();
  const ways = drawing.routes?.filter(({ to }) => to !== 'coil') ?? [];
  ways.forEach(({ to }, i) => {
    const angle = drawing.towers?.find(({ cylinder }) => String(cylinder) === to)?.angleDeg;
    if (angle !== undefined) {
      const turn = ((angle - 90) * Math.PI) / 180;
      places.set(to, [x + (CAP_RADIUS - 8) * Math.cos(turn), y + (CAP_RADIUS - 8) * Math.sin(turn)]);
    } else {
      places.set(to, [x + 14, y + (i - (ways.length - 1) / 2) * Math.min(16, 90 / Math.max(1, ways.length))]);
    }
  });
  return places;
}
