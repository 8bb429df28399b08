import type { z } from 'zod';
import type { CatalogueFile } from '@brackenfell/contract/catalogue-file';
import { skerrowSc20 } from './engines/skerrow-sc20.ts';
import { heatScales, makers } from './makers.ts';
import { kestrane } from './plugs/kestrane.ts';
import { others } from './plugs/others.ts';

/** The invented catalogue of the demo counter. */
export const demoWorld: z.input<typeof CatalogueFile> = {
  makers,
  heatScales,
  engines: [skerrowSc20],
  plugs: [...kestrane, ...others],
  references: [
    {
      from: '40-61-118-552',
      to: 'KN 419G-63DR',
      grade: 'same',
      source: 'Skerrow workshop sheet',
      notedOn: '2016-09-01',
    },
    {
      from: '40-61-118-340',
      to: '40-61-118-552',
      grade: 'supersedes',
      source: 'Skerrow bulletin',
      notedOn: '2016-09-01',
    },
    {
      from: 'KN 419G-63DR',
      to: 'HB/19/45.D1',
      grade: 'equivalent',
      source: 'Hollin & Bray list',
      notedOn: '2024-02-01',
    },
    { from: 'KN 419G-63DR', to: 'IVX-C19-D10', grade: 'equivalent', source: 'Ivorix list', notedOn: '2024-05-01' },
    { from: 'KN 419G-63DR', to: 'TS 500 231', grade: 'equivalent', source: 'Tamsel list', notedOn: '2023-01-15' },
    { from: 'TS 500 231', to: 'KN 426G-63DR', grade: 'equivalent', source: 'Tamsel list', notedOn: '2023-01-15' },
    { from: 'TS 500 231', to: 'TS 500 187', grade: 'equivalent', source: 'Norrad list', notedOn: '2022-03-01' },
    {
      from: 'KN 419G-63DR',
      to: 'HB/19/40.D1',
      grade: 'alternative',
      source: 'Hollin & Bray list',
      notedOn: '2024-02-01',
    },
    { from: 'IVX-C19-D10', to: 'IVX-C19-F10', grade: 'equivalent', source: 'Norrad list', notedOn: '2024-05-01' },
  ],
  listings: [],
};
