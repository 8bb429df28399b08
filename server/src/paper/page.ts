import { INK, LINE, printable, SOFT, type Doc } from './document.ts';

/** Modules of 300 dpi print: a barcode a reader can trust. */
const BARCODE = { scale: 3, height: 9, includetext: false } as const;

/** Fetched with the first paper: a server starts without it. */
const coder = () => import('bwip-js/node');
export const barsOf = async (text: string): Promise<Buffer> =>
  (await coder()).toBuffer({ bcid: 'code128', text, ...BARCODE });
export const squareOf = async (address: string): Promise<Buffer> =>
  (await coder()).toBuffer({ bcid: 'qrcode', text: address, scale: 3 });

export type SheetSize = 'A5' | 'A4';
export const MARGIN: Readonly<Record<SheetSize, number>> = { A5: 24, A4: 42 };
/** Letters of the running text; paper is read at arm's length. */
export const TEXT: Readonly<Record<SheetSize, number>> = { A5: 8.5, A4: 10 };

export interface Head {
  readonly title: string;
  readonly docket: string;
  readonly bars: Buffer;
  readonly square: Buffer;
  /** When and by whom it was made. */
  readonly made: string;
  readonly subject: string;
  readonly whose: string;
}

/** Writes a sheet from top to bottom; what does not fit begins the next page. */
export class Page {
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

  head({ title, docket, bars, square, made, subject, whose }: Head): void {
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
      .text(printable(title), margin, margin, { width: this.#width - 160 });
    doc
      .font('text')
      .fontSize(this.#size)
      .fillColor(SOFT)
      .text(made, { width: this.#width - 160 });
    doc
      .font('strong')
      .fontSize(this.#size + 3)
      .fillColor(INK)
      .text(printable(subject), { width: this.#width - 160 });
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

  /** A line with a box to tick; crossed where it is done. */
  box(says: string, isStrong: boolean, isDone: boolean): void {
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

  /** What and how much in a row: words at the left, a figure at the right edge. */
  row(says: string, figure: string, isStrong = false): void {
    const [doc, margin] = [this.#doc, this.#margin];
    const right = 92;
    const width = this.#width - right - 8;
    doc
      .font(isStrong ? 'strong' : 'text')
      .fontSize(this.#size)
      .fillColor(INK);
    const height = doc.heightOfString(printable(says), { width });
    if (doc.y + height > doc.page.height - margin - 12) doc.addPage();
    const top = doc.y;
    doc.text(printable(says), margin, top, { width });
    const bottom = doc.y;
    doc
      .font('figures')
      .fontSize(this.#size)
      .text(printable(figure), doc.page.width - margin - right, top, { width: right, align: 'right' });
    doc.x = margin;
    doc.y = Math.max(bottom, doc.y) + 1.5;
  }

  /** A part as it stands on a sheet: so many of it, in figures, and whose it is. */
  part(quantity: number, printed: string, maker: string): void {
    const doc = this.#doc;
    doc
      .font('figures')
      .fontSize(this.#size + 4)
      .fillColor(INK)
      .text(`${quantity} × ${printed}`, this.#margin, doc.y + 2, { continued: true });
    doc
      .font('text')
      .fontSize(this.#size)
      .text(printable(`  ${maker}`));
    doc.y += 3;
  }
}
