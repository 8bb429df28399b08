import { describe, expect, test } from '@jest/globals';
import { NEW_SLIP, Outbox, type Intent, type Outcome, type Shelf } from './outbox.ts';

interface Reply {
  readonly slipId: string;
  readonly version: number;
}

/** A browser's storage that outlives the page. */
function shelf(): Shelf & { readonly kept: Map<string, string> } {
  const kept = new Map<string, string>();
  return {
    kept,
    get length() {
      return kept.size;
    },
    key: (i) => [...kept.keys()][i] ?? null,
    getItem: (name) => kept.get(name) ?? null,
    setItem: (name, text) => void kept.set(name, text),
    removeItem: (name) => void kept.delete(name),
  };
}

/** A server that can be away, lose its answer after storing, or find the slip changed by somebody else. */
function server() {
  const stored: Intent[] = [];
  const answers = new Map<string, Reply>();
  const state = { away: false, losesAnswer: false, version: 1 };
  return {
    stored,
    state,
    send: (intent: Intent): Promise<Outcome<Reply>> => {
      if (state.away) return Promise.resolve({ kind: 'kept' });
      const first = answers.get(intent.key);
      if (first) return Promise.resolve({ kind: 'stored', reply: first });
      if (intent.name !== 'createSlip' && intent.version !== state.version)
        return Promise.resolve({ kind: 'overtaken' });
      state.version += intent.name === 'createSlip' ? 0 : 1;
      stored.push(intent);
      const reply = { slipId: '77', version: state.version };
      answers.set(intent.key, reply);
      return Promise.resolve(state.losesAnswer ? { kind: 'kept' } : { kind: 'stored', reply });
    },
    versionOf: () => Promise.resolve(state.away ? undefined : state.version),
    readSlip: (reply: Reply) => reply,
  };
}

const intent = (name: Intent['name'], says: string, slipId = '77'): Omit<Intent, 'key'> => ({
  staffId: '1',
  name,
  slipId,
  says,
  request: { params: { slipId }, body: { says } },
});

describe('a write on a slip', () => {
  test('made while the server is gone waits, survives a reload, and all arrive once and in order', async () => {
    const [kept, far] = [shelf(), server()];
    far.state.away = true;
    const page = new Outbox(kept, far);
    for (const [name, says] of [
      ['addLine', 'line'],
      ['changeLine', 'quantity'],
      ['addNote', 'note'],
      ['parkSlip', 'park'],
    ] as const)
      page.add(intent(name, says));
    await page.flush('1');
    expect(page.waiting.map(({ says }) => says)).toEqual(['line', 'quantity', 'note', 'park']);
    const reloaded = new Outbox(kept, far);
    far.state.away = false;
    await reloaded.flush('1');
    expect(far.stored.map(({ says }) => says)).toEqual(['line', 'quantity', 'note', 'park']);
    expect([reloaded.waiting, kept.kept.size]).toEqual([[], 0]);
  });

  test('stands by its answer before it is crossed out here: at no moment is it neither', async () => {
    const far = server();
    let heard: readonly string[] = [];
    const page = new Outbox<Reply>(shelf(), {
      ...far,
      heard: () => (heard = [...heard, ...page.waiting.map(({ says }) => says)]),
    });
    const gone: boolean[] = [];
    page.add(intent('tickStep', 'cold'));
    page.add(intent('tickStep', 'not cold'));
    page.subscribe(() => page.waiting.some(({ says }) => says === 'cold') || gone.push(heard.includes('cold')));
    await page.flush('1');
    expect(gone).not.toHaveLength(0);
    expect(gone).not.toContain(false);
    expect(heard).toEqual(['cold', 'not cold', 'not cold']);
  });

  test('whose answer was lost is sent again as the very same call, and stored once', async () => {
    const [kept, far] = [shelf(), server()];
    const page = new Outbox(kept, far);
    far.state.losesAnswer = true;
    page.add(intent('addNote', 'note'));
    await page.flush('1');
    far.state.losesAnswer = false;
    await new Outbox(kept, far).flush('1');
    expect(far.stored).toHaveLength(1);
  });

  test('that another change overtook goes out against the slip as it stands now', async () => {
    const far = server();
    const page = new Outbox(shelf(), far);
    page.saw('77', 1);
    far.state.version = 5;
    page.add(intent('addNote', 'note'));
    await page.flush('1');
    expect(far.stored.map(({ version }) => version)).toEqual([5]);
  });

  test('on a slip begun while the server was gone follows it under the number it is given', async () => {
    const far = server();
    const page = new Outbox(shelf(), far);
    const name = `${NEW_SLIP}a`;
    page.add(intent('createSlip', 'begin', name));
    page.add(intent('addLine', 'line', name));
    await page.flush('1');
    expect(far.stored.map((one) => one.request.params?.slipId)).toEqual([name, '77']);
    expect(page.begunAs(name)).toBe('77');
  });

  test('is stored before whoever wrote it hands over; nobody waits for a server that is gone, nor for another’s', async () => {
    const far = server();
    const page = new Outbox(shelf(), far);
    const isMine = ({ staffId }: Intent) => staffId === '1';
    page.add({ ...intent('addNote', 'another’s'), staffId: '2' });
    expect(await page.untilSent(isMine, 60_000)).toBe(0);
    page.add(intent('addNote', 'mine'));
    const isSent = page.untilSent(isMine, 60_000);
    void page.flush('1');
    expect(await isSent).toBe(0);
    far.state.away = true;
    page.add(intent('addNote', 'mine once more'));
    void page.flush('1');
    expect(await page.untilSent(isMine, 20)).toBe(1);
    expect(page.waiting.map(({ says }) => says)).toEqual(['another’s', 'mine once more']);
  });

  test('refused for good is told and let go of, and what stands behind it goes on', async () => {
    const far = server();
    const refusing = {
      ...far,
      send: (one: Intent) =>
        one.says === 'wrong'
          ? Promise.resolve({ kind: 'refused' as const, why: 'no', error: new Error('no') })
          : far.send(one),
    };
    const page = new Outbox(shelf(), refusing);
    const told: string[] = [];
    page.add(intent('addNote', 'wrong'), { onRefused: (why) => told.push(why) });
    page.add(intent('addNote', 'right'));
    await page.flush('1');
    expect([told, far.stored.map(({ says }) => says), page.waiting]).toEqual([['no'], ['right'], []]);
  });

  test('of a colleague who used this counter before waits until they are back', async () => {
    const far = server();
    const page = new Outbox(shelf(), far);
    page.add(intent('addNote', 'mine'));
    await page.flush('2');
    expect(page.waiting).toHaveLength(1);
  });
});
