import { expect, test } from '@jest/globals';
import { weaknessFor } from './passwords.ts';

test('a supervisor’s password is long, of several characters, and not the name; three words without a digit will do', () => {
  const of = (password: string) => weaknessFor('supervisor', password, 'Isolde');
  expect(of('short one')).toContain('12 characters');
  expect(of('aaaaaaaaaaab')).toContain('repeats itself');
  expect(of('1212121212121212')).toContain('repeats itself');
  expect(of('ISOLDE at the counter')).toContain('the name');
  expect([
    of('three tarns at dawn'),
    of('çédille œuvre 12'),
    weaknessFor('supervisor', 'three tarns at dawn', ''),
  ]).toEqual([undefined, undefined, undefined]);
  expect(weaknessFor('specialist', 'ten letters', 'Wren')).toBeUndefined();
});
