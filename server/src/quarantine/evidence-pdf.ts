import { printPrice } from '@brackenfell/core/words/money';
import { printDate, printWhole } from '@brackenfell/core/words/moments';
import { BAND_WORDS } from '@brackenfell/core/authenticity/judge-piece';
import { printChance } from '@brackenfell/core/authenticity/say-conclusion';
import type { EvidencePack } from '@brackenfell/contract/evidence-pack';
import { footPages, INK, LINE, makePdf, printable, SOFT, type Doc } from '../paper/document.ts';
import { sayPiece } from './evidence-pack.ts';

type Piece = EvidencePack['inspections'][number]['pieces'][number];

const MARGIN = 48;
const money = (minor: number | null): string => (minor === null ? 'not known' : printPrice(minor));

const ANSWER_WORDS = { 'genuine-like': 'as genuine', differs: 'differs', 'cannot-see': 'cannot be seen' } as const;

/** An evidence pack on A4, to print or send. */
export const printPack = (pack: EvidencePack): Promise<Uint8Array> =>
  makePdf({ size: 'A4', margin: MARGIN, title: `Evidence on ${pack.batch.number}` }, (doc) => {
    head(doc, pack);
    for (const inspection of pack.inspections) printInspection(doc, inspection);
    if (pack.inspections.length === 0) paragraph(doc, 'No piece of this batch has been inspected.');
    heading(doc, 'What was done');
    rows(
      doc,
      pack.events.map(({ at, by, action, reason }): Row => [printWhole(at), `${action}, ${by}: ${reason}`]),
    );
    if (pack.events.length === 0) paragraph(doc, 'Nothing yet.');
    const { number, code } = pack.batch;
    footPages(doc, MARGIN, (page, of) => `Evidence, not accusation. ${number} ${code}   ${page} of ${of}`);
  });

function head(doc: Doc, { batch, statement, madeAt, madeBy, soldPieces }: EvidencePack): void {
  doc.font('strong').fontSize(18).fillColor(INK).text('Evidence pack');
  doc.font('figures').fontSize(13).text(batch.number, { continued: true }).font('text').text(`  ${batch.maker}`);
  doc.moveDown(0.5);
  rows(doc, [
    ['Batch code', batch.code === '' ? 'none on the pieces' : batch.code],
    ['Bought from', `${batch.seller} (${batch.channel}), ${money(batch.unitCostMinor)} each`],
    ['Received', `${printDate(batch.receivedAt)}, ${batch.quantity} pieces; ${soldPieces} of them sold since`],
    ['Stands as', batch.state],
    ['Made', `${printWhole(madeAt)} by ${madeBy}`],
  ]);
  doc.moveDown(0.5);
  paragraph(doc, statement);
}

function heading(doc: Doc, text: string): void {
  if (doc.y > doc.page.height - MARGIN - 90) doc.addPage();
  doc.moveDown(0.8);
  doc
    .moveTo(MARGIN, doc.y)
    .lineTo(doc.page.width - MARGIN, doc.y)
    .lineWidth(0.5)
    .strokeColor(LINE)
    .stroke();
  doc.moveDown(0.4).font('strong').fontSize(12).fillColor(INK).text(printable(text), MARGIN);
}

function paragraph(doc: Doc, text: string): void {
  doc.font('text').fontSize(9.5).fillColor(SOFT).text(printable(text), MARGIN).fillColor(INK);
}

const LABEL_WIDTH = 108;
type Row = readonly [label: string, text: string];

/** Labels with what they say beside them; a row that does not fit begins the next page whole. */
function rows(doc: Doc, pairs: readonly Row[]): void {
  if (pairs.length === 0) return;
  doc.font('text').fontSize(9.5);
  doc.table({
    position: { x: MARGIN, y: doc.y },
    columnStyles: [
      { width: LABEL_WIDTH, textColor: SOFT },
      { width: '*', textColor: INK },
    ],
    defaultStyle: { border: 0, padding: [0, 6, 1.5, 0] },
    data: pairs.map((pair) => pair.map(printable)),
  });
  doc.x = MARGIN;
}

function printInspection(doc: Doc, inspection: EvidencePack['inspections'][number]): void {
  heading(doc, `Inspection ${inspection.inspectionId}: ${BAND_WORDS[inspection.band]}`);
  rows(doc, [
    ['When and who', `${printWhole(inspection.at)}, ${inspection.by}`],
    ['Held against', `${inspection.reference}; beside it: ${inspection.referenceUsed.replace('-', ' ')}`],
    ['Before looking', printChance(inspection.priorChance)],
    ...inspection.blocks.map((block): Row => ['Blocked', block]),
    ...inspection.numbers.map(({ place, printed, says }): Row => [place, `${printed}: ${says}`]),
  ]);
  for (const piece of inspection.pieces) printPiece(doc, piece);
  doc.moveDown(0.3);
  paragraph(doc, 'Journal');
  rows(
    doc,
    inspection.journal.map(({ at, by, piece, says, device }): Row => [
      printWhole(at),
      `${sayPiece(piece)}: ${says}, ${by}${device === null ? '' : `, ${device}`}`,
    ]),
  );
}

const SCALE_WIDTH = 140;
const MOST_FACTOR = Math.log(20);

/** A piece's evidence: each bar is the factor by which the odds moved, to the right toward a fake. */
function printPiece(doc: Doc, piece: Piece): void {
  if (doc.y > doc.page.height - MARGIN - 40 - piece.steps.length * 14) doc.addPage();
  doc.moveDown(0.5).font('strong').fontSize(10.5).fillColor(INK);
  doc.text(`Piece ${piece.piece}: ${BAND_WORDS[piece.band]}, ${printChance(piece.chance)}`, MARGIN);
  const middle = MARGIN + 240 + SCALE_WIDTH / 2;
  for (const { title, factor, capped, chanceAfter } of piece.steps) {
    const top = doc.y + 1;
    doc
      .font('text')
      .fontSize(9)
      .fillColor(INK)
      .text(printable(title), MARGIN + 8, top, { width: 230, lineBreak: false });
    const reach = (Math.max(-MOST_FACTOR, Math.min(MOST_FACTOR, Math.log(factor))) / MOST_FACTOR) * (SCALE_WIDTH / 2);
    doc
      .moveTo(middle, top - 1)
      .lineTo(middle, top + 11)
      .lineWidth(0.5)
      .strokeColor(LINE)
      .stroke();
    doc.rect(Math.min(middle, middle + reach), top + 1, Math.max(0.8, Math.abs(reach)), 8);
    if (reach > 0) doc.fillColor(INK).fill();
    else doc.lineWidth(0.8).strokeColor(INK).stroke();
    const said =
      Math.abs(factor - 1) < 1e-9 ? '' : factor >= 1 ? `x ${factor.toFixed(1)}` : `/ ${(1 / factor).toFixed(1)}`;
    doc.font('figures').fontSize(8.5).fillColor(SOFT);
    doc.text(`${said}${capped ? ' capped' : ''}`.trim(), middle + SCALE_WIDTH / 2 + 6, top, {
      width: 80,
      lineBreak: false,
    });
    doc.text(printChance(chanceAfter), doc.page.width - MARGIN - 60, top, {
      width: 60,
      align: 'right',
      lineBreak: false,
    });
    doc.x = MARGIN;
    doc.y = top + 13;
  }
  rows(doc, [
    ...piece.tells.map(({ title, answer, genuine, suspect }): Row => [
      title,
      `${ANSWER_WORDS[answer]} (genuine: ${genuine}; suspect: ${suspect})`,
    ]),
    ...piece.readings.map(({ label, value, unit, expected }): Row => [
      label,
      `${value} ${unit}${expected === null ? '' : `, the catalogue says ${expected}`}`,
    ]),
  ]);
}
