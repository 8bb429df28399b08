import { logOddsOf } from '@brackenfell/core/authenticity/evidence';
import { CONSISTENT_BELOW, SUSPECT_FROM, type PieceJudgement } from '@brackenfell/core/authenticity/judge-piece';

/** Chances that the axis names, in hundredths. */
const TICKS = [0.2, 1, 5, 20, 50, 80, 95, 99] as const;
const [LEFT, RIGHT] = [0.0015, 0.998];

export interface Bar {
  readonly id: string;
  readonly title: string;
  readonly fromPx: number;
  readonly toPx: number;
  /** How far it moved the chance, in a word. */
  readonly says: string;
  /** `×9.2` or `÷1.6`; a dash where nothing was moved. */
  readonly factor: string;
  readonly capped: boolean;
  readonly towards: 'fake' | 'genuine' | 'neither';
}

export interface Waterfall {
  readonly bars: readonly Bar[];
  readonly startPx: number;
  readonly nowPx: number;
  readonly ticks: readonly { readonly label: string; readonly px: number }[];
  /** Where the bands of consistent and suspect begin and end. */
  readonly consistentTo: number;
  readonly suspectFrom: number;
  readonly at: (chance: number) => number;
}

/** From these factors of the odds on, an observation speaks clearly, and strongly. */
const [CLEARLY, STRONGLY] = [Math.log(2.5), Math.log(8)];

/** How far an observation moved the chance, as one says it at the counter. */
export function sayMove(logRatio: number): string {
  const size = Math.abs(logRatio);
  if (size < 1e-9) return '–';
  return size >= STRONGLY - 1e-9 ? 'strongly' : size >= CLEARLY - 1e-9 ? 'clearly' : 'slightly';
}

/** A factor of the odds as it is told. */
export function printFactor(logRatio: number): string {
  if (Math.abs(logRatio) < 1e-9) return '–';
  const factor = Math.exp(Math.abs(logRatio));
  return `${logRatio > 0 ? '×' : '÷'}${factor >= 9.95 ? factor.toFixed(0) : factor.toFixed(1)}`;
}

/**
 * The evidence of one piece on a log-odds axis `widthPx` wide: every bar moves the chance, to the right toward a fake.
 * `channel` and `prior` are the chances before and with the seller's own record.
 */
export function waterfall(
  judgement: Pick<PieceJudgement, 'steps' | 'logOdds'>,
  { channel, prior }: { channel: number; prior: number },
  widthPx: number,
): Waterfall {
  const [left, right] = [logOddsOf(LEFT), logOddsOf(RIGHT)];
  const px = (logOdds: number) =>
    Number((Math.max(0, Math.min(1, (logOdds - left) / (right - left))) * widthPx).toFixed(1));
  const bar = (id: string, title: string, from: number, moved: number, capped: boolean): Bar => ({
    id,
    title,
    fromPx: px(from),
    toPx: px(from + moved),
    says: sayMove(moved),
    factor: printFactor(moved),
    capped,
    towards: Math.abs(moved) < 1e-9 ? 'neither' : moved > 0 ? 'fake' : 'genuine',
  });
  return {
    bars: [
      bar('record', 'record', logOddsOf(channel), logOddsOf(prior) - logOddsOf(channel), false),
      ...judgement.steps.map((step) =>
        bar(step.id, step.title, step.logOddsAfter - step.moved, step.moved, step.capped),
      ),
    ],
    startPx: px(logOddsOf(channel)),
    nowPx: px(judgement.logOdds),
    ticks: TICKS.map((percent) => ({ label: String(percent), px: px(logOddsOf(percent / 100)) })),
    consistentTo: px(logOddsOf(CONSISTENT_BELOW)),
    suspectFrom: px(logOddsOf(SUSPECT_FROM)),
    at: (chance) => px(logOddsOf(chance)),
  };
}
