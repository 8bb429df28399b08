import { listed } from '../words/counted.ts';
import { rulingValue, type FactSheet } from '../facts/facts.ts';
import type { Say } from '../fitment/say.ts';
import type { SettledRules } from '../house-rules/settle-rules.ts';
import type { HeadMetal } from '../quantities/general-torques.ts';
import { cutFor } from '../torque/compound.ts';
import { settleTorque, type MakersTorque, type TorqueAnswer } from '../torque/settle-torque.ts';
import { sayTurn } from '../torque/settle-turn.ts';
import { torqueDesk, type CompoundHere, type TorqueVoice } from '../torque/torque-desk.ts';
import type { TorqueStatement } from '../facts/torque-statements.ts';

const METAL_WORDS: Readonly<Record<HeadMetal, string>> = { aluminium: 'aluminium head', 'cast-iron': 'iron head' };

const FROM_WORDS = {
  both: 'what engine maker and plug maker have in common',
  'engine-maker': 'the engine maker’s',
  'plug-maker': 'the plug maker’s; the engine maker’s is not known',
} as const;

const SETTLED_WORDS = { newer: 'the newer sheet', overlap: 'what its sheets share', lower: 'the lower of its sheets' };

function sayMakers(
  who: string,
  makers: MakersTorque | undefined,
  sheets: readonly TorqueStatement[],
  say: Say,
): string {
  if (!makers) return '';
  const printed = listed(sheets.map((sheet) => say.span('plug-torque', { low: sheet.lowNm, high: sheet.highNm })));
  return ` ${who} says ${printed}${makers.settledBy ? ` (${SETTLED_WORDS[makers.settledBy]} counts)` : ''}.`;
}

function sayTorque(answer: TorqueAnswer, metalWords: string, compound: CompoundHere, say: Say): string {
  const { lowNm, highNm, aimNm } = answer;
  const told = (share: number) =>
    `${say.span('plug-torque', { low: lowNm * share, high: highNm * share })}${metalWords}, aim at ${say.quantity('plug-torque', aimNm * share)}`;
  // Only a dry figure is ever cut: one that was meant with compound, or does not say, is told as it stands.
  if (compound === 'dry' || answer.condition !== 'dry') {
    const stands =
      compound === 'dry'
        ? ''
        : answer.condition === 'with-compound'
          ? ' The sheet means it with compound.'
          : ' Its sheet does not say whether dry or with compound: it is not cut.';
    return `${told(1)}, once, smoothly.${stands}`;
  }
  const cut = cutFor('anti-seize');
  return compound === 'compound'
    ? `${told(cut)}: a third less for the compound; once, smoothly.`
    : `${told(1)} dry, ${told(cut)} where compound is on, once, smoothly.`;
}

/**
 * How far a plug is tightened here: by the makers' own torques brought to one, else by the general table for the head's
 * metal; by turn where the shop does so or no wrench reaches. Torque: Turns.
 */
export function sayTightening(position: FactSheet, plug: FactSheet, settled: SettledRules, say: Say): string {
  const seat = rulingValue(plug, 'plug.seat');
  const threadMm = rulingValue(plug, 'plug.threadDiameterMm');
  if (seat === undefined || threadMm === undefined)
    return 'How far to tighten is not known: look up the plug’s thread and seat.';
  const { method, turn, compound, sources, answer } = torqueDesk(position, plug, settled);
  if (method !== 'wrench') {
    const { by, governs, beside } = turn!;
    const whose = { 'plug-maker': 'The plug maker’s', 'engine-maker': 'The engine maker’s', usual: 'The usual turn' }[
      by
    ];
    const otherwise = beside.length > 0 ? ` The engine maker says ${beside.map(sayTurn).join(', ')}.` : '';
    const why = method === 'no-wrench-reaches' ? 'No wrench reaches here, so by turn: ' : 'By turn: ';
    return `${why}${governs.map(sayTurn).join(', ')}. ${whose}.${otherwise}`;
  }
  if (!answer) return 'No general torque for this thread: the engine maker’s figure.';
  if (answer.from === 'general-table') {
    const each = sources.map(({ statement, metal }) =>
      sayTorque(settleTorque([], [], statement)!, ` in an ${METAL_WORDS[metal!]}`, compound, say),
    );
    const unknown = each.length > 1 ? ' What the head is made of is not known: take the lower.' : '';
    return `${each.join(' ')} General table.${unknown}`;
  }
  const from = FROM_WORDS[answer.from];
  const conflict = answer.conflict
    ? ' The two makers’ figures have nothing in common: the half of the engine maker’s that is nearer the plug maker’s.'
    : ` Torque is ${from}.`;
  const printedBy = (who: TorqueVoice) =>
    sources.filter((source) => source.who === who).map(({ statement }) => statement);
  const [ofEngine, ofPlug] = [printedBy('engine-maker'), printedBy('plug-maker')];
  const told =
    ofEngine.length + ofPlug.length === 1
      ? ''
      : `${sayMakers('The engine maker', answer.ofEngine, ofEngine, say)}${sayMakers('The plug maker', answer.ofPlug, ofPlug, say)}`;
  return `${sayTorque(answer, '', compound, say)}${conflict}${told}`;
}
