/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import { useEffect, useLayoutEffect, useState } from 'react';
import { done, does, Keys, settle, wait, watchKeys } from '../testing/key-map.tsx';
import { press } from '../testing/press.ts';
import { awaitSheet, drewAddress } from './keys.ts';

watchKeys();

describe('a busy machine', () => {
  function Opens() {
    const [isOpen, open] = useState(false);
    return (
      <>
        <Keys keys={[does('/', { run: () => open(true) }), does('j'), does('w')]} />
        {isOpen && <input aria-label="Ask" autoFocus defaultValue="" />}
      </>
    );
  }

  test('that hands over a second’s keys at once loses none: they go into the field that the first of them opens', async () => {
    drewAddress(window.location);
    render(<Opens />);
    for (const key of ['/', 'j', 'w']) press(key, { afterMs: 40 });
    await settle();
    expect(screen.getByLabelText<HTMLInputElement>('Ask').value).toBe('jw');
    expect(done).toEqual([]);
  });

  test('loses no key behind one that was meant for a day, which only the hand writes', async () => {
    function OpensDay() {
      const [isOpen, open] = useState(false);
      return (
        <>
          <Keys keys={[does('/', { run: () => open(true) }), does('j')]} />
          {isOpen && <input aria-label="On" type="date" autoFocus defaultValue="" />}
        </>
      );
    }
    drewAddress(window.location);
    render(<OpensDay />);
    for (const key of ['/', '2', '0']) press(key, { afterMs: 40 });
    await settle();
    screen.getByLabelText('On').blur();
    press('j');
    await settle();
    drewAddress(undefined);
    expect(done).toEqual(['j']);
  });

  /** A sheet that is still fetched for a while. */
  function Fetched() {
    const [is, become] = useState<'shut' | 'fetched' | 'open'>('shut');
    useLayoutEffect(() => {
      if (is !== 'fetched') return undefined;
      const there = awaitSheet();
      const soon = setTimeout(() => become('open'), 200);
      return () => {
        clearTimeout(soon);
        there();
      };
    }, [is]);
    return (
      <>
        <Keys keys={[does('n', { run: () => become('fetched') }), does('j')]} />
        {is === 'open' && <input aria-label="Note" autoFocus defaultValue="" />}
      </>
    );
  }

  test('that is just showing the sheet puts a letter behind those that wait for it, not before them', async () => {
    drewAddress(window.location);
    render(<Fetched />);
    press('n');
    await settle(215);
    press('j');
    await settle(20);
    expect(document.activeElement).toBe(screen.getByLabelText('Note'));
    expect(press('w').defaultPrevented).toBe(true);
    await settle(500);
    drewAddress(undefined);
    expect(screen.getByLabelText<HTMLInputElement>('Note').value).toBe('jw');
    expect(done).toEqual([]);
  });

  test('lets no Enter press the button that was clicked before, while what it was typed for has not opened', async () => {
    const sent: string[] = [];
    drewAddress(window.location);
    render(
      <form
        onSubmit={(event) => {
          event.preventDefault();
          sent.push(screen.getByLabelText<HTMLInputElement>('Ask').value);
        }}
      >
        <button type="button" onClick={() => sent.push('clicked')}>
          Add
        </button>
        <Opens />
      </form>,
    );
    screen.getByRole('button').focus();
    for (const key of ['/', 'j', 'w']) press(key, { afterMs: 40 });
    expect(press('Enter', { afterMs: 40 }).defaultPrevented).toBe(true);
    await settle();
    drewAddress(undefined);
    expect(sent).toEqual(['jw']);
  });

  test('has letters choose at a choice that the key before them brings, and command nothing', async () => {
    const chosen: string[] = [];
    function Desk() {
      const [isThere, come] = useState(false);
      return (
        <>
          <Keys keys={[does('d', { run: () => come(true) }), does('f')]} />
          {isThere && (
            <button type="button" role="combobox" autoFocus onKeyDown={({ key }) => chosen.push(key)}>
              From
            </button>
          )}
        </>
      );
    }
    drewAddress(window.location);
    render(<Desk />);
    for (const key of ['d', 'f', 'e']) press(key, { afterMs: 40 });
    await settle();
    drewAddress(undefined);
    expect(chosen).toEqual(['f', 'e']);
    expect(done).toEqual([]);
  });

  test('has Enter and Space press the button that the key before them leads to', async () => {
    drewAddress(window.location);
    render(
      <>
        <Keys keys={[does('o', { run: () => screen.getByRole('button').focus() }), does('Enter')]} />
        <button type="button" onClick={() => done.push('clicked')}>
          Add
        </button>
      </>,
    );
    for (const key of ['o', 'Enter', ' ']) press(key, { afterMs: 40 });
    expect(done).toEqual([]);
    await settle();
    drewAddress(undefined);
    expect(done).toEqual(['clicked', 'clicked']);
  });

  test('lets no Ctrl Enter of a sheet be the desk’s, because the sheet was not there yet', async () => {
    function Sheet() {
      const [isOpen, open] = useState(false);
      const note = () => done.push(screen.getByLabelText<HTMLInputElement>('Note').value);
      return (
        <>
          <Keys keys={[does('n', { run: () => open(true) }), does('Control+Enter')]} />
          {isOpen && (
            <div role="dialog">
              <Keys keys={[does('Control+Enter', { run: note })]} inDialog />
              <input aria-label="Note" autoFocus defaultValue="" />
            </div>
          )}
        </>
      );
    }
    drewAddress(window.location);
    render(<Sheet />);
    for (const key of ['n', '4', '2']) press(key, { afterMs: 40 });
    press('Enter', { afterMs: 40, more: { ctrlKey: true } });
    expect(done).toEqual([]);
    await settle();
    drewAddress(undefined);
    expect(done).toEqual(['42']);
  });

  test('whose sheet never comes forgets what was typed for it, says so, and gives the keys back to the desk', async () => {
    drewAddress(window.location);
    render(<Keys keys={[does('n', { run: () => void awaitSheet() }), does('j'), does('k')]} />);
    press('n');
    wait();
    press('j');
    press('4');
    await settle(29_000);
    expect(done).toEqual([]);
    await settle();
    expect(done).toEqual(['told']);
    press('k');
    wait();
    drewAddress(undefined);
    expect(done).toEqual(['told', 'k']);
  });

  test('lets no Escape and no Backspace overtake the letters before it', async () => {
    const left: string[] = [];
    drewAddress(window.location);
    render(
      <div
        onKeyDown={({ key, target }) => {
          if (key === 'Escape' && target instanceof HTMLInputElement) left.push(target.value);
        }}
      >
        <Opens />
      </div>,
    );
    for (const key of ['/', 'j', 'w', 'Backspace', '1', 'Escape', 'j']) press(key, { afterMs: 40 });
    expect(left).toEqual([]);
    await settle();
    expect(left).toEqual(['j1']);
  });
});

describe('a key that comes before its screen', () => {
  /** Desks one after the other, the next drawn a while after its address is: as on a machine that is busy. */
  function Desks() {
    const [desk, setDesk] = useState(1);
    const turn = () => {
      const next = desk + 1;
      window.history.replaceState({}, '', `/desk/${next}`);
      setTimeout(() => setDesk(next), 300);
    };
    useEffect(() => drewAddress(window.location), [desk]);
    return <Keys keys={[does('y', { run: turn }), ...(desk === 2 ? [does('j')] : [])]} />;
  }

  test('does there what it does there: no mark of the next desk is lost', async () => {
    window.history.replaceState({}, '', '/desk/1');
    drewAddress(window.location);
    render(<Desks />);
    press('y', { afterMs: 40 });
    await settle(100);
    press('j', { afterMs: 40 });
    await settle(400);
    await settle(0);
    drewAddress(undefined);
    expect(done).toEqual(['j']);
  });
});
