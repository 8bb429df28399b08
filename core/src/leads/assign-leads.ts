import { within } from '../fitment/tolerance.ts';
import type { Lead, LeadRoute } from '../facts/lead-facts.ts';

/** A lead may be this much longer than its route unless the engine says otherwise. Leads: Giving leads to routes. */
export const MOST_SLACK_MM = 80;

export interface LeadAssignment {
  /** For each route the lead that goes there, by its place in the set; null for a route that none serves. */
  readonly leadFor: readonly (number | null)[];
  /** Length beyond the route, mm; null where none serves it. */
  readonly slackMm: readonly (number | null)[];
  /** Places in the set of leads that go nowhere. */
  readonly leftOver: readonly number[];
  readonly sumSquaredSlackMm2: number;
}

interface AssignOptions {
  readonly mostSlackMm?: number;
  /** Leave out of account what boots must clear. */
  readonly anyBoot?: boolean;
}

/** How many routes have a lead. */
export const servedBy = ({ leadFor }: LeadAssignment): number => leadFor.filter((lead) => lead !== null).length;

/** Dearer than any sum of squared slacks: serving one more route always comes first. */
const UNSERVED = 1e12;

/** Whether a lead could go a route, lengths and boots considered. */
export function serves(lead: Lead, route: LeadRoute, { mostSlackMm = MOST_SLACK_MM, anyBoot }: AssignOptions): boolean {
  const slack = lead.lengthMm - route.routedMm;
  return (
    (lead.coilLead === true) === (route.to === 'coil') &&
    within(0, slack) &&
    within(slack, mostSlackMm) &&
    (anyBoot === true || route.boots.includes(lead.boot))
  );
}

/**
 * Which lead of a set goes where: as many routes as can be served, then the least sum of squared slack, so that no lead is
 * left hanging while another is stretched. Leads: Lengths.
 */
export function assignLeads(
  leads: readonly Lead[],
  routes: readonly LeadRoute[],
  options: AssignOptions = {},
): LeadAssignment {
  // Routes as rows; leads, then one "nobody" for each route, as columns.
  const cost = routes.map((route) => [
    ...leads.map((lead) =>
      serves(lead, route, options) ? (lead.lengthMm - route.routedMm) ** 2 : UNSERVED * (routes.length + 1),
    ),
    ...routes.map(() => UNSERVED),
  ]);
  const columns = cheapestColumns(cost);
  const leadFor = columns.map((column) => (column < leads.length ? column : null));
  const slackMm = leadFor.map((lead, i) => (lead === null ? null : leads[lead]!.lengthMm - routes[i]!.routedMm));
  return {
    leadFor,
    slackMm,
    leftOver: leads.map((_, i) => i).filter((i) => !leadFor.includes(i)),
    sumSquaredSlackMm2: slackMm.reduce<number>((sum, slack) => sum + (slack ?? 0) ** 2, 0),
  };
}

/**
 * The column of each row that makes the total least (at least as many columns as rows): shortest augmenting paths over
 * potentials, after Kuhn and Munkres.
 */
function cheapestColumns(cost: readonly (readonly number[])[]): number[] {
  const rows = cost.length;
  const columns = cost[0]?.length ?? 0;
  const rowPrice = new Float64Array(rows + 1);
  const columnPrice = new Float64Array(columns + 1);
  const rowOf = new Int32Array(columns + 1);
  const cameFrom = new Int32Array(columns + 1);
  for (let row = 1; row <= rows; row += 1) {
    rowOf[0] = row;
    let at = 0;
    const least = new Float64Array(columns + 1).fill(Infinity);
    const seen = new Uint8Array(columns + 1);
    do {
      seen[at] = 1;
      const from = rowOf[at]!;
      let step = Infinity;
      let next = 0;
      for (let column = 1; column <= columns; column += 1) {
        if (seen[column]) continue;
        const price = cost[from - 1]![column - 1]! - rowPrice[from]! - columnPrice[column]!;
        if (price < least[column]!) {
          least[column] = price;
          cameFrom[column] = at;
        }
        if (least[column]! < step) {
          step = least[column]!;
          next = column;
        }
      }
      for (let column = 0; column <= columns; column += 1) {
        if (seen[column]) {
          rowPrice[rowOf[column]!]! += step;
          columnPrice[column]! -= step;
        } else {
          least[column]! -= step;
        }
      }
      at = next;
    } while (rowOf[at] !== 0);
    do {
      const before = cameFrom[at]!;
      rowOf[at] = rowOf[before]!;
      at = before;
    } while (at !== 0);
  }
  const columnOf: number[] = Array.from({ length: rows }, () => 0);
  for (let column = 1; column <= columns; column += 1)
    if (rowOf[column]! > 0) columnOf[rowOf[column]! - 1] = column - 1;
  return columnOf;
}
