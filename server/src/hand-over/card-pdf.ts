import type { HandOver } from '@brackenfell/contract/hand-over';
import { FRAGILE_WORDS } from '@brackenfell/core/kit/fragile';
import { closedOff, PHASE_WORDS, WORK_PHASES } from '@brackenfell/core/fitting-plan/steps';
import { printWhole } from '@brackenfell/core/words/moments';
import { footPages, makePdf } from '../paper/document.ts';
import { barsOf, MARGIN, Page, squareOf, TEXT, type SheetSize } from '../paper/page.ts';

export interface Printing {
  readonly size: SheetSize;
  readonly at: Date;
  readonly by: string;
  /** Where the work opens on a telephone, for who scans the card. */
  readonly address: string;
}

/** A fitting card: what goes where, how far, in which order, with boxes to tick; what nobody has verified stands on it. */
export async function printCard(card: HandOver, { size, at, by, address }: Printing): Promise<Buffer> {
  const docket = String(card.docket).padStart(5, '0');
  const [bars, square] = await Promise.all([barsOf(docket), squareOf(address)]);
  const margin = MARGIN[size];
  return makePdf({ size, margin, title: `Fitting card ${docket}` }, (doc) => {
    const page = new Page(doc, margin, TEXT[size]);
    page.head({
      title: 'Fitting card',
      docket,
      bars,
      square,
      made: `${printWhole(at.toISOString())}, ${by}`,
      subject: card.engine,
      whose: [card.customer, card.vehicle, card.cameFor].filter(Boolean).join(', '),
    });
    for (const { printed, why } of card.doNotFit) page.bold(`Do not fit ${printed}: ${why}`);
    for (const line of card.fitted) fitted(page, line);
    if (card.otherLines.length > 0) {
      page.section('Also on the slip');
      for (const { quantity, printed, maker } of card.otherLines) page.text(`${quantity} × ${printed}, ${maker}`);
    }
    if (card.access.length > 0) page.section('The way to it');
    for (const says of card.access) page.text(says);
    const [first] = card.fitted;
    for (const line of card.fitted) {
      if (line !== first && line.steps.length > 0) page.section(`Otherwise for ${line.printed}`);
      work(page, line);
    }
    page.section('Take care');
    for (const caution of card.cautions) page.text(caution);
    if (first && first.kit.length > 0) {
      page.section('Kit');
      for (const { what, why } of first.kit) page.text(`${what}. ${why}`);
    }
    handled(page, card);
    for (const { printed, steps, ticks } of card.fitted) {
      const { done, of } = closedOff(steps, (id) => ticks.some(({ stepId }) => stepId === id));
      if (of > 0)
        page.bold(
          done === of
            ? `${printed} closed off.`
            : `${printed} not closed off: ${done} of ${of} ticked. The card is complete once all are.`,
        );
    }
    page.section('Not verified');
    if (card.notVerified.length === 0) page.text('Nothing is open on the slip; what is not ticked above was not done.');
    for (const says of card.notVerified) page.text(says);
    page.section('Fitted by, distance or hours, date');
    doc.moveDown(1.4);
    page.rule();
    footPages(doc, margin, (number, of) => `Fitting card ${docket}   ${number} of ${of}`);
  });
}

function fitted(page: Page, { printed, maker, quantity, isOwn, figures, gaps }: HandOver['fitted'][number]): void {
  page.part(quantity, printed, `${maker}${isOwn ? ', the customer’s own: not ours, no warranty' : ''}`);
  for (const { at, what, says, source } of figures)
    page.bold(`${what}${at === 'all' ? '' : ` at ${at}`}: ${says} (${source})`);
  if (gaps.length > 0)
    page.text(`Gaps: ${gaps.map(({ piece, place, says }) => `${piece} at ${place}: ${says}`).join('; ')}.`);
}

/** What goes on each place, what comes off on the way, what may break; what is only within reach is on no paper. */
function handled(page: Page, { fitted: [first], fasteners, fragile, bared }: HandOver): void {
  const lists = [
    ['Lubricant by place', (first?.lubricants ?? []).map(({ place, says, who }) => `${place}: ${says} (${who})`)],
    ['Fasteners', fasteners.map(({ what, says }) => `${what}. ${says}`)],
    ['What may break', fragile.map(({ says, advice, why }) => `${FRAGILE_WORDS[advice]}. ${says} ${why}`)],
    [
      'While it is apart',
      bared.filter(({ standing }) => standing !== 'within-reach').map(({ says, why }) => `${says} ${why}`),
    ],
  ] as const;
  for (const [title, lines] of lists) {
    if (lines.length > 0) page.section(title);
    for (const says of lines) page.text(says);
  }
}

/** Each step with its box; a question is marked as one. */
function work(page: Page, { steps, ticks }: HandOver['fitted'][number]): void {
  const done = new Set(ticks.map(({ stepId }) => stepId));
  for (const phase of WORK_PHASES) {
    const own = steps.filter((step) => step.phase === phase);
    if (own.length === 0) continue;
    page.section(PHASE_WORDS[phase]);
    for (const { id, says, caution, isQuestion } of own)
      page.box(`${isQuestion ? 'Ask: ' : ''}${says}`, caution, done.has(id));
  }
}
