import type { Migration } from 'kysely';
import * as firstCounter from './2026-11-25-first-counter.ts';
import * as wholeCatalogue from './2026-11-26-whole-catalogue.ts';
import * as wholeIgnition from './2026-11-27-whole-ignition.ts';
import * as proof from './2026-11-28-proof.ts';
import * as rightAtTheCounter from './2026-11-29-right-at-the-counter.ts';
import * as rulesReferencesSecrets from './2026-11-30-rules-references-secrets.ts';
import * as figuresOfOneShape from './2026-12-01-figures-of-one-shape.ts';
import * as otherPartsKept from './2026-12-02-other-parts-kept.ts';
import * as pistonTop from './2026-12-03-piston-top.ts';
import * as setUp from './2026-12-04-set-up.ts';
import * as paper from './2026-12-05-paper.ts';
import * as garageBook from './2026-12-06-garage-book.ts';
import * as slipStates from './2026-12-07-slip-states.ts';
import * as papersAndLoans from './2026-12-08-papers-and-loans.ts';
import * as heard from './2026-12-10-heard.ts';
import * as oldOthers from './2026-12-12-old-others.ts';
import * as imports from './2026-12-13-imports.ts';
import * as shop from './2026-12-14-shop.ts';
import * as records from './2026-12-15-records.ts';
import * as largeLists from './2026-12-16-large-lists.ts';
import * as live from './2026-12-17-live.ts';
import * as erasedWhole from './2026-12-18-erased-whole.ts';
import * as nearLeads from './2026-12-19-near-leads.ts';
import * as wholeByPage from './2026-12-20-whole-by-page.ts';
import * as longLists from './2026-12-21-long-lists.ts';
import * as plugsAlone from './2026-12-22-plugs-alone.ts';
import * as rowsOfLists from './2026-12-23-rows-of-lists.ts';
import * as listsByPage from './2026-12-24-lists-by-page.ts';
import * as drill from './2026-12-25-drill.ts';
import * as packs from './2026-12-11-packs.ts';
import * as sundriesAndKits from './2026-12-09-sundries-and-kits.ts';

/** Every migration by its file name, in order. Listed by hand: a bundle cannot look into folders. */
export const MIGRATIONS: Record<string, Migration> = {
  '2026-11-25-first-counter': firstCounter,
  '2026-11-26-whole-catalogue': wholeCatalogue,
  '2026-11-27-whole-ignition': wholeIgnition,
  '2026-11-28-proof': proof,
  '2026-11-29-right-at-the-counter': rightAtTheCounter,
  '2026-11-30-rules-references-secrets': rulesReferencesSecrets,
  '2026-12-01-figures-of-one-shape': figuresOfOneShape,
  '2026-12-02-other-parts-kept': otherPartsKept,
  '2026-12-03-piston-top': pistonTop,
  '2026-12-04-set-up': setUp,
  '2026-12-05-paper': paper,
  '2026-12-06-garage-book': garageBook,
  '2026-12-07-slip-states': slipStates,
  '2026-12-08-papers-and-loans': papersAndLoans,
  '2026-12-09-sundries-and-kits': sundriesAndKits,
  '2026-12-10-heard': heard,
  '2026-12-11-packs': packs,
  '2026-12-12-old-others': oldOthers,
  '2026-12-13-imports': imports,
  '2026-12-14-shop': shop,
  '2026-12-15-records': records,
  '2026-12-16-large-lists': largeLists,
  '2026-12-17-live': live,
  '2026-12-18-erased-whole': erasedWhole,
  '2026-12-19-near-leads': nearLeads,
  '2026-12-20-whole-by-page': wholeByPage,
  '2026-12-21-long-lists': longLists,
  '2026-12-22-plugs-alone': plugsAlone,
  '2026-12-23-rows-of-lists': rowsOfLists,
  '2026-12-24-lists-by-page': listsByPage,
  '2026-12-25-drill': drill,
};
