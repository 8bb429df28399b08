import type { CatalogueFile } from '@brackenfell/contract/catalogue-file';

export const makers: CatalogueFile['makers'] = [
  { id: 'ostrel', name: 'Ostrel' },
  { id: 'skerrow', name: 'Skerrow' },
  { id: 'dunmarrow', name: 'Dunmarrow' },
  { id: 'pellworth', name: 'Pellworth' },
  { id: 'aldersyke', name: 'Aldersyke' },
  { id: 'thrushgill', name: 'Thrushgill' },
  { id: 'kestrane', name: 'Kestrane' },
  { id: 'hollin-bray', name: 'Hollin & Bray' },
  { id: 'ivorix', name: 'Ivorix' },
  { id: 'tamsel', name: 'Tamsel' },
  { id: 'marlspark', name: 'Marlspark' },
  { id: 'hexley', name: 'Hexley' },
  { id: 'corrin', name: 'Corrin' },
  { id: 'beckstone', name: 'Beckstone' },
  { id: 'harrock', name: 'Harrock' },
];

const scale = (maker: string, ratings: readonly (readonly [string, number])[]) => ({
  maker,
  ratings: ratings.map(([code, indexBar]) => ({ code, indexBar })),
});

/** Hot to cold. Kestrane and Tamsel number colder upward, Hollin & Bray hotter upward, Ivorix in letters with A coldest. */
export const heatScales: CatalogueFile['heatScales'] = [
  scale('kestrane', [
    ['57', 11.8],
    ['59', 13],
    ['61', 14.2],
    ['63', 15.5],
    ['65', 16.9],
    ['67', 18.3],
    ['69', 19.9],
  ]),
  scale('hollin-bray', [
    ['60', 11.6],
    ['55', 12.8],
    ['50', 14],
    ['45', 15.4],
    ['40', 16.8],
    ['35', 18.6],
  ]),
  scale('ivorix', [
    ['F', 11.9],
    ['E', 13.1],
    ['D', 14.4],
    ['C', 15.7],
    ['B', 17.4],
    ['A', 19.1],
  ]),
  scale('tamsel', [
    ['3', 11],
    ['4', 12.2],
    ['5', 13.8],
    ['6', 15.5],
    ['7', 17.1],
    ['8', 18.9],
  ]),
];
