import type { Connector } from '@brackenfell/core/facts/coil-facts';

export interface ConnectorFace {
  /** Closed outline of the face, as a path. */
  readonly outline: string;
  /** Notches of the keys: x, y, width, height. */
  readonly keys: readonly (readonly [x: number, y: number, width: number, height: number])[];
  readonly pins: readonly (readonly [x: number, y: number])[];
}

/** The face is drawn in a field of this size. */
export const FACE_WIDTH = 44;
export const FACE_HEIGHT = 28;

const box = (width: number, height: number, corner: number): string => {
  const [x, y] = [(FACE_WIDTH - width) / 2, (FACE_HEIGHT - height) / 2];
  return (
    `M${x + corner} ${y}h${width - 2 * corner}a${corner} ${corner} 0 0 1 ${corner} ${corner}v${height - 2 * corner}` +
    `a${corner} ${corner} 0 0 1 ${-corner} ${corner}h${2 * corner - width}a${corner} ${corner} 0 0 1 ${-corner} ${-corner}` +
    `v${2 * corner - height}a${corner} ${corner} 0 0 1 ${corner} ${-corner}z`
  );
};

const FORMS = { flat: [38, 14, 2], oval: [36, 20, 9.9], square: [24, 24, 2] } as const;
const KEY = 4;

/** A connector seen from the front: its outline, where its keys stand, and its pins side by side. */
export function connectorFace(connector: Connector, pins: number): ConnectorFace {
  const count = Math.max(1, Math.min(8, pins));
  if (connector === 'screws') {
    const step = Math.min(16, 36 / count);
    const at = (i: number) => FACE_WIDTH / 2 + (i - (count - 1) / 2) * step;
    return {
      outline: box(40, 22, 3),
      keys: [],
      pins: Array.from({ length: count }, (_, i) => [at(i), FACE_HEIGHT / 2] as const),
    };
  }
  const [form, where] = connector.split('-') as ['flat' | 'oval' | 'square', string];
  const [width, height, corner] = FORMS[form];
  const [left, top] = [(FACE_WIDTH - width) / 2, (FACE_HEIGHT - height) / 2];
  const middle = FACE_HEIGHT / 2 - KEY / 2;
  const keys: Readonly<Record<string, ConnectorFace['keys']>> = {
    left: [[left - 2, middle, KEY, KEY]],
    right: [[left + width - 2, middle, KEY, KEY]],
    twin: [
      [left + 6, top - 2, KEY, KEY],
      [left + width - 10, top - 2, KEY, KEY],
    ],
    top: [[FACE_WIDTH / 2 - KEY / 2, top - 2, KEY, KEY]],
    corner: [[left + width - 5, top - 1, 6, 6]],
  };
  const step = Math.min(8, (width - 8) / count);
  const at = (i: number) => FACE_WIDTH / 2 + (i - (count - 1) / 2) * step;
  return {
    outline: box(width, height, corner),
    keys: keys[where] ?? [],
    pins: Array.from({ length: count }, (_, i) => [at(i), FACE_HEIGHT / 2 + 1] as const),
  };
}
