import { describe, expect, test } from '@jest/globals';
import { sameOrRefuse } from './same-or-refuse.ts';
import { sayIn } from './say.ts';
import { sheetOf } from '../testing/sheet-of.ts';
import { toldOf } from '../testing/told-as.ts';

const metric = sayIn('metric');

describe('a check with two answers', () => {
  const grip = sameOrRefuse({
    id: 'grip',
    title: 'Contact',
    why: 'Because.',
    source: 'Coils: Contact',
    has: 'coil.grips',
    asked: 'coilAsked.grips',
    print: (value) => `a ${value}`,
    says: { same: 'It takes it.', other: 'It does not.' },
    toDo: 'Do not fit it.',
    phrase: (has, asked) => `${has}, not ${asked}`,
    examples: [],
  });
  test('matches the same and refuses anything else', () => {
    const ask = (has: string) => toldOf(grip.ask(sheetOf({ 'coil.grips': has, 'coilAsked.grips': 'stud' }), metric));
    expect(ask('stud')).toEqual({
      is: 'match: same',
      asked: 'a stud',
      has: 'a stud',
      says: 'It takes it.',
      phrase: 'Contact as asked',
    });
    expect(ask('solid')).toEqual({
      is: 'refuse: other',
      asked: 'a stud',
      has: 'a solid',
      says: 'It does not.',
      toDo: 'Do not fit it.',
      phrase: 'A solid, not a stud',
    });
  });
});
