import type { PaperKind, PaperView } from '@brackenfell/contract/hand-over';
import { isLabel } from '@brackenfell/contract/hand-over';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import { rulingValue } from '@brackenfell/core/facts/facts';
import { readDuty } from '@brackenfell/core/duty/duty-text';
import type { Slip } from '@brackenfell/contract/slip';
import type { Context } from '../context/context.ts';
import type { Writing } from '../db/database.ts';
import { trouble, type Trouble } from '../http/trouble.ts';
import { loanView } from '../loan/present.ts';
import { readLoans } from '../loan/store.ts';
import { judgeEngine } from '../tray/judge-engine.ts';
import { partShape } from '../tray/shapes.ts';
import { printCard } from './card-pdf.ts';
import { gatherHandOver } from './gather.ts';
import { printLeadLabels, printPartLabels, type LeadLabel } from './labels-pdf.ts';
import { printLoans } from './loan-pdf.ts';
import { printSlip } from './slip-pdf.ts';

const no = (says: string): Trouble => trouble('not-allowed-now', says);

/** Where each lead of a set on the slip goes, as it is assigned; undefined where its leads or the routes are not known. */
async function leadLabels(context: Context, trx: Writing, slip: Slip): Promise<LeadLabel[] | undefined> {
  const line = slip.lines.find(({ partKind, verdict }) => partKind === 'lead-set' && verdict !== 'refuse');
  if (!line || slip.engineId === null) return undefined;
  const judged = await judgeEngine(
    context,
    {
      kind: 'lead-set',
      engineId: slip.engineId,
      build: slip.build ?? undefined,
      duty: readDuty(slip.duty),
      only: [line.partId],
    },
    'metric',
    trx,
  );
  const candidate = judged?.candidates[0];
  const asked = judged?.positions.find(({ place }) => place === candidate?.place)?.sheet;
  if (!candidate || !asked) return undefined;
  const routes = rulingValue(asked, 'leadsAsked.routes');
  const shape = partShape('lead-set', candidate.sheet, asked);
  if (!routes || shape.part !== 'lead-set' || !shape.leads) return undefined;
  return routes.map((route, i) => ({ route, lead: shape.leads![shape.leadFor[i] ?? -1] }));
}

interface Asked {
  readonly kind: PaperKind;
  readonly size: PaperView['size'];
  readonly units: UnitDisplay;
  readonly origin: string;
  readonly by: string;
  readonly at: Date;
}

/** Makes a paper of a slip as it stands; or says what is missing for it. */
export async function makePaper(
  context: Context,
  trx: Writing,
  slip: Slip,
  { kind, size, units, origin, by, at }: Asked,
): Promise<Buffer | Trouble> {
  if (isLabel(kind) !== (size === 'label'))
    return trouble('invalid-request', 'Labels are printed as labels, all else on a sheet.', { size: 'not for this' });
  const sheet = {
    size: size === 'label' ? 'A5' : size,
    at,
    by,
    address: new URL(`/slips/${slip.slipId}`, origin).href,
  } as const;
  const docket = String(slip.docket).padStart(5, '0');
  switch (kind) {
    case 'fitting-card': {
      const card = await gatherHandOver(context, trx, slip, units);
      // Whoever scans the card has the work on a telephone, with its boxes.
      const address = new URL(`/work/${slip.slipId}`, origin).href;
      return card
        ? printCard(card, { ...sheet, address })
        : no('The slip has no engine yet: nothing can be told of the work.');
    }
    case 'quote':
    case 'slip':
      return slip.lines.length === 0 ? no('Nothing is on the slip yet.') : printSlip(slip, kind, sheet);
    case 'loan-note': {
      const loans = (await readLoans(trx, slip.slipId)).map(loanView).filter(({ settled }) => settled === null);
      return loans.length === 0 ? no('No tool is lent on this slip.') : printLoans(slip, loans, sheet);
    }
    case 'lead-labels': {
      const labels = await leadLabels(context, trx, slip);
      return labels
        ? printLeadLabels(labels, docket, units)
        : no('No set of leads whose routes are known is on the slip: measure them first.');
    }
    case 'part-labels': {
      const parts = slip.lines.filter(({ verdict, kind: line }) => verdict !== 'refuse' && line === 'sale');
      return parts.length === 0
        ? no('Nothing is on the slip to be labelled.')
        : printPartLabels(
            parts.map(({ printed, maker, quantity, positions }) => ({
              printed,
              maker,
              about: [slip.engine, positions.join(', ')].filter(Boolean).join(', '),
              copies: Math.min(quantity, 24),
            })),
          );
    }
  }
}
