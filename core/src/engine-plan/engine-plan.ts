/** Cylinders in a row, from the engine's front to its rear, as the fitter sees them. */
export interface Bank {
  readonly label: string;
  readonly cylinders: readonly number[];
}

/** How an engine's cylinders stand, how they are numbered and in which order they fire. Data per engine. */
export interface EnginePlan {
  /** One row, or the left and the right bank as seen from the driver's seat. */
  readonly banks: readonly Bank[];
  readonly firingOrder: readonly number[];
  /** Which way a distributor's rotor turns, seen from above. */
  readonly rotation?: 'clockwise' | 'anticlockwise' | undefined;
}

/**
 * Cylinders that fire together on a waste-spark pack: half the firing order apart. Old parts: Misfire codes.
 * @throws RangeError for an odd number of cylinders, which cannot be paired.
 */
export function wasteSparkPairs(firingOrder: readonly number[]): readonly (readonly [number, number])[] {
  if (firingOrder.length % 2 !== 0) throw new RangeError('An odd number of cylinders has no waste-spark pairs.');
  const half = firingOrder.length / 2;
  return firingOrder.slice(0, half).map((cylinder, i) => [cylinder, firingOrder[i + half]!] as const);
}

/** Whether two cylinders stand side by side in one bank. */
export function areNeighbours({ banks }: EnginePlan, one: number, other: number): boolean {
  return banks.some(({ cylinders }) => {
    const [a, b] = [cylinders.indexOf(one), cylinders.indexOf(other)];
    return a >= 0 && b >= 0 && Math.abs(a - b) === 1;
  });
}

export interface CapTower {
  readonly cylinder: number;
  /** Clockwise from the top, seen from above. */
  readonly angleDeg: number;
}

const FULL_TURN_DEG = 360;

/** Where each cylinder's lead stands on a distributor cap: the firing order in the rotor's way round, from the first tower. */
export function capTowers({ firingOrder, rotation }: EnginePlan, indexDeg: number): readonly CapTower[] {
  const step = FULL_TURN_DEG / firingOrder.length;
  const way = rotation === 'anticlockwise' ? -1 : 1;
  return firingOrder.map((cylinder, i) => ({
    cylinder,
    angleDeg: (((indexDeg + way * i * step) % FULL_TURN_DEG) + FULL_TURN_DEG) % FULL_TURN_DEG,
  }));
}
