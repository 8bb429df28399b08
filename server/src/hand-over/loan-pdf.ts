import type { ToolLoan } from '@brackenfell/contract/loan';
import type { Slip } from '@brackenfell/contract/slip';
import { printPrice } from '@brackenfell/core/words/money';
import { printDate, printWhole } from '@brackenfell/core/words/moments';
import { footPages, makePdf } from '../paper/document.ts';
import { barsOf, MARGIN, Page, squareOf, TEXT } from '../paper/page.ts';
import type { Printing } from './card-pdf.ts';

/** What left as a loan: each tool with its deposit and its day, to be signed. */
export async function printLoans(
  slip: Slip,
  loans: readonly ToolLoan[],
  { size, at, by, address }: Printing,
): Promise<Buffer> {
  const docket = String(slip.docket).padStart(5, '0');
  const [bars, square] = await Promise.all([barsOf(docket), squareOf(address)]);
  const margin = MARGIN[size];
  return makePdf({ size, margin, title: `Tool loan ${docket}` }, (doc) => {
    const page = new Page(doc, margin, TEXT[size]);
    page.head({
      title: 'Tool loan',
      docket,
      bars,
      square,
      made: `${printWhole(at.toISOString())}, ${by}`,
      subject: slip.customer || slip.phone,
      whose: [slip.phone, slip.vehicle].filter(Boolean).join(', '),
    });
    for (const { tool, depositMinor, dueOn } of loans) {
      page.row(tool, printPrice(depositMinor), true);
      page.text(
        `Back by ${printDate(dueOn)}. The deposit is returned with it; what is not back is asked for, then sold for it.`,
      );
    }
    page.rule();
    page.row('Deposits', printPrice(loans.reduce((sum, { depositMinor }) => sum + depositMinor, 0)), true);
    page.section('Received, name and day');
    doc.moveDown(1.4);
    page.rule();
    footPages(doc, margin, (number, of) => `Tool loan ${docket}   ${number} of ${of}`);
  });
}
