/** @jest-environment jsdom */
import { describe, expect, jest, test } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import { Dialog } from '../controls/dialog.tsx';
import { changeSettings } from '../settings/settings.ts';
import { done, does, Keys, scans, wait, watchKeys } from '../testing/key-map.tsx';
import { press } from '../testing/press.ts';
import { act } from './keys.ts';

watchKeys();

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
