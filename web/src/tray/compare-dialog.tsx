import { useMemo } from 'react';
import type { OpenRow } from '@brackenfell/contract/open-tray';
import { VERDICT_WORDS } from '@brackenfell/core/fitment/verdict';
import { Dialog } from '../controls/dialog.tsx';
import { Mark, MARK_WORDS, VERDICT_MARK } from '../controls/mark.tsx';
import { inOurMoney, printAmount } from '@brackenfell/core/words/money';
import { drawPlug } from '../drawing/plug-outline.ts';
import { frameFor } from '../drawing/section-frame.ts';
import { Section } from '../drawing/section.tsx';
import { useSettings } from '../settings/settings.ts';

interface CompareDialogProps {
  readonly first: OpenRow;
  readonly second: OpenRow;
  readonly engine: string;
  readonly onClose: () => void;
}

const SIZE = { widthPx: 780, heightPx: 230 };

/** Two candidates in one drawing, and one list of what tells them apart. */
export function CompareDialog({ first, second, engine, onClose }: CompareDialogProps) {
  const differing = first.findings.flatMap((a, i) => {
    const b = second.findings[i]!;
    return a.outcome === b.outcome && a.told.has === b.told.has ? [] : [{ a, b }];
  });
  const same = first.findings.length - differing.length;
  return (
    <Dialog title={`${first.printed} and ${second.printed}`} about={`For the ${engine}.`} onClose={onClose} wide>
      <BothDrawn first={first} second={second} engine={engine} />
      <table className="w-full">
        <thead>
          <tr className="text-left">
            <th className="font-normal text-slate">{same} checks alike</th>
            {[first, second].map((row) => (
              <th key={row.partId} className="font-semibold">
                <span className="num">{row.printed}</span> <span className="font-normal text-soft">{row.maker}</span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          <tr className="border-t border-line">
            <th className="text-left font-normal text-slate">Verdict</th>
            {[first, second].map((row) => (
              <td key={row.partId}>
                <Mark kind={VERDICT_MARK[row.verdict]} /> {VERDICT_WORDS[row.verdict]}
              </td>
            ))}
          </tr>
          {differing.map(({ a, b }) => (
            <tr key={a.check} className="border-t border-hair align-baseline">
              <th className="text-left font-normal text-slate">{a.title}</th>
              {[a, b].map((finding, i) => (
                <td key={i}>
                  <Mark kind={finding.outcome} label={MARK_WORDS[finding.outcome]} />{' '}
                  <span className="num">{finding.told.has}</span>{' '}
                  {finding.outcome !== 'match' && <span className="text-soft">{finding.told.phrase}</span>}
                </td>
              ))}
            </tr>
          ))}
          <tr className="border-t border-line">
            <th className="text-left font-normal text-slate">{inOurMoney('£ each, here')}</th>
            {[first, second].map((row) => (
              <td key={row.partId} className="num">
                {printAmount(row.priceMinor)}, {row.onHand}
              </td>
            ))}
          </tr>
        </tbody>
      </table>
    </Dialog>
  );
}

function BothDrawn({ first, second, engine }: Omit<CompareDialogProps, 'onClose'>) {
  const { units } = useSettings();
  const [a, b, drawing] = [first.shape, second.shape, first.drawing];
  const frame = useMemo(
    () =>
      a.part === 'plug' && b.part === 'plug' && drawing.part === 'plug'
        ? frameFor([drawPlug(a), drawPlug(b)], drawing.head, SIZE)
        : null,
    [a, b, drawing],
  );
  if (a.part !== 'plug' || b.part !== 'plug' || drawing.part !== 'plug' || !frame) return null;
  return (
    <>
      <p className="section-legend">
        <span>
          <i className="swatch bg-plug" /> {first.printed}
        </span>
        <span>
          <i className="swatch" /> {second.printed}, outline
        </span>
      </p>
      <Section
        head={drawing.head}
        plug={{ printed: first.printed, shape: a }}
        oePlug={{ printed: second.printed, shape: b }}
        outlineIs={second.printed}
        engine={engine}
        frame={frame}
        size={SIZE}
        units={units}
      />
    </>
  );
}
