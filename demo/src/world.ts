import type { z } from 'zod';
import type { CatalogueFile } from '@brackenfell/contract/catalogue-file';
import { aldersykeAs22 } from './engines/aldersyke-as22.ts';
import { aldersykeAk23s } from './engines/aldersyke-ak23s.ts';
import { aldersykeAt20 } from './engines/aldersyke-at20.ts';
import { dunmarrowDd70 } from './engines/dunmarrow-dd70.ts';
import { dunmarrowH6 } from './engines/dunmarrow-h6.ts';
import { dunmarrowHf22 } from './engines/dunmarrow-hf22.ts';
import { notes } from './engines/notes.ts';
import { ostrelOf16t } from './engines/ostrel-of16t.ts';
import { ostrelOw12 } from './engines/ostrel-ow12.ts';
import { pellworthPg66 } from './engines/pellworth-pg66.ts';
import { pellworthPp20 } from './engines/pellworth-pp20.ts';
import { skerrowSc20 } from './engines/skerrow-sc20.ts';
import { skerrowSc20g } from './engines/skerrow-sc20g.ts';
import { skerrowSh28 } from './engines/skerrow-sh28.ts';
import { skerrowTl24 } from './engines/skerrow-tl24.ts';
import { thrushgillTc18 } from './engines/thrushgill-tc18.ts';
import { thrushgillTn17 } from './engines/thrushgill-tn17.ts';
import { classLists } from './class-lists.ts';
import { grammars } from './grammars.ts';
import { coilNeeds } from './ignition/coil-needs.ts';
import { coilListings, coilReferences, coils } from './ignition/coils.ts';
import {
  distributorListings,
  distributorNeeds,
  distributorParts,
  distributorReferences,
} from './ignition/distributors.ts';
import { leadNeeds } from './ignition/lead-needs.ts';
import { leadListings, leadReferences, leadSets } from './ignition/leads.ts';
import { plans } from './ignition/plans.ts';
import { listings } from './listings.ts';
import { heatScales, makers } from './makers.ts';
import { hollinBray } from './plugs/hollin-bray.ts';
import { ivorix } from './plugs/ivorix.ts';
import { kestrane } from './plugs/kestrane.ts';
import { linePlugs, rallySurface, rallyTwin } from './plugs/lines.ts';
import { tamsel } from './plugs/tamsel.ts';
import { references } from './references.ts';
import { kitListings, kits, sundries } from './sundries.ts';

const plugEngines = [
  skerrowSc20,
  skerrowSc20g,
  skerrowSh28,
  skerrowTl24,
  ostrelOw12,
  ostrelOf16t,
  dunmarrowDd70,
  dunmarrowHf22,
  dunmarrowH6,
  aldersykeAk23s,
  aldersykeAs22,
  aldersykeAt20,
  pellworthPp20,
  pellworthPg66,
  thrushgillTc18,
  thrushgillTn17,
];

/** Sold two to a blister: a three-cylinder takes four. */
const PAIRED: readonly string[] = ['TS 500 310'];

/** The invented catalogue of the demo counter. */
export const demoWorld: z.input<typeof CatalogueFile> = {
  makers,
  heatScales,
  grammars,
  engines: plugEngines.map((engine) => {
    const plan = plans[engine.id];
    const needs = [coilNeeds, leadNeeds, distributorNeeds].flatMap((byEngine) => byEngine[engine.id] ?? []);
    return { ...engine, needs, notes: [...(notes[engine.id] ?? [])], ...(plan ? { plan } : {}) };
  }),
  plugs: [...kestrane, ...hollinBray, ...ivorix, ...tamsel, ...linePlugs, rallyTwin, rallySurface].map((plug) =>
    PAIRED.includes(plug.number) ? { ...plug, packOf: 2 } : plug,
  ),
  classLists,
  parts: [...coils, ...leadSets, ...distributorParts],
  sundries: [...sundries],
  kits: [...kits],
  references: [...references, ...coilReferences, ...leadReferences, ...distributorReferences],
  listings: [...listings, ...coilListings, ...leadListings, ...distributorListings, ...kitListings],
};
