/** @jest-environment jsdom */
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { act, cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Suspense, useLayoutEffect, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { watchForBursts } from '../keys/keys.ts';
import { changeSettings } from '../settings/settings.ts';
import { press, SETTLED_MS } from '../testing/press.ts';
import { Choice } from './choice.tsx';
import { useDraftOf } from './draft.ts';
import { OneOf } from './one-of.tsx';
import { usePickList } from './pick-list.ts';
import { fetchRooms, GoneError, room, SheetOnItsWay } from './room.tsx';
import { SureButton } from './sure-button.tsx';
import { Toggles, toggled } from './toggles.tsx';
import { TypedFigure } from './typed-figure.tsx';

afterEach(() => {
  cleanup();
  window.localStorage.clear();
});

test('what is typed at a choice before there is anything to choose from chooses once it is fetched, before another key', async () => {
  const chosen = jest.fn();
  const heard: number[] = [];
  const sellers = ['Eastgate Factors', 'Fellpost Online'].map((says) => ({ value: says, says }));
  function Form({ options }: { options: typeof sellers }) {
    useLayoutEffect(() => {
      heard.push(chosen.mock.calls.length);
    });
    return <Choice label="From" value="" options={options} onChange={chosen} autoFocus />;
  }
  const { rerender } = render(<Form options={[]} />);
  await userEvent.keyboard('Fellpost{Tab}');
  rerender(<Form options={sellers} />);
  rerender(<Form options={sellers} />);
  expect(chosen.mock.calls).toEqual([['Fellpost Online']]);
  expect(heard).toEqual([0, 1, 1]);
});

describe('a figure typed of one plug', () => {
  const type = (more: Partial<Parameters<typeof TypedFigure>[0]> = {}) => {
    const given = {
      kind: 'gap' as const,
      draft: 'gap 3 1',
      of: 'piece 1',
      onNote: jest.fn(),
      onClose: jest.fn(),
      ...more,
    };
    return { ...given, ...render(<TypedFigure {...given} />) };
  };
  const field = () => screen.getByRole<HTMLInputElement>('textbox');

  test('says what Enter does before anything is typed, and Enter on nothing notes nothing', async () => {
    const { onNote } = type();
    expect(screen.getByText('Enter writes it down, Esc leaves it.')).toBeTruthy();
    await userEvent.keyboard('{Enter}');
    expect(onNote).not.toHaveBeenCalled();
  });

  test('is told back in the unit it is kept in, and written down at one Enter', async () => {
    const { onNote } = type();
    await userEvent.type(field(), '0.9');
    expect(screen.getByText('0.90 mm')).toBeTruthy();
    await userEvent.keyboard('{Enter}');
    expect(onNote).toHaveBeenCalledWith(0.9);
  });

  test('in thousandths of an inch is millimetres', async () => {
    changeSettings({ units: 'imperial' });
    const { onNote } = type();
    await userEvent.type(field(), '0.035 in{Enter}');
    expect(onNote).toHaveBeenCalledWith(expect.closeTo(0.889, 6));
    changeSettings({ units: 'metric' });
  });

  test('that can hardly be meant is asked back and never taken at the first Enter', async () => {
    const { onNote } = type();
    await userEvent.type(field(), '35{Enter}');
    expect(onNote).not.toHaveBeenCalled();
    expect(screen.getByText(/meant\?/)).toBeTruthy();
    await userEvent.keyboard('{Enter}');
    expect(onNote).toHaveBeenCalledWith(expect.closeTo(0.889, 3));
  });

  test('of a range is no one plug’s: it is said, and nothing is noted', async () => {
    const { onNote } = type();
    await userEvent.type(field(), '0.8-0.9{Enter}{Enter}');
    expect(screen.getByText('One figure: this is one plug.')).toBeTruthy();
    expect(onNote).not.toHaveBeenCalled();
  });

  test('left half typed with Escape is there again, under its own piece alone', async () => {
    const first = type();
    await userEvent.type(field(), '0.8');
    await userEvent.keyboard('{Escape}');
    expect(first.onClose).toHaveBeenCalled();
    first.unmount();
    const again = type();
    expect(field().value).toBe('0.8');
    await userEvent.keyboard('{Enter}');
    again.unmount();
    const after = type();
    expect(field().value).toBe('');
    after.unmount();
    type({ draft: 'gap 3 2' });
    expect(field().value).toBe('');
  });
});

describe('what cannot be taken back', () => {
  test('is asked, said, and done only at the second press', async () => {
    const onSure = jest.fn();
    render(<SureButton asks="Erase" sure="Erase them for good" onSure={onSure} />);
    await userEvent.click(screen.getByRole('button', { name: 'Erase' }));
    expect(onSure).not.toHaveBeenCalled();
    await userEvent.click(screen.getByRole('button', { name: 'Not yet' }));
    expect(screen.queryByRole('button', { name: 'Erase them for good' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Erase' }));
    await userEvent.keyboard('{Enter}');
    expect(onSure).toHaveBeenCalledTimes(1);
    expect(screen.getByRole('button', { name: 'Erase' })).toBeTruthy();
  });
});

describe('things that are so or not', () => {
  test('are put on and taken off by their buttons, and say which they are', async () => {
    function Signs() {
      const [on, set] = useState<readonly string[]>(['wet']);
      return (
        <Toggles
          title="The tip"
          options={[
            { value: 'wet', says: 'wet', letter: 'a' },
            { value: 'sooty', says: 'sooty', letter: 'b' },
          ]}
          isOn={(one) => on.includes(one)}
          onChoose={(one) => set(toggled(on, one))}
          showLetters
        />
      );
    }
    render(<Signs />);
    const isOn = (name: RegExp) => screen.getByRole('button', { name }).getAttribute('aria-pressed');
    await userEvent.click(screen.getByRole('button', { name: /sooty/ }));
    expect([isOn(/wet/), isOn(/sooty/)]).toEqual(['true', 'true']);
    await userEvent.click(screen.getByRole('button', { name: /wet/ }));
    expect([isOn(/wet/), isOn(/sooty/)]).toEqual(['false', 'true']);
    expect(screen.getByRole('group', { name: 'The tip' })).toBeTruthy();
  });

  test('of which only one can be so: choosing one unchooses the other', async () => {
    const options = ['fixed', 'loose', 'taper'].map((value) => ({ value, says: value }));
    function Seat() {
      const [value, set] = useState('fixed');
      return <OneOf label="Its seat" value={value} options={options} onChange={set} />;
    }
    render(<Seat />);
    await userEvent.click(screen.getByLabelText('loose'));
    const chosen = screen.getAllByRole('radio').map((one) => one.getAttribute('aria-checked'));
    expect(chosen).toEqual(['false', 'true', 'false']);
  });
});

describe('a list', () => {
  let stop: () => void;
  beforeEach(() => {
    jest.useFakeTimers();
    stop = watchForBursts(
      () => undefined,
      () => undefined,
    );
    // The test browser lays nothing out.
    Element.prototype.scrollIntoView = () => undefined;
  });
  afterEach(() => {
    stop();
    jest.useRealTimers();
  });
  function Batches({ count }: { readonly count: number }) {
    const [picked, pick] = useState(0);
    const { listProps, rowProps } = usePickList({ label: 'Batches', row: 'batch', count, picked, pick });
    return (
      <div {...listProps}>
        {Array.from({ length: count }, (_, i) => (
          <div key={i} {...rowProps(i)}>
            batch {i + 1}
          </div>
        ))}
      </div>
    );
  }
  const picked = () => screen.queryByRole('option', { selected: true })?.textContent;
  const go = (key: string) => {
    press(key);
    act(() => jest.advanceTimersByTime(SETTLED_MS));
  };

  test('is moved through by letters, arrows, pages and ends, and stops at both', () => {
    render(<Batches count={25} />);
    const places = ['j', 'ArrowDown', 'k', 'PageDown', 'End', 'j', 'PageUp', 'Home', 'k'].map((key) => {
      go(key);
      return picked();
    });
    expect(places).toEqual([2, 3, 2, 12, 25, 25, 15, 1, 1].map((at) => `batch ${at}`));
    const list = screen.getByRole('listbox', { name: 'Batches' });
    expect(document.getElementById(list.getAttribute('aria-activedescendant')!)?.textContent).toBe('batch 1');
  });

  test('that became shorter than where one stood picks its last row; an empty one picks none', () => {
    const { rerender } = render(<Batches count={9} />);
    go('End');
    rerender(<Batches count={4} />);
    expect(picked()).toBe('batch 4');
    rerender(<Batches count={0} />);
    expect(picked()).toBeUndefined();
    expect(screen.getByRole('listbox').getAttribute('aria-activedescendant')).toBeNull();
  });
});

describe('a form half filled in', () => {
  function Form() {
    const { value, set, clear } = useDraftOf('sale', { pieces: 4 });
    return (
      <>
        <output>{value.pieces}</output>
        <button type="button" onClick={() => set({ pieces: 6 })}>
          six
        </button>
        <button type="button" onClick={clear}>
          away
        </button>
      </>
    );
  }
  const shown = () => screen.getByRole('status').textContent;

  test('survives a reload, and is gone once it was sent', async () => {
    const first = render(<Form />);
    await userEvent.click(screen.getByRole('button', { name: 'six' }));
    first.unmount();
    const again = render(<Form />);
    expect(shown()).toBe('6');
    await userEvent.click(screen.getByRole('button', { name: 'away' }));
    again.unmount();
    render(<Form />);
    expect(shown()).toBe('4');
  });

  test('that another release wrote and nobody can read begins empty', () => {
    window.localStorage.setItem('brackenfell draft sale', '{"pieces":');
    render(<Form />);
    expect(shown()).toBe('4');
  });
});

describe('a screen that is not part of the first load', () => {
  beforeEach(() => {
    jest.useFakeTimers();
  });
  afterEach(() => {
    jest.useRealTimers();
    jest.restoreAllMocks();
  });
  const Sheet = () => <p>The sheet</p>;
  const health = (ok: boolean) => {
    globalThis.fetch = jest.fn(() => Promise.resolve({ ok } as Response));
  };

  test('is tried again as long as the server is away, and then comes', async () => {
    health(false);
    let tries = 0;
    const Room = room(() => (++tries < 5 ? Promise.reject(new Error('away')) : Promise.resolve(Sheet)));
    render(
      <Suspense fallback="Fetching …">
        <Room />
      </Suspense>,
    );
    for (let i = 0; i < 6; i += 1) await act(() => jest.advanceTimersByTimeAsync(1500));
    jest.useRealTimers();
    expect(await screen.findByText('The sheet')).toBeTruthy();
    expect(tries).toBe(5);
  });

  test('of an earlier release is not waited for while the server is there: that is said', async () => {
    health(true);
    const missing = jest.fn(() => Promise.reject<typeof Sheet>(new Error('404')));
    const Room = room(missing);
    const told = jest.fn();
    jest.spyOn(console, 'error').mockImplementation(() => undefined);
    render(
      <ErrorBoundary fallback="gone" onError={told}>
        <Suspense fallback="Fetching …">
          <Room />
        </Suspense>
      </ErrorBoundary>,
    );
    for (let i = 0; i < 4; i += 1) await act(() => jest.advanceTimersByTimeAsync(1500));
    expect(told.mock.calls[0]?.[0]).toBeInstanceOf(GoneError);
    expect(missing).toHaveBeenCalledTimes(2);
  });

  test('is not imported before the files of the page are here: one that failed while the server was away is fetched again', async () => {
    const files = ['/assets/shop-1.js', '/assets/counter-2.js'];
    document.body.innerHTML = `<script type="application/json" id="files-of-release">${JSON.stringify(files)}</script>`;
    let isAway = true;
    const come: unknown[] = [];
    globalThis.fetch = jest.fn((file: unknown) => {
      if (isAway) return Promise.reject(new Error('away'));
      come.push(file);
      return Promise.resolve({ ok: true, arrayBuffer: () => Promise.resolve(new ArrayBuffer(0)) } as Response);
    });
    const imported = jest.fn(() => Promise.resolve(Sheet));
    room(imported);
    const all = fetchRooms();
    await jest.advanceTimersByTimeAsync(5000);
    expect(imported).not.toHaveBeenCalled();
    isAway = false;
    await jest.advanceTimersByTimeAsync(5000);
    await all;
    expect(come).toEqual(expect.arrayContaining(files));
    expect(imported).toHaveBeenCalledTimes(1);
    document.body.innerHTML = '';
  });

  test('is there at once when it has been fetched before, and keeps what was typed when it comes while it is waited for', async () => {
    health(true);
    const fetchAll = async () => {
      const all = fetchRooms();
      await act(() => jest.advanceTimersByTimeAsync(5000));
      await all;
    };
    const Draft = () => <input aria-label="Draft" />;
    const Early = room<object>(() => Promise.resolve(Draft));
    await fetchAll();
    const { unmount } = render(
      <Suspense fallback={<SheetOnItsWay />}>
        <Early />
      </Suspense>,
    );
    expect(screen.getByLabelText('Draft')).toBeTruthy();
    unmount();

    const Late = room<object>(() => Promise.resolve(Draft));
    const shown = () => (
      <Suspense fallback={<SheetOnItsWay />}>
        <Late />
      </Suspense>
    );
    const { rerender } = render(shown());
    expect(screen.getByRole('status').textContent).toBe('Opening …');
    await act(() => jest.advanceTimersByTimeAsync(500));
    const field = screen.getByLabelText<HTMLInputElement>('Draft');
    field.value = '0.8';
    await fetchAll();
    rerender(shown());
    expect(screen.getByLabelText<HTMLInputElement>('Draft')).toBe(field);
  });
});
