/** @jest-environment jsdom */
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { act as settleReact, cleanup, render, screen } from '@testing-library/react';
import { useEffect, useLayoutEffect, useState } from 'react';
import { Dialog } from '../controls/dialog.tsx';
import { changeSettings } from '../settings/settings.ts';
import { press, SETTLED_MS } from '../testing/press.ts';
import { act, awaitSheet, drewAddress, useKeys, watchForBursts, type KeyBinding } from './keys.ts';

const done: string[] = [];
const scans: [string, boolean][] = [];
const does = (key: string, more: Partial<KeyBinding> = {}): KeyBinding => ({
  press: key,
  does: `does ${key}`,
  run: () => done.push(key),
  ...more,
});
const wait = (ms = SETTLED_MS) => {
  settleReact(() => {
    jest.advanceTimersByTime(ms);
  });
};

function Keys({ keys, ...options }: { keys: readonly KeyBinding[]; inDialog?: boolean; yields?: boolean }) {
  useKeys('Test', keys, options);
  return null;
}

let stop: () => void;
beforeEach(() => {
  jest.useFakeTimers();
  done.length = 0;
  scans.length = 0;
  stop = watchForBursts(
    (code, behind) => scans.push([code, behind]),
    () => done.push('told'),
  );
});
afterEach(() => {
  wait(5000);
  stop();
  cleanup();
  jest.useRealTimers();
  window.localStorage.clear();
});

describe('a key of the desk', () => {
  test('does what it says once it cannot be a scanner’s first', () => {
    render(<Keys keys={[does('o')]} />);
    press('o');
    expect(done).toEqual([]);
    wait();
    expect(done).toEqual(['o']);
  });

  test('is a letter where somebody types, and belongs to a box to tick no more than to the desk', () => {
    render(
      <>
        <Keys keys={[does('o')]} />
        <input aria-label="Words" />
        <input aria-label="Ticked" type="checkbox" />
      </>,
    );
    screen.getByLabelText('Words').focus();
    expect(press('o').defaultPrevented).toBe(false);
    wait();
    expect(done).toEqual([]);
    screen.getByLabelText('Ticked').focus();
    press('o');
    wait();
    expect(done).toEqual(['o']);
  });

  test('waits behind an open sheet, whose own keys count', () => {
    render(
      <>
        <Keys keys={[does('o'), does('i')]} />
        <Dialog title="A sheet" onClose={() => undefined}>
          <Keys keys={[does('s', { run: () => done.push('sheet s') })]} inDialog />
        </Dialog>
      </>,
    );
    for (const key of ['o', 's', 'i']) {
      press(key);
      wait();
    }
    expect(done).toEqual(['sheet s']);
  });

  test('gives way to who was told to stand before it, and a group that yields to both', () => {
    render(
      <>
        <Keys keys={[does('d')]} />
        <Keys keys={[does('d', { first: true, run: () => done.push('slip d') })]} />
        <Keys keys={[does('d', { run: () => done.push('yielding d') })]} yields />
      </>,
    );
    press('d');
    wait();
    expect(done).toEqual(['slip d']);
  });

  test('that ends a sequence is not also the command it would be alone', () => {
    render(<Keys keys={[does('t 2'), does('2')]} />);
    press('t');
    press('2');
    wait();
    expect(done).toEqual(['t 2']);
    press('2', { afterMs: 4000 });
    wait();
    expect(done).toEqual(['t 2', '2']);
  });

  test('that ends a sequence ends it on a screen that was drawn anew after its first key, and long after by a machine that stood still', () => {
    const { rerender } = render(<Keys keys={[does(', c'), does('2'), does('c')]} />);
    press(',');
    rerender(<Keys keys={[does(', c'), does('c')]} />);
    wait(4000);
    press('c');
    wait();
    expect(done).toEqual([', c']);
  });

  test('can be switched off with every single letter; what needs Ctrl still acts, from a field too', () => {
    render(
      <>
        <Keys keys={[does('o'), does('Control+Enter')]} />
        <input aria-label="Words" />
      </>,
    );
    changeSettings({ singleKeys: false });
    press('o');
    wait();
    screen.getByLabelText('Words').focus();
    press('Enter', { more: { ctrlKey: true } });
    wait();
    changeSettings({ singleKeys: true });
    expect(done).toEqual(['Control+Enter']);
  });

  test('leaves Enter and Space to a button that has the focus', () => {
    render(
      <>
        <Keys keys={[does('Enter')]} />
        <button type="button">Its own</button>
      </>,
    );
    screen.getByRole('button').focus();
    press('Enter');
    wait();
    expect(done).toEqual([]);
    screen.getByRole('button').blur();
    press('Enter');
    wait();
    expect(done).toEqual(['Enter']);
  });

  test('is pressed by a pointer as by a finger, and is gone from the map with its part of the screen', () => {
    const { unmount } = render(<Keys keys={[does('o')]} />);
    act('o');
    unmount();
    act('o');
    expect(done).toEqual(['o']);
  });
});

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
    await settleReact(() => jest.advanceTimersByTimeAsync(2000));
    expect(screen.getByLabelText<HTMLInputElement>('Ask').value).toBe('jw');
    expect(done).toEqual([]);
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
    await settleReact(() => jest.advanceTimersByTimeAsync(215));
    press('j');
    await settleReact(() => jest.advanceTimersByTimeAsync(20));
    expect(document.activeElement).toBe(screen.getByLabelText('Note'));
    expect(press('w').defaultPrevented).toBe(true);
    await settleReact(() => jest.advanceTimersByTimeAsync(500));
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
    await settleReact(() => jest.advanceTimersByTimeAsync(2000));
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
    await settleReact(() => jest.advanceTimersByTimeAsync(2000));
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
    await settleReact(() => jest.advanceTimersByTimeAsync(2000));
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
    await settleReact(() => jest.advanceTimersByTimeAsync(2000));
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
    await settleReact(() => jest.advanceTimersByTimeAsync(29_000));
    expect(done).toEqual([]);
    await settleReact(() => jest.advanceTimersByTimeAsync(2000));
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
    await settleReact(() => jest.advanceTimersByTimeAsync(2000));
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
    await settleReact(() => jest.advanceTimersByTimeAsync(100));
    press('j', { afterMs: 40 });
    await settleReact(() => jest.advanceTimersByTimeAsync(400));
    await settleReact(() => jest.advanceTimersByTimeAsync(0));
    drewAddress(undefined);
    expect(done).toEqual(['j']);
  });
});

describe('a scanner', () => {
  const scan = (code: string) => {
    for (const key of code) press(key, { afterMs: 8 });
    press('Enter', { afterMs: 8 });
  };

  test('sends a code, never commands; a command that had run at once is taken back', () => {
    const back: string[] = [];
    render(<Keys keys={[does('k', { takeBack: () => back.push('k') }), does('n'), does('Enter')]} />);
    scan('kn63dr');
    wait();
    expect(scans).toEqual([['kn63dr', false]]);
    expect([done, back]).toEqual([['k'], ['k']]);
  });

  test('behind a sheet is said to be behind it', () => {
    render(
      <Dialog title="A sheet" onClose={() => undefined}>
        <p>Read first</p>
      </Dialog>,
    );
    scan('2900041963');
    expect(scans).toEqual([['2900041963', true]]);
  });

  test('leaves a field of words as it was, and neither sends it', () => {
    const sent = jest.fn();
    render(
      <form onSubmit={sent}>
        <input aria-label="Note" data-words defaultValue="gap checked 19g63dr" />
      </form>,
    );
    const field = screen.getByLabelText<HTMLInputElement>('Note');
    field.focus();
    scan('19g63dr');
    expect(field.value).toBe('gap checked ');
    expect(sent).not.toHaveBeenCalled();
    expect(scans).toEqual([['19g63dr', true]]);
  });

  test('that stumbles between two keys has sent one code', () => {
    render(<Keys keys={[does('r')]} />);
    for (const key of '19g63') press(key, { afterMs: 8 });
    press('d', { afterMs: 60 });
    press('r', { afterMs: 8 });
    press('Enter', { afterMs: 8 });
    wait();
    expect(scans).toEqual([['19g63dr', false]]);
    expect(done).toEqual([]);
  });
});
