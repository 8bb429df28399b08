import { sameOrRefuse } from '../../fitment/same-or-refuse.ts';
import { upperFirst } from '../../words/case.ts';

export const driver = sameOrRefuse({
  id: 'driver',
  title: 'Driver',
  why: 'Where the driver sits inside the coil, the control unit sends a signal; elsewhere it sends the coil’s whole current.',
  source: 'Coils: Driver',
  has: 'coil.builtInDriver',
  asked: 'coilAsked.builtInDriver',
  print: (inside) => (inside ? 'driver inside' : 'no driver inside'),
  says: {
    same: 'It is driven as this engine drives it.',
    other: 'It is driven in another way: it stays dead, or burns out the control unit’s output.',
  },
  toDo: 'Do not fit it, not even to try.',
  phrase: (has) => upperFirst(has),
  examples: [
    {
      says: 'a driver inside where one is asked matches',
      facts: { 'coil.builtInDriver': true, 'coilAsked.builtInDriver': true },
      outcome: 'match',
    },
    {
      says: 'a plain coil where the driver must be inside is refused',
      facts: { 'coil.builtInDriver': false, 'coilAsked.builtInDriver': true },
      outcome: 'refuse',
    },
    {
      says: 'a coil of which it is not known is asked',
      facts: { 'coilAsked.builtInDriver': true },
      outcome: 'unknown',
    },
  ],
});
