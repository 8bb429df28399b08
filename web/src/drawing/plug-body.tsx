import type { Outline } from './outline.ts';
import type { DrawnPlug } from './plug-outline.ts';

export function PlugBody({ drawn, path }: { drawn: DrawnPlug; path: (outline: Outline, closed?: boolean) => string }) {
  return (
    <g strokeLinejoin="round">
      {drawn.ceramic.map((outline, i) => (
        <path key={i} d={path(outline)} className="fill-slip stroke-peat" strokeWidth="1.1" />
      ))}
      {drawn.tip && <path d={path(drawn.tip)} className="fill-peat stroke-peat" />}
      {drawn.grounds.map((outline, i) => (
        <path key={i} d={path(outline)} className="fill-plug stroke-peat" strokeWidth="1.1" />
      ))}
      {drawn.groundsInFront.map((outline, i) => (
        <path key={i} d={path(outline)} className="fill-plug stroke-peat" strokeWidth="1.1" />
      ))}
      {drawn.metal.map((outline, i) => (
        <path key={i} d={path(outline)} className="fill-plug stroke-peat" strokeWidth="1.1" />
      ))}
      <path
        d={drawn.lines.map((line) => path(line, false)).join('')}
        className="stroke-peat"
        strokeWidth="0.7"
        fill="none"
        opacity="0.6"
      />
      {drawn.gasket && <path d={path(drawn.gasket)} className="fill-peat" opacity="0.82" />}
      <path
        d={drawn.dashed.map((line) => path(line, false)).join('')}
        className="stroke-ash"
        strokeWidth="1.3"
        strokeDasharray="4 3"
        fill="none"
      />
    </g>
  );
}
