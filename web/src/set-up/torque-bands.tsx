import { CONDITION_WORDS } from '@brackenfell/core/facts/torque-statements';
import type { Say } from '@brackenfell/core/fitment/say';
import type { TorqueDesk, TorqueSource } from '@brackenfell/core/torque/torque-desk';
import { Mark } from '../controls/mark.tsx';
import { torqueScale } from './torque-geometry.ts';

const METAL_WORDS = { aluminium: 'aluminium', 'cast-iron': 'iron' } as const;

const spanOf = ({ lowNm, highNm }: TorqueSource['statement']) => ({ low: lowNm, high: highNm });

/** Every source of a torque as a band on one axis, with the answer across them. */
export function TorqueBands({ desk, say }: { readonly desk: TorqueDesk; readonly say: Say }) {
  const { sources, answer } = desk;
  const scale = torqueScale([...sources.map(({ statement }) => statement), ...(answer ? [answer] : [])]);
  const says = sources
    .map(
      ({ name, statement, counts }) =>
        `${name}: ${say.span('plug-torque', spanOf(statement))}, ${CONDITION_WORDS[statement.condition]}${counts ? '' : ', set aside'}`,
    )
    .join('. ');
  return (
    <div className="torque-bands">
      <p className="sr-only">{says}.</p>
      <ul className="contents" aria-hidden="true">
        {sources.map((source, i) => {
          const { name, statement, metal, counts } = source;
          const [from, to] = [scale.at(statement.lowNm), scale.at(statement.highNm)];
          return (
            <li key={`${name} ${i}`} className="contents">
              <span className={`flex items-center gap-1 ${counts ? '' : 'text-soft'}`}>
                <Mark kind={counts ? 'match-small' : 'not-asked'} rem={0.625} />
                <span className="truncate" title={name}>
                  {name}
                  {metal && `, ${METAL_WORDS[metal]}`}
                  {statement.dated && <span className="num"> {statement.dated}</span>}
                </span>
              </span>
              <span className={`num text-right text-xs ${counts ? '' : 'text-soft line-through'}`}>
                {say.span('plug-torque', spanOf(statement))}
              </span>
              <svg viewBox="0 0 100 14" preserveAspectRatio="none" className="col-span-2 h-3.5 w-full">
                {answer && (
                  <rect
                    x={scale.at(answer.lowNm)}
                    width={Math.max(0.4, scale.at(answer.highNm) - scale.at(answer.lowNm))}
                    y="0"
                    height="14"
                    className="fill-lichen-wash"
                  />
                )}
                <rect
                  x={from}
                  width={Math.max(0.8, to - from)}
                  y="3"
                  height="8"
                  className={counts ? 'fill-lichen' : 'fill-line'}
                  opacity={counts ? 1 : 0.55}
                />
                {statement.nominalNm !== undefined && (
                  <path
                    d={`M${scale.at(statement.nominalNm)} 1V13`}
                    className="stroke-peat"
                    strokeWidth="2"
                    vectorEffect="non-scaling-stroke"
                  />
                )}
                {answer && (
                  <path
                    d={`M${scale.at(answer.aimNm)} 0V14`}
                    className="stroke-bracken"
                    strokeWidth="1.5"
                    vectorEffect="non-scaling-stroke"
                  />
                )}
              </svg>
            </li>
          );
        })}
      </ul>
      <div className="contents" aria-hidden="true">
        <span className="relative col-span-2 block h-7 border-t border-line">
          {scale.nmTicks.map((nm, i) => (
            <span
              key={nm}
              className="num absolute -translate-x-1/2 text-xs text-soft"
              style={{ left: `${scale.at(nm)}%` }}
            >
              {nm}
              {i === 0 && <span className="font-sans"> N·m</span>}
            </span>
          ))}
          {scale.lbfFtTicks.map(({ lbfFt, nm }, i) => (
            <span
              key={lbfFt}
              className="num absolute top-3 -translate-x-1/2 text-xs text-slate"
              style={{ left: `${scale.at(nm)}%` }}
            >
              {lbfFt}
              {i === 0 && <span className="font-sans"> lbf·ft</span>}
            </span>
          ))}
        </span>
      </div>
    </div>
  );
}
