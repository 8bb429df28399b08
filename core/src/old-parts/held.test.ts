import { describe, expect, test } from '@jest/globals';
import { answerComeback } from './comeback.ts';
import { heldByComeback, heldByReading } from './held.ts';
import { PART_SIGN_IDS, PART_SIGNS, READ_PARTS } from './other-parts.ts';
import { answerReading } from './read-plugs.ts';
import { COMEBACK_EXAMPLES, READING_EXAMPLES } from './worked-examples.ts';

const read = (tells: string) => {
  const { reading, engine } = READING_EXAMPLES.find((one) => one.tells.includes(tells))!;
  return (results = reading.results) => heldByReading(answerReading({ ...reading, results }, engine));
};

describe('what a reading holds on its slip', () => {
  test('a wet tip holds coils, leads and plugs until the swap tells', () => {
    const held = read('one tip wet')();
    expect(held!.kinds).toEqual(expect.arrayContaining(['coil', 'lead-set', 'plug']));
    expect(held!.says).toMatch(/swap coil or lead.* first/);
    expect(read('one tip wet')({ 'no-spark': 'found' })).toBeUndefined();
    expect(read('one tip wet')({ 'no-spark': 'cannot-tell' })).toBeDefined();
  });
  test('a cause that stands alone holds nothing: what not to sell is told, and the customer decides', () => {
    expect(read('a taxi on short runs')()).toBeUndefined();
    expect(read('losing coolant, both low')()).toBeUndefined();
  });
  test('a struck tip holds everything until it was looked at', () => {
    expect(read('peened')()!.kinds).toHaveLength(5);
    expect(read('peened')({ strike: 'not-found' })).toBeUndefined();
  });
});

describe('what a comeback holds', () => {
  const [{ comeback, has }] = COMEBACK_EXAMPLES as readonly [(typeof COMEBACK_EXAMPLES)[number]];
  test('everything of the ignition while a check is open; nothing once it is found or closed', () => {
    const answer = answerComeback(comeback, has);
    expect(heldByComeback(answer, false)).toMatchObject({ says: expect.stringMatching(/connector/) as unknown });
    expect(heldByComeback(answer, true)).toBeUndefined();
    expect(heldByComeback(answerComeback({ ...comeback, results: { boot: 'wrong' } }, has), false)).toBeUndefined();
  });
  test('nothing once every check was seen right: there is nothing left to undo', () => {
    const results = Object.fromEntries(
      answerComeback(comeback, has).ranked.map(({ id }) => [id, 'seen-right' as const]),
    );
    expect(heldByComeback(answerComeback({ ...comeback, results }, has), false)).toBeUndefined();
  });
});

test('every sign of a coil, lead, cap or rotor says what comes before a sale', () => {
  for (const part of READ_PARTS) expect(PART_SIGN_IDS.some((id) => PART_SIGNS[id].part === part)).toBe(true);
  for (const id of PART_SIGN_IDS) expect(PART_SIGNS[id].first).toMatch(/\.$/);
});
