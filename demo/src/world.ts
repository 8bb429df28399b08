import type { z } from 'zod';
import type { CatalogueFile } from '@brackenfell/contract/catalogue-file';
import { aldersykeAs30t } from './engines/aldersyke-as30t.ts';
import { dunmarrowDd70 } from './engines/dunmarrow-dd70.ts';
import { dunmarrowHf22 } from './engines/dunmarrow-hf22.ts';
import { ostrelOw12 } from './engines/ostrel-ow12.ts';
import { pellworthPp20 } from './engines/pellworth-pp20.ts';
import { skerrowSc20 } from './engines/skerrow-sc20.ts';
import { listings } from './listings.ts';
import { heatScales, makers } from './makers.ts';
import { hollinBray } from './plugs/hollin-bray.ts';
import { ivorix } from './plugs/ivorix.ts';
import { kestrane } from './plugs/kestrane.ts';
import { tamsel } from './plugs/tamsel.ts';
import { references } from './references.ts';

/** The invented catalogue of the demo counter. */
export const demoWorld: z.input<typeof CatalogueFile> = {
  makers,
  heatScales,
  engines: [skerrowSc20, ostrelOw12, dunmarrowDd70, dunmarrowHf22, aldersykeAs30t, pellworthPp20],
  plugs: [...kestrane, ...hollinBray, ...ivorix, ...tamsel],
  references,
  listings,
};
