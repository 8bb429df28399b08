/** @jest-environment jsdom */
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { watchForBursts } from '../keys/keys.ts';
import { press } from '../testing/press.ts';
import { line, matter, slip } from '../testing/slips.ts';
import { CollectDialog, EndDialog } from './collect-dialog.tsx';
import { NoteDialog } from './note-dialog.tsx';
import { QuantityDialog } from './quantity-dialog.tsx';

afterEach(() => {
  cleanup();
  window.localStorage.clear();
});

describe('how many of a line', () => {
  const ask = (more: Partial<Parameters<typeof QuantityDialog>[0]> = {}) => {
    const given = { slip: slip(), line: line(), store: jest.fn(), onClose: jest.fn(), ...more };
    render(<QuantityDialog {...given} />);
    return given;
  };
  const field = () => screen.getByLabelText<HTMLInputElement>('Pieces in all');

  test('says what the engine takes, and has the number there is ready to be typed over', async () => {
    const { store, onClose } = ask();
    expect(screen.getByRole('dialog')).toHaveProperty('textContent', expect.stringContaining('the engine takes 4'));
    await userEvent.keyboard('2{Enter}');
    expect(store).toHaveBeenCalledWith(2);
    expect(onClose).toHaveBeenCalledTimes(1);
  });

  test.each(['0', '-1', '2.5', '', 'four', '1e2'])(
    '“%s” is no number of pieces, and Enter sets nothing',
    async (typed) => {
      const { store } = ask();
      fireEvent.change(field(), { target: { value: typed } });
      expect(screen.getByText('A whole number from 1 to 999.')).toBeTruthy();
      await userEvent.keyboard('{Enter}');
      expect(store).not.toHaveBeenCalled();
    },
  );

  test('more than all the engines of a slip take is asked once more before it is set', async () => {
    const { store } = ask({ slip: slip({ engineCount: 2 }) });
    fireEvent.change(field(), { target: { value: '9' } });
    expect(screen.getByText('That is 1 more than they take: is it meant?')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Yes, 9' }));
    expect(store).toHaveBeenCalledWith(9);
  });

  test('a pack is not broken: six of what comes in fours is refused, eight is not', async () => {
    const { store } = ask({ line: line({ packOf: 4 }) });
    fireEvent.change(field(), { target: { value: '6' } });
    await userEvent.keyboard('{Enter}');
    expect(store).not.toHaveBeenCalled();
    fireEvent.change(field(), { target: { value: '8' } });
    await userEvent.keyboard('{Enter}');
    expect(store).toHaveBeenCalledWith(8);
  });

  test('tells what the shelf has before more is asked of it', () => {
    const open = [matter('not-on-shelf', '3 on the shelf, 4 on the slip', '11')];
    ask({ slip: slip({ open }) });
    expect(screen.getByText('3 on the shelf, 4 on the slip')).toBeTruthy();
  });
});

describe('a note', () => {
  const write = (more: Partial<Parameters<typeof NoteDialog>[0]> = {}) => {
    const given = { docket: '4 203', draft: 'slip 3', store: jest.fn(), onClose: jest.fn(), ...more };
    return { ...given, ...render(<NoteDialog {...given} />) };
  };
  const field = () => screen.getByLabelText<HTMLInputElement>('What was said or found');

  test('half typed is there when it is opened again, whatever closed it, and only on its own slip', async () => {
    const { unmount } = write();
    await userEvent.type(field(), 'gap checked at 0.9');
    unmount();
    const again = write();
    expect(field().value).toBe('gap checked at 0.9');
    again.unmount();
    write({ draft: 'slip 4' });
    expect(field().value).toBe('');
  });

  test('written down is kept no more as half typed; blanks are no note', async () => {
    const { store, unmount } = write();
    await userEvent.type(field(), '   {Enter}');
    expect(store).not.toHaveBeenCalled();
    await userEvent.type(field(), 'lead 3 chafed {Enter}');
    expect(store).toHaveBeenCalledWith('lead 3 chafed');
    unmount();
    write();
    expect(field().value).toBe('');
  });

  test('thrown away is gone; one written anew begins with its wording, and may be emptied', async () => {
    const first = write();
    await userEvent.type(field(), 'wrong slip');
    await userEvent.click(screen.getByRole('button', { name: 'Throw it away' }));
    expect(first.onClose).toHaveBeenCalled();
    first.unmount();
    write({ draft: 'note 8', wording: 'lead 3 chafed' });
    await waitFor(() => expect(field().value).toBe('lead 3 chafed'));
    await userEvent.clear(field());
    expect(field().value).toBe('');
  });
});

describe('the sale', () => {
  const sell = (given: Partial<Parameters<typeof CollectDialog>[0]> = {}) => {
    const did = { onAnswer: jest.fn(), onCollect: jest.fn(), onCollectPart: jest.fn(), onClose: jest.fn() };
    render(<CollectDialog slip={slip()} {...did} {...given} />);
    return did;
  };

  test('names the sum and what the customer is told, and is asked once', async () => {
    const { onCollect } = sell({ slip: slip({ lines: [line({ toTell: ['one step colder than it had'] })] }) });
    expect(screen.getByText(/one step colder than it had/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: /^Collected, .*45\.12 to pay/ }));
    expect(onCollect).toHaveBeenCalledTimes(1);
  });

  test('is not offered while anything is open: each thing says of which line it is, and its letter goes there', () => {
    const open = [matter('batch-not-named', 'which batch is it from?', '11'), matter('question', 'which build is it?')];
    const { onAnswer } = sell({ slip: slip({ open }) });
    const stop = watchForBursts(
      () => undefined,
      () => undefined,
    );
    expect(screen.queryByRole('button', { name: /to pay/ })).toBeNull();
    expect(screen.getByRole('button', { name: /KN 419G-63DR: which batch is it from\?.*Name the batch/ })).toBeTruthy();
    jest.useFakeTimers();
    press('b');
    jest.advanceTimersByTime(100);
    jest.useRealTimers();
    stop();
    expect(onAnswer).toHaveBeenCalledWith(open[1]);
  });

  test('of a part of it takes whole numbers up to what is on the slip, and neither nothing nor all', async () => {
    const lines = [line(), line({ lineId: '12', printed: 'HB/19/45.D1', quantity: 2 })];
    const { onCollectPart } = sell({ slip: slip({ lines }) });
    await userEvent.click(screen.getByText('Only a part of it leaves now'));
    const of = (printed: string, typed: string) =>
      fireEvent.change(screen.getByLabelText(`Of ${printed} now`), { target: { value: typed } });
    const take = () => userEvent.click(screen.getByRole('button', { name: 'Collect this part' }));
    await take();
    of('KN 419G-63DR', '5');
    expect(screen.getByText('A whole number, and no more than is on the slip.')).toBeTruthy();
    await take();
    of('KN 419G-63DR', '0');
    of('HB/19/45.D1', '0');
    expect(screen.getByText(/^Nothing leaves/)).toBeTruthy();
    await take();
    expect(onCollectPart).not.toHaveBeenCalled();
    of('HB/19/45.D1', '1');
    expect(screen.getByText('5 left for a slip that waits.')).toBeTruthy();
    await take();
    expect(onCollectPart).toHaveBeenCalledWith([{ lineId: '12', quantity: 1 }]);
  });

  test('of what is refused is never part of it', async () => {
    sell({ slip: slip({ lines: [line(), line({ lineId: '12', printed: 'HB/19/45.D1', verdict: 'refuse' })] }) });
    await userEvent.click(screen.getByText('Only a part of it leaves now'));
    expect(screen.queryByLabelText('Of HB/19/45.D1 now')).toBeNull();
  });

  test('that did not come about is ended with a reason, by its letter', () => {
    const onEnd = jest.fn();
    function Ends() {
      const [isOpen, open] = useState(true);
      return isOpen ? <EndDialog slip={slip()} onEnd={onEnd} onClose={() => open(false)} /> : null;
    }
    render(<Ends />);
    const stop = watchForBursts(
      () => undefined,
      () => undefined,
    );
    jest.useFakeTimers();
    press('a');
    jest.advanceTimersByTime(100);
    jest.useRealTimers();
    stop();
    expect(onEnd).toHaveBeenCalledTimes(1);
    press('Escape');
    expect(screen.queryByRole('dialog')).toBeNull();
  });
});
