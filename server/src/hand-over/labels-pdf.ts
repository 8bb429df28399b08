import { formatQuantity, type UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import { sayRoute } from '@brackenfell/core/leads/say-route';
import type { Lead, LeadRoute } from '@brackenfell/core/facts/lead-facts';
import { INK, makePdf, printable, SOFT, type Doc } from '../paper/document.ts';
import { barsOf } from '../paper/page.ts';

const MM = 72 / 25.4;
/** A label that wraps a lead: its ends stick to each other as a flag, read from either side. */
const LEAD_LABEL = [70 * MM, 16 * MM] as const;
const PART_LABEL = [62 * MM, 29 * MM] as const;
const PAD = 2 * MM;

/** Words made smaller until they fit their width: a label cuts nothing off. */
function fitted(doc: Doc, face: string, text: string, most: number, x: number, y: number, width: number): void {
  let size = most;
  doc.font(face).fontSize(size);
  while (size > 5 && doc.widthOfString(text) > width) doc.fontSize((size -= 0.5));
  doc.fillColor(INK).text(text, x, y, { width, lineBreak: doc.widthOfString(text) > width });
}

export interface LeadLabel {
  readonly route: LeadRoute;
  readonly lead: Lead | undefined;
}

/** Labels to wrap round leads, one a page: place and length at both ends, told the same to whoever reads either side. */
export function printLeadLabels(labels: readonly LeadLabel[], docket: string, units: UnitDisplay): Promise<Buffer> {
  const [width, height] = LEAD_LABEL;
  const half = width / 2;
  return makePdf({ size: [width, height], margin: 0, title: `Lead labels ${docket}` }, (doc) => {
    for (const [i, { route, lead }] of labels.entries()) {
      if (i > 0) doc.addPage();
      for (const left of [0, half]) {
        fitted(doc, 'figures', route.to === 'coil' ? 'C' : route.to, 20, left + PAD, PAD, 14 * MM);
        fitted(doc, 'strong', printable(sayRoute(route)), 8, left + 15 * MM, PAD, half - 17 * MM);
        const length = lead ? formatQuantity('lead-length', lead.lengthMm, lead.lengthMm, units) : 'no lead for it';
        fitted(doc, 'figures', printable(length), 7, left + 15 * MM, PAD + 11, half - 17 * MM);
        doc
          .font('text')
          .fontSize(5.5)
          .fillColor(SOFT)
          .text(docket, left + 15 * MM, PAD + 22, { width: half - 17 * MM, lineBreak: false });
      }
      // Folded here, round the lead.
      doc.moveTo(half, 0).lineTo(half, height).lineWidth(0.4).dash(2, { space: 2 }).strokeColor(SOFT).stroke().undash();
    }
  });
}

export interface PartLabel {
  readonly printed: string;
  readonly maker: string;
  /** What tells it apart on the shelf, in few words. */
  readonly about: string;
  readonly copies: number;
}

/** Labels for a shelf or a part, one a page: number in figures and as Code 128, maker and what tells it apart. */
export async function printPartLabels(labels: readonly PartLabel[]): Promise<Buffer> {
  const [width, height] = PART_LABEL;
  const bars = await Promise.all(labels.map(({ printed }) => barsOf(printed)));
  return makePdf({ size: [width, height], margin: 0, title: 'Part labels' }, (doc) => {
    let isFirst = true;
    for (const [i, { printed, maker, about, copies }] of labels.entries())
      for (let copy = 0; copy < copies; copy += 1) {
        if (!isFirst) doc.addPage();
        isFirst = false;
        fitted(doc, 'figures', printed, 15, PAD, PAD, width - 2 * PAD);
        fitted(doc, 'strong', printable(maker), 8, PAD, PAD + 19, width - 2 * PAD);
        fitted(doc, 'text', printable(about), 7, PAD, PAD + 30, width - 2 * PAD);
        doc.image(bars[i]!, PAD, height - PAD - 26, { width: width - 2 * PAD, height: 26 });
      }
  });
}
