import type { Slip, SlipLine } from '@brackenfell/contract/slip';
import { SLIP_STATE_WORDS } from '@brackenfell/core/slip/slip-states';
import { printTax, withTax } from '@brackenfell/core/money/tax';
import { printPrice } from '@brackenfell/core/words/money';
import { printDate, printWhole } from '@brackenfell/core/words/moments';
import { footPages, makePdf } from '../paper/document.ts';
import { barsOf, MARGIN, Page, squareOf, TEXT } from '../paper/page.ts';
import type { Printing } from './card-pdf.ts';

const TITLES = { quote: 'Quote', slip: 'Slip' } as const;

/** To which day the prices hold, or that they are only today's. */
function sayPrices({ state, heldUntil, isOver }: Slip): string {
  if (state === 'quoted' && heldUntil !== null)
    return isOver
      ? `Prices held to ${printDate(heldUntil)}: past.`
      : `Prices hold to ${printDate(heldUntil)}, closing time.`;
  return state === 'collected'
    ? 'Sold at these prices.'
    : 'Prices of today, not held: give it as a quote to hold them.';
}

function sold(page: Page, line: SlipLine, taxBasisPoints: number): void {
  const { quantity, printed, maker, unitPriceMinor, positions, toTell } = line;
  page.part(quantity, printed, maker);
  if (unitPriceMinor === null) page.row('Price to be asked', '–');
  else {
    page.row(`each, with tax ${printPrice(withTax(unitPriceMinor, taxBasisPoints))}`, printPrice(unitPriceMinor));
    page.row(quantity === 1 ? 'for it' : `for all ${quantity}`, printPrice(unitPriceMinor * quantity));
  }
  if (positions.length > 0) page.text(`For ${positions.join(', ')}.`);
  for (const says of toTell) page.text(says);
}

/** What is offered or sold, line by line, with what was told of it; with tax and without, as one sum. */
export async function printSlip(
  slip: Slip,
  kind: 'quote' | 'slip',
  { size, at, by, address }: Printing,
): Promise<Buffer> {
  const docket = String(slip.docket).padStart(5, '0');
  const [bars, square] = await Promise.all([barsOf(docket), squareOf(address)]);
  const margin = MARGIN[size];
  const title = TITLES[kind];
  const refused = slip.lines.filter(({ verdict }) => verdict === 'refuse');
  const own = slip.lines.filter((line) => line.kind === 'customers-own' && line.verdict !== 'refuse');
  const forSale = slip.lines.filter((line) => line.kind === 'sale' && line.verdict !== 'refuse');
  return makePdf({ size, margin, title: `${title} ${docket}` }, (doc) => {
    const page = new Page(doc, margin, TEXT[size]);
    page.head({
      title,
      docket,
      bars,
      square,
      made: `${printWhole(at.toISOString())}, ${by}`,
      subject: slip.engine ?? 'No engine yet',
      whose: [slip.customer, slip.phone, slip.vehicle, slip.cameFor].filter(Boolean).join(', '),
    });
    page.bold(kind === 'quote' ? sayPrices(slip) : `This slip is ${SLIP_STATE_WORDS[slip.state]}.`);
    for (const { printed, reason } of refused) page.bold(`Do not fit ${printed}: ${reason}`);
    for (const line of forSale) sold(page, line, slip.taxBasisPoints);
    for (const { quantity, printed, maker } of own)
      page.text(`${quantity} × ${printed}, ${maker}: the customer’s own, not ours, no warranty.`);
    page.rule();
    page.row('Goods', printPrice(slip.goodsMinor));
    page.row(printTax(slip.taxBasisPoints), printPrice(slip.taxMinor));
    page.row(slip.state === 'collected' ? 'In all' : 'To pay', printPrice(slip.totalMinor), true);
    if (slip.open.length > 0) {
      page.section('Still open');
      for (const { says } of slip.open) page.text(says);
    }
    if (kind === 'slip' && slip.notes.length > 0) {
      page.section('Said and found');
      for (const { text, by: who } of slip.notes) page.text(`${text} (${who})`);
    }
    footPages(doc, margin, (number, of) => `${title} ${docket}   ${number} of ${of}`);
  });
}
