/** What a device plugged into the counter says: a value in its own unit, or that it is not there. */
export type DeviceState =
  | {
      readonly kind: 'reading';
      readonly value: number;
      readonly unit: 'mm' | 'kΩ' | 'Ω' | 'g';
      readonly steady: boolean;
    }
  | { readonly kind: 'gone'; readonly why: string };

/** A gauge, ohmmeter or scale. A real one is put in this place; `watch` calls back for every value it sends. */
export interface MeasuringDevice {
  readonly name: string;
  readonly simulated: boolean;
  /** Returns what stops it. */
  watch(onState: (state: DeviceState) => void): () => void;
}

/** What is laid into a simulated device: no real one needs to be told. */
export interface Laid {
  readonly quantity: string;
  /** What such a part has; the simulated piece lies about it. */
  readonly nominal: number;
  readonly batchCode: string;
  readonly piece: number;
}

export interface SimulatedDevice extends MeasuringDevice {
  /** Whether somebody has pulled its plug. */
  readonly plugged: boolean;
  lay(piece: Laid): void;
  unplug(): void;
  plugIn(): void;
}

/** Batches of which the simulated pieces are off, by quantity: how far each piece in turn lies from what it should be. */
const OFF: Readonly<Record<string, Readonly<Record<string, readonly number[]>>>> = {
  F40431: { gapMm: [-0.12, 0.09, -0.03, 0.16], resistorKohm: [2.1, -1.8, 3] },
  T2611015: { weightG: [-5.2, -4.7] },
};

/** Scatter of sound pieces and of the device's last digit. */
const SCATTER: Readonly<Record<string, { readonly piece: number; readonly jitter: number }>> = {
  gapMm: { piece: 0.018, jitter: 0.004 },
  reachMm: { piece: 0.08, jitter: 0.02 },
  lengthMm: { piece: 0.2, jitter: 0.03 },
  hexMm: { piece: 0.05, jitter: 0.02 },
  threadMm: { piece: 0.06, jitter: 0.02 },
  resistorKohm: { piece: 0.25, jitter: 0.02 },
  weightG: { piece: 0.5, jitter: 0.04 },
  primaryOhm: { piece: 0.015, jitter: 0.004 },
};

/** A number between −1 and 1 that is always the same for the same words. */
function chanceOf(words: string): number {
  let hash = 2166136261;
  for (const ch of words) hash = Math.imul(hash ^ ch.codePointAt(0)!, 16777619);
  return ((hash >>> 0) / 2 ** 31 - 1) * 0.999;
}

const EVERY_MS = 180;
/** Values after something new is laid in until it settles. */
const UNSTEADY = 3;
/** A simulated lead works loose after this many values, and is back by itself. */
const LOOSE_AFTER = 400;
const LOOSE_FOR = 12;

/** A simulated device: streams values with a jitter, loses its lead now and then, and can be unplugged by hand. */
export function simulatedDevice(kind: 'gauge' | 'ohmmeter' | 'scale'): SimulatedDevice {
  let laid: Laid | undefined;
  let [since, count] = [0, 0];
  let plugged = true;
  const say = (): DeviceState => {
    count += 1;
    since += 1;
    const loose = count % (LOOSE_AFTER + LOOSE_FOR) > LOOSE_AFTER;
    if (!plugged || loose) return { kind: 'gone', why: plugged ? 'its lead is loose' : 'it is unplugged' };
    if (!laid) return { kind: 'gone', why: 'nothing is laid in it' };
    const { quantity, nominal, batchCode, piece } = laid;
    const code = batchCode.toUpperCase().replaceAll(/[^A-Z0-9]/g, '');
    const scatter = SCATTER[quantity] ?? { piece: 0, jitter: 0 };
    const off = OFF[code]?.[quantity];
    const own = off ? off[(piece - 1) % off.length]! : chanceOf(`${quantity} ${code} ${piece}`) * scatter.piece;
    const unsteady = since <= UNSTEADY;
    const jitter = chanceOf(`${count}`) * scatter.jitter * (unsteady ? 8 : 1);
    return { kind: 'reading', value: Math.max(0, nominal + own + jitter), unit: unitOf(quantity), steady: !unsteady };
  };
  return {
    name: `${kind} stand-in, simulated`,
    simulated: true,
    get plugged() {
      return plugged;
    },
    lay: (piece) => {
      laid = piece;
      since = 0;
    },
    unplug: () => {
      plugged = false;
    },
    plugIn: () => {
      plugged = true;
      since = 0;
    },
    watch: (onState) => {
      onState(say());
      const timer = setInterval(() => {
        onState(say());
      }, EVERY_MS);
      return () => {
        clearInterval(timer);
      };
    },
  };
}

const unitOf = (quantity: string): 'mm' | 'kΩ' | 'Ω' | 'g' =>
  quantity === 'weightG' ? 'g' : quantity === 'resistorKohm' ? 'kΩ' : quantity === 'primaryOhm' ? 'Ω' : 'mm';
