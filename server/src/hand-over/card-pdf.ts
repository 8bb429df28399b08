import bwipjs from 'bwip-js/node';
import type { HandOver, PaperView } from '@brackenfell/contract/hand-over';
import { PHASE_WORDS, WORK_PHASES } from '@brackenfell/core/fitting-plan/fitting-plan';
import { printWhole } from '@brackenfell/core/words/moments';
import { footPages, INK, LINE, makePdf, printable, SOFT, type Doc } from '../paper/document.ts';

interface Printing {
  readonly size: PaperView['size'];
  readonly at: Date;
  readonly by: string;
  /** Where the slip opens, for who scans the card. */
  readonly address: string;
}

const MARGIN = { A5: 24, A4: 42 } as const;
/** Letters of the running text; a card is read at arm's length. */
const TEXT = { A5: 8.5, A4: 10 } as const;
/** Modules of 300 dpi print: a barcode a reader can trust. */
const BARCODE = { scale: 3, height: 9, includetext: false } as const;

/** A fitting card: what goes where, how far, in which order, with boxes to tick; what nobody has verified stands on it. */
export async function printCard(card: HandOver, { size, at, by, address }: Printing): Promise<Buffer> {
  const docket = String(card.docket).padStart(5, '0');
  const [bars, square] = await Promise.all([
    bwipjs.toBuffer({ bcid: 'code128', text: docket, ...BARCODE }),
    bwipjs.toBuffer({ bcid: 'qrcode', text: address, scale: 3 }),
  ]);
  const margin = MARGIN[size];
  return makePdf({ size, margin, title: `Fitting card ${docket}` }, (doc) => {
    const page = new CardPage(doc, margin, TEXT[size]);
    page.head(card, docket, bars, square, `${printWhole(at.toISOString())}, ${by}`);
    for (const { printed, why } of card.doNotFit) page.bold(`Do not fit ${printed}: ${why}`);
    for (const line of card.fitted) page.fitted(line);
    if (card.otherLines.length > 0) {
      page.section('Also on the slip');
      for (const { quantity, printed, maker } of card.otherLines) page.text(`${quantity} × ${printed}, ${maker}`);
    }
    if (card.access.length > 0) page.section('The way to it');
    for (const says of card.access) page.text(says);
    const [first] = card.fitted;
    if (first) page.work(first);
    page.section('Take care');
    for (const caution of card.cautions) page.text(caution);
    if (first && first.kit.length > 0) {
      page.section('Kit');
      for (const { what, why } of first.kit) page.text(`${what}. ${why}`);
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

/** Writes a card from top to bottom; what does not fit begins the next page. */
class CardPage {
  readonly #doc: Doc;
  readonly #margin: number;
  readonly #size: number;

  constructor(doc: Doc, margin: number, size: number) {
    this.#doc = doc;
    this.#margin = margin;
    this.#size = size;
  }

  get #width(): number {
    return this.#doc.page.width - 2 * this.#margin;
  }

  head(card: HandOver, docket: string, bars: Buffer, square: Buffer, made: string): void {
    const [doc, margin] = [this.#doc, this.#margin];
    const right = doc.page.width - margin;
    doc.image(bars, right - 92, margin, { width: 92, height: 26 });
    doc.image(square, right - 150, margin - 2, { width: 50 });
    doc
      .font('figures')
      .fontSize(9)
      .fillColor(INK)
      .text(docket, right - 92, margin + 29, { width: 92, align: 'center' });
    doc
      .font('strong')
      .fontSize(this.#size + 5)
      .text('Fitting card', margin, margin, { width: this.#width - 160 });
    doc
      .font('text')
      .fontSize(this.#size)
      .fillColor(SOFT)
      .text(made, { width: this.#width - 160 });
    doc
      .font('strong')
      .fontSize(this.#size + 3)
      .fillColor(INK)
      .text(printable(card.engine), { width: this.#width - 160 });
    const whose = [card.customer, card.vehicle, card.cameFor].filter(Boolean).join(', ');
    doc.y = Math.max(doc.y, margin + 54);
    if (whose !== '') this.text(whose);
    this.rule();
  }

  rule(): void {
    const [doc, margin] = [this.#doc, this.#margin];
    doc
      .moveTo(margin, doc.y + 2)
      .lineTo(doc.page.width - margin, doc.y + 2)
      .lineWidth(0.5)
      .strokeColor(LINE)
      .stroke();
    doc.y += 5;
    doc.x = margin;
  }

  section(title: string): void {
    if (this.#doc.y > this.#doc.page.height - this.#margin - 48) this.#doc.addPage();
    this.rule();
    this.#doc
      .font('strong')
      .fontSize(this.#size + 1)
      .fillColor(INK)
      .text(title, this.#margin);
  }

  text(says: string): void {
    this.#doc
      .font('text')
      .fontSize(this.#size)
      .fillColor(INK)
      .text(printable(says), this.#margin, this.#doc.y, { width: this.#width });
  }

  bold(says: string): void {
    this.#doc
      .font('strong')
      .fontSize(this.#size + 1)
      .fillColor(INK)
      .text(printable(says), this.#margin, this.#doc.y, { width: this.#width });
  }

  fitted({ printed, maker, quantity, isOwn, figures, gaps }: HandOver['fitted'][number]): void {
    const doc = this.#doc;
    doc
      .font('figures')
      .fontSize(this.#size + 4)
      .fillColor(INK)
      .text(`${quantity} × ${printed}`, this.#margin, doc.y + 2, { continued: true });
    doc
      .font('text')
      .fontSize(this.#size)
      .text(printable(`  ${maker}${isOwn ? ', the customer’s own: not ours, no warranty' : ''}`));
    doc.y += 3;
    for (const { at, what, says, source } of figures)
      this.bold(`${what}${at === 'all' ? '' : ` at ${at}`}: ${says} (${source})`);
    this.text(`Gaps: ${gaps.map(({ piece, place, says }) => `${piece} at ${place}: ${says}`).join('; ')}.`);
  }

  /** Each step with its box; a question is marked as one. */
  work({ steps, ticks }: HandOver['fitted'][number]): void {
    const done = new Set(ticks.map(({ stepId }) => stepId));
    for (const phase of WORK_PHASES) {
      const own = steps.filter((step) => step.phase === phase);
      if (own.length === 0) continue;
      this.section(PHASE_WORDS[phase]);
      for (const { id, says, caution, isQuestion } of own)
        this.#box(`${isQuestion ? 'Ask: ' : ''}${says}`, caution, done.has(id));
    }
  }

  #box(says: string, isStrong: boolean, isDone: boolean): void {
    const [doc, margin, side] = [this.#doc, this.#margin, this.#size];
    const indent = side + 6;
    doc.font(isStrong ? 'strong' : 'text').fontSize(this.#size);
    const height = doc.heightOfString(printable(says), { width: this.#width - indent });
    if (doc.y + height > doc.page.height - margin - 12) doc.addPage();
    const top = doc.y;
    doc
      .rect(margin, top + 1, side, side)
      .lineWidth(0.8)
      .strokeColor(INK)
      .stroke();
    if (isDone)
      doc
        .moveTo(margin, top + 1)
        .lineTo(margin + side, top + 1 + side)
        .moveTo(margin + side, top + 1)
        .lineTo(margin, top + 1 + side)
        .stroke();
    doc.fillColor(INK).text(printable(says), margin + indent, top, { width: this.#width - indent });
    doc.x = margin;
    doc.y = Math.max(doc.y, top + side + 2) + 1.5;
  }
}
