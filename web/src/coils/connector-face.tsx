import { CONNECTOR_WORDS } from '@brackenfell/core/coils/connector-words';
import type { Connector } from '@brackenfell/core/facts/coil-facts';
import { connectorFace, FACE_HEIGHT, FACE_WIDTH } from './connector-geometry.ts';

interface ConnectorFaceProps {
  readonly connector: Connector | null;
  readonly pins: number | null;
  readonly widthRem?: number;
  readonly differs?: boolean;
}

/** A coil's connector from the front. What is not known is dashed, never by a default. */
export function ConnectorFaceDrawing({ connector, pins, widthRem = 2.75, differs = false }: ConnectorFaceProps) {
  const words =
    connector === null
      ? 'Connector not known'
      : `Connector ${CONNECTOR_WORDS[connector]}, ${pins ?? 'unknown number of'} pins`;
  const face = connectorFace(connector ?? 'square-top', pins ?? 1);
  const ink = differs ? 'stroke-madder' : 'stroke-peat';
  return (
    <svg
      viewBox={`0 0 ${FACE_WIDTH} ${FACE_HEIGHT}`}
      style={{ width: `${widthRem}rem`, height: `${(widthRem * FACE_HEIGHT) / FACE_WIDTH}rem` }}
      role="img"
      aria-label={words}
      className="flex-none"
    >
      <path
        d={face.outline}
        className={`fill-slip ${ink}`}
        strokeWidth="1.4"
        {...(connector === null ? { strokeDasharray: '3 2' } : {})}
      />
      {connector !== null &&
        face.keys.map(([x, y, width, height], i) => (
          <rect key={i} x={x} y={y} width={width} height={height} className={differs ? 'fill-madder' : 'fill-peat'} />
        ))}
      {pins !== null &&
        face.pins.map(([x, y], i) => <circle key={i} cx={x} cy={y} r="2" className="fill-plug stroke-peat" />)}
      {pins === null && (
        <text x={FACE_WIDTH / 2} y={FACE_HEIGHT / 2 + 4} textAnchor="middle" className="fill-ash text-xs font-semibold">
          ?
        </text>
      )}
    </svg>
  );
}
