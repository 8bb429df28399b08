import type { ProofFile } from '@brackenfell/contract/proof-file';
import {
  bootSeam,
  boxPrint,
  boxSeal,
  chamfer,
  codeForm,
  connectorLock,
  crown,
  crownFlat,
  gap,
  gasket,
  plating,
  potting,
  primary,
  printBold,
  printOnFlat,
  printPale,
  resistor,
  ribs,
  shoulder,
  weight,
  weld,
} from './tells.ts';

type Content = ProofFile['references'][number]['content'];

const kestraneCode: Content['batchCode'] = {
  title: 'works letter, two digits of the year, week, running number',
  fields: [
    { kind: 'works', codes: { C: 'Cawdle works', M: 'Moss Side works' } },
    { kind: 'year-two-digits' },
    { kind: 'week' },
    { kind: 'serial', digits: 2 },
  ],
};
const hollinCode: Content['batchCode'] = {
  title: 'letter of the year, letter of the month, running number',
  fields: [
    { kind: 'year-letter', letters: 'ABCDEFGHJKLMNPRSTVWX', first: 2011 },
    { kind: 'month-letter', letters: 'ABCDEFGHJKLM' },
    { kind: 'serial', digits: 4 },
  ],
};
const ivorixCode: Content['batchCode'] = {
  title: 'works letter, last digit of the year, month, day',
  fields: [
    { kind: 'works', codes: { F: 'works F', N: 'works N' } },
    { kind: 'year-digit' },
    { kind: 'month' },
    { kind: 'day' },
  ],
};
const tamselCode: Content['batchCode'] = {
  title: 'T, two digits of the year, week, running number',
  fields: [
    { kind: 'constant', text: 'T' },
    { kind: 'year-two-digits' },
    { kind: 'week' },
    { kind: 'serial', digits: 3 },
  ],
};
const marlsparkCode: Content['batchCode'] = {
  title: 'M, two digits of the year, month, day, running number',
  fields: [
    { kind: 'constant', text: 'M' },
    { kind: 'year-two-digits' },
    { kind: 'month' },
    { kind: 'day' },
    { kind: 'serial', digits: 2 },
  ],
};
const hexleyCode: Content['batchCode'] = {
  title: 'letter of the year, week, running number',
  fields: [
    { kind: 'year-letter', letters: 'ABCDEFGHJKLMNPRSTVWX', first: 2015 },
    { kind: 'week' },
    { kind: 'serial', digits: 3 },
  ],
};

const plug = (makerId: string, generation: string, content: Content): ProofFile['references'][number] => ({
  makerId,
  partKind: 'plug',
  generation,
  content,
});
const coil = (makerId: string, generation: string, content: Content): ProofFile['references'][number] => ({
  makerId,
  partKind: 'coil',
  generation,
  content,
});

/** What genuine and suspect pieces look like, maker by maker: four of plugs, two of them in two packagings, and two of coils. */
export const proofReferences: ProofFile['references'] = [
  plug('kestrane', 'grey-box', {
    title: 'Kestrane, grey box until 2021',
    from: null,
    to: '2021-12-31',
    batchCode: kestraneCode,
    // Of this packaging the print is bold and stands anywhere round the insulator, and the crown is domed.
    tells: [
      printBold(0.05, 0.5),
      crown(0.02, 0.35),
      chamfer(0.05, 0.4),
      shoulder(0.08, 0.5),
      weld(0.03, 0.5),
      gasket(0.06, 0.4),
      gap(0.05)(0.12, 0.6),
      boxSeal(0.15, 0.45),
    ],
  }),
  plug('kestrane', 'slate-box', {
    title: 'Kestrane, slate box from 2022',
    from: '2022-01-01',
    to: null,
    batchCode: kestraneCode,
    // Here the genuine print is faint and the crown flat: what is printed boldly and domed is odd.
    tells: [
      printPale(0.05, 0.5),
      printOnFlat(0.04, 0.6),
      crownFlat(0.02, 0.4),
      chamfer(0.05, 0.45),
      weld(0.03, 0.5),
      gasket(0.03, 0.4),
      gap(0.05)(0.1, 0.6),
      codeForm('C24 31 07', 'C243107', true)(0.06, 0.5),
    ],
  }),
  plug('ivorix', 'white-box', {
    title: 'Ivorix, white box until 2022',
    from: null,
    to: '2022-12-31',
    batchCode: ivorixCode,
    tells: [
      printBold(0.06, 0.55),
      printOnFlat(0.3, 0.6),
      crown(0.02, 0.45),
      chamfer(0.05, 0.35),
      weld(0.03, 0.55),
      gasket(0.04, 0.3),
      ribs(0.06, 0.4),
      boxSeal(0.12, 0.5),
    ],
  }),
  plug('ivorix', 'blue-band', {
    title: 'Ivorix, white box with blue band from 2023',
    from: '2023-01-01',
    to: null,
    batchCode: ivorixCode,
    tells: [
      printBold(0.05, 0.6),
      printOnFlat(0.05, 0.55),
      chamfer(0.03, 0.6),
      gasket(0.04, 0.45),
      gap(0.05)(0.08, 0.7),
      ribs(0.03, 0.5),
      weight(48, 2)(0.04, 0.55),
      resistor(1)(0.04, 0.35),
      boxSeal(0.1, 0.5),
    ],
  }),
  plug('hollin-bray', 'red-carton', {
    title: 'Hollin & Bray, red carton',
    from: null,
    to: null,
    batchCode: hollinCode,
    tells: [
      printPale(0.08, 0.4),
      crown(0.03, 0.4),
      ribs(0.04, 0.45),
      shoulder(0.06, 0.5),
      gasket(0.05, 0.35),
      plating(0.1, 0.45),
      gap(0.05)(0.1, 0.55),
      boxPrint(0.05, 0.5),
    ],
  }),
  plug('tamsel', 'card', {
    title: 'Tamsel, on a card',
    from: null,
    to: null,
    batchCode: tamselCode,
    tells: [
      printBold(0.15, 0.4),
      chamfer(0.1, 0.4),
      plating(0.1, 0.5),
      gasket(0.12, 0.35),
      weight(46, 2)(0.06, 0.5),
      gap(0.05)(0.15, 0.5),
      boxPrint(0.1, 0.45),
    ],
  }),
  coil('marlspark', 'foil-bag', {
    title: 'Marlspark coils, foil bag',
    from: null,
    to: null,
    batchCode: marlsparkCode,
    tells: [
      bootSeam(0.04, 0.5),
      potting(0.05, 0.55),
      connectorLock(0.04, 0.4),
      primary(0.08)(0.05, 0.4),
      boxPrint(0.06, 0.5),
      boxSeal(0.1, 0.4),
    ],
  }),
  coil('hexley', 'green-carton', {
    title: 'Hexley coils, green carton',
    from: null,
    to: null,
    batchCode: hexleyCode,
    tells: [
      // A ridge is usual on this maker's boots, and a smooth one the odd one.
      bootSeam(0.05, 0.4, {
        genuine: 'a ridge along it',
        suspect: 'no seam',
        drawing: { genuine: { form: 'boot', seam: 0.9 }, suspect: { form: 'boot', seam: 0 } },
      }),
      potting(0.08, 0.5),
      connectorLock(0.05, 0.45),
      primary(0.08)(0.05, 0.4),
      codeForm('K 31 114', 'K31114', false)(0.05, 0.4),
    ],
  }),
];
