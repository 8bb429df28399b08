/** @jest-environment jsdom */
import { afterEach, expect, test } from '@jest/globals';
import { cleanup, render } from '@testing-library/react';
import { useLayoutEffect } from 'react';
import type { OpenTray } from '@brackenfell/contract/open-tray';
import { usePickKept } from './picked-row.ts';
import { RowPick } from './row-pick.ts';

afterEach(cleanup);

const tray = (...partIds: string[]) => ({ rows: partIds.map((partId) => ({ partId })) }) as unknown as OpenTray;
const pick = new RowPick();
/** The part a key would take, each time a tray is on the screen. */
const heard: (string | undefined)[] = [];

function Desk({ of, wanted }: { of: OpenTray; wanted: string | null }) {
  usePickKept(of, wanted, pick);
  useLayoutEffect(() => {
    heard.push(of.rows[pick.index]?.partId);
  });
  return null;
}

test('no key finds another part picked than the one that was asked for, or was picked before the tray was laid anew', () => {
  const { rerender } = render(<Desk of={tray('41', '52', '63')} wanted="52" />);
  rerender(<Desk of={tray('41', '63', '52')} wanted="52" />);
  rerender(<Desk of={tray('52', '63')} wanted="63" />);
  expect(heard).toEqual(['52', '52', '63']);
});
