/** @jest-environment jsdom */
import { expect, test } from '@jest/globals';
import { render } from '@testing-library/react';
import { done, does, Keys, settle, watchKeys } from '../testing/key-map.tsx';
import { press } from '../testing/press.ts';
import { LineKeys } from './line-keys.tsx';

watchKeys();

test('while a line of the slip has the hand its keys stand before those of any desk, and clash with none', async () => {
  const acts: string[] = [];
  const act = (what: string) => () => acts.push(what);
  const lines = (
    <LineKeys
      move={act('move')}
      answer={act('answer')}
      quantity={act('quantity')}
      remove={act('remove')}
      release={act('release')}
      batch={act('batch')}
      proof={act('proof')}
      told={act('told')}
      leave={act('leave')}
    />
  );
  // Reading old plugs, Shift and a letter say what is known of the engine.
  const desk = <Keys keys={[does('Shift+B'), does('Shift+R'), does('Shift+V')]} />;
  const { rerender } = render(desk);
  press('B', { more: { shiftKey: true } });
  await settle();
  expect(done).toEqual(['Shift+B']);
  rerender(
    <>
      {desk}
      {lines}
    </>,
  );
  for (const key of ['B', 'R', 'V']) press(key, { more: { shiftKey: true } });
  await settle();
  expect(acts).toEqual(['batch', 'release', 'proof']);
  expect(done).toEqual(['Shift+B']);
});
