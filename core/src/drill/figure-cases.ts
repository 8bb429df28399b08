import { GENERAL_TORQUES, HEAD_METALS, type TorqueRange } from '../quantities/general-torques.ts';
import type { Say } from '../fitment/say.ts';
import { fromBase } from '../quantities/units.ts';
import { formatIn, formatQuantity } from '../quantities/format-quantity.ts';
import { choicesAmong, drawn, type Draw, type DrillCase } from './drill-case.ts';

/** Hundredths of a millimetre: from the narrowest gap a plug is asked for to the widest. */
const [NARROWEST, WIDEST] = [50, 120];
const WIDTHS = [5, 10, 15, 20];
const inThou = (mm: number): number => fromBase(mm, 'thou');
/** Nobody mistakes a tenth for rounding. */
const ANOTHER_GAP = 1.1;

/** A range of thousandths moved at its ends, as it comes out where limits are rounded the wrong way or slip by one. */
const thou = (low: number, high: number): string => `${low}–${high} thou`;

/** An engine's gap in the other unit: a limit is never widened by converting. Quantities: Printing. */
export function gapUnitsCase(draw: Draw): DrillCase | undefined {
  const low = (NARROWEST + Math.floor(draw() * ((WIDEST - NARROWEST) / 5)) * 5) / 100;
  const high = low + drawn(WIDTHS, draw)! / 100;
  const asked = formatIn(low, high, 'mm');
  const right = formatQuantity('gap', low, high, 'imperial');
  const [down, up] = [Math.floor(inThou(low)), Math.ceil(inThou(high))];
  const among = choicesAmong(
    right,
    [
      thou(down, up),
      thou(down, up - 1),
      thou(down + 1, up),
      thou(Math.round(low * 100), Math.round(high * 100)),
      thou(Math.round(inThou(low * ANOTHER_GAP)), Math.round(inThou(high * ANOTHER_GAP))),
    ],
    draw,
  );
  return (
    among && {
      topic: 'gap-units',
      asks: 'The same gap in thousandths of an inch?',
      facts: [{ label: 'Asked', says: asked, isCode: true }],
      rows: [],
      ...among,
      why: [
        `One thou is 0.0254 mm: ${low.toFixed(2)} mm are ${inThou(low).toFixed(1)} thou, ${high.toFixed(2)} mm are ${inThou(high).toFixed(1)}.`,
        'The lower end goes up and the upper end down: a limit is never widened by converting.',
      ],
    }
  );
}

const METALS = { aluminium: 'aluminium', 'cast-iron': 'cast iron' } as const;

/** The general table, where nobody's own figure is known. Torque: General table. */
export function torqueCase(draw: Draw, printer: Say): DrillCase | undefined {
  const say = ({ lowNm, highNm }: TorqueRange) => printer.span('plug-torque', { low: lowNm, high: highNm });
  const row = drawn(GENERAL_TORQUES, draw)!;
  const metal = drawn(HEAD_METALS, draw)!;
  const range = metal === 'aluminium' ? row.aluminium : row.castIron;
  const all = GENERAL_TORQUES.flatMap(({ aluminium, castIron }) => [aluminium, castIron]);
  const among = choicesAmong(say(range), all.map(say), draw);
  return (
    among && {
      topic: 'torque',
      asks: 'How tight, where no maker’s own figure is known?',
      facts: [
        { label: 'Thread', says: `M${row.threadMm}, dry`, isCode: true },
        { label: 'Seat', says: row.seat === 'taper' ? 'taper' : 'flat, with a new gasket' },
        { label: 'Head', says: METALS[metal] },
      ],
      rows: [],
      ...among,
      why: [
        `The general table for M${row.threadMm} ${row.seat}: ${say(row.aluminium)} in aluminium, ${say(row.castIron)} in cast iron.`,
        row.seat === 'taper'
          ? 'A taper wedges itself tight: it takes far less than a gasket that has to be crushed.'
          : 'A maker’s own figure goes before the table, and a thread with compound on it takes less.',
      ],
    }
  );
}
