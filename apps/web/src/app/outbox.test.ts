import 'fake-indexeddb/auto';
import type { Entry } from '@yellow-cell/contract';
import { seededRandom } from '@yellow-cell/core';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

/** What is kept on the device outlives a reload: the module is loaded afresh, the storage stays. */
/** Where no answer is prepared. */
let reply: (body: { entries: Entry[] }) => Response | Promise<Response>;
let answers: ((body: { entries: Entry[] }) => Response | Promise<Response>)[];
let sent: string[][];
let late: string[];

const stored = () =>
  new Response(JSON.stringify({ stored: [], repeated: [], toSettle: [] }), { status: 200 });
const refused = (sentence: string) =>
  new Response(
    JSON.stringify({
      type: '',
      title: '',
      status: 422,
      detail: sentence,
      problems: [{ path: 'entries.0', sentence }],
    }),
    { status: 422 },
  );
const away = () =>
  new Response(
    JSON.stringify({ type: '', title: '', status: 503, detail: 'The database does not answer.' }),
    { status: 503 },
  );
const problem = (status: number) =>
  new Response(JSON.stringify({ type: '/problems/x', title: '', status, detail: 'No.' }), { status });
const nobody = () => Promise.reject(new TypeError('fetch failed'));

const entry = (id: string) => ({ id, kind: 'noted' }) as unknown as Entry;
const parcel = (id: string) => ({ id: `parcel-${id}`, title: id, entries: [entry(id)] });

async function freshOutbox() {
  vi.resetModules();
  return import('./outbox.ts');
}

beforeEach(() => {
  vi.stubGlobal('indexedDB', new IDBFactory());
  answers = [];
  reply = stored;
  sent = [];
  late = [];
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
  vi.stubGlobal('fetch', async (_: string, init: RequestInit) => {
    const body = JSON.parse(String(init.body)) as { entries: Entry[]; synced?: boolean };
    const ids = body.entries.map(({ id }) => id);
    sent.push(ids);
    if (body.synced) late.push(...ids);
    return (answers.shift() ?? reply)(body);
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const kept = async () => (await (await import('./shelf.ts')).allParcels()).map(({ title }) => title);
/** The device's own database answers on its own time, which the clock of the test does not hold. */
const settled = async (done: () => boolean | Promise<boolean>) => {
  for (let turn = 0; turn < 400 && !(await done()); turn++) {
    await vi.advanceTimersByTimeAsync(100);
    await new Promise((next) => setImmediate(next));
  }
};
/** The same, while the clock stands. */
const until = async (done: () => boolean | Promise<boolean>) => {
  while (!(await done())) await new Promise((next) => setImmediate(next));
};
const allSent = () => settled(async () => (await kept()).length === 0);

describe('the outbox', () => {
  it('knows what the server holds of it: what was read after it had answered', async () => {
    const { deliver, isIn, flush } = await freshOutbox();
    const [before, one] = [Date.now(), parcel('a')];
    expect(isIn(one, before + 60_000)).toBe(false);
    let told: boolean | undefined;
    reply = () => {
      told = isIn(one, Date.now() + 60_000);
      return stored();
    };
    const answer = deliver(one);
    await until(() => told !== undefined);
    expect(told).toBe(false);
    await until(() => isIn(one, Date.now() + 60_000) || sent.length > 1);
    expect(isIn(one, before - 1)).toBe(false);
    await allSent();
    await Promise.all([answer, flush()]);
  });

  it('sends an entry and keeps nothing once it is stored', async () => {
    const { deliver } = await freshOutbox();
    expect(await deliver(parcel('a'))).toEqual({ state: 'stored' });
    expect(sent).toEqual([['a']]);
    expect(await kept()).toEqual([]);
  });

  it('has it on the device before it asks the server', async () => {
    const { deliver } = await freshOutbox();
    let keptWhileAsking: string[] = [];
    answers = [
      async () => {
        keptWhileAsking = await kept();
        return stored();
      },
    ];
    await deliver(parcel('a'));
    expect(keptWhileAsking).toEqual(['a']);
  });

  it.each([
    ['nobody answers', nobody],
    ['the database is away', away],
  ])('keeps what it cannot send while %s, and sends it by itself later', async (_, answer) => {
    const { deliver } = await freshOutbox();
    answers = [answer, answer];
    expect(await deliver(parcel('a'))).toEqual({ state: 'kept' });
    expect(await kept()).toEqual(['a']);
    await allSent();
    expect(sent).toEqual([['a'], ['a'], ['a']]);
    expect(late).toEqual(['a', 'a']);
    expect(await kept()).toEqual([]);
  });

  it('sends in the order in which entries were made, and none twice while one is on its way', async () => {
    const { deliver } = await freshOutbox();
    answers = [away];
    await Promise.all([deliver(parcel('a')), deliver(parcel('b'))]);
    const third = deliver(parcel('c'));
    await allSent();
    await third;
    expect(sent.flat().filter((id) => id === 'b')).toHaveLength(1);
    expect(sent.flat().filter((id) => id === 'c')).toHaveLength(1);
    expect(sent.flat().indexOf('b')).toBeLessThan(sent.flat().indexOf('c'));
    expect(await kept()).toEqual([]);
  });

  it('takes a refused entry out, and tells why', async () => {
    const { deliver } = await freshOutbox();
    answers = [() => refused('That box does not exist.')];
    expect(await deliver(parcel('a'))).toEqual({
      state: 'refused',
      problems: [{ path: 'entries.0', sentence: 'That box does not exist.' }],
    });
    expect(await kept()).toEqual([]);
    expect(await deliver(parcel('b'))).toEqual({ state: 'stored' });
  });

  it('a refusal holds up nothing that waits behind it', async () => {
    const { deliver } = await freshOutbox();
    answers = [away, () => refused('No.'), stored];
    await deliver(parcel('a'));
    expect(await deliver(parcel('b'))).toEqual({ state: 'stored' });
    expect(await kept()).toEqual(['a']);
  });

  it('sets aside, with its reason, what nobody waits for and the server does not take; sends it again when asked', async () => {
    const { deliver, sendAgain, letGo } = await freshOutbox();
    const { allParcels } = await import('./shelf.ts');
    const refusals = async () => (await allParcels()).map(({ refused: why }) => why);
    answers = [nobody, () => refused('The entry to correct does not exist.'), stored];
    expect(await deliver(parcel('a'))).toEqual({ state: 'kept' });
    await settled(async () => (await refusals()).some((why) => why !== undefined));
    expect(await refusals()).toEqual(['The entry to correct does not exist.']);
    expect(await deliver(parcel('b'))).toEqual({ state: 'stored' });
    sent = [];
    await freshOutbox();
    await settled(() => false);
    expect(sent).toEqual([]);
    expect(await kept()).toEqual(['a']);

    answers = [() => refused('Still not.')];
    await sendAgain('parcel-a');
    expect(await refusals()).toEqual(['Still not.']);
    await sendAgain('parcel-a');
    expect(await kept()).toEqual([]);
    answers = [nobody, () => refused('No.')];
    await deliver(parcel('c'));
    await settled(async () => (await refusals())[0] !== undefined);
    await letGo('parcel-c');
    expect(await kept()).toEqual([]);
  });

  it('sends an entry at once, and as made now, while the screens still read what the one before it changed', async () => {
    vi.resetModules();
    vi.doMock('./queries.ts', () => ({
      refreshAfterEntry: () => new Promise((over) => setTimeout(over, 3_000)),
    }));
    const { deliver } = await import('./outbox.ts');
    const first = deliver(parcel('a'));
    await until(() => sent.length > 0);
    const second = deliver(parcel('b'));
    await until(() => sent.length > 1);
    expect(sent).toEqual([['a'], ['b']]);
    expect(late).toEqual([]);
    await settled(async () => (await kept()).length === 0);
    expect(await Promise.all([first, second])).toEqual([{ state: 'stored' }, { state: 'stored' }]);
    expect(sent).toEqual([['a'], ['b']]);
    vi.doUnmock('./queries.ts');
  });

  it('takes back what was just answered once the screens have read it, so that nothing is undone twice', async () => {
    vi.resetModules();
    let reads = 0;
    vi.doMock('./queries.ts', () => ({
      refreshAfterEntry: () => {
        reads += 1;
        return new Promise((over) => setTimeout(over, 3_000));
      },
    }));
    const { deliver } = await import('./outbox.ts');
    const made = deliver(parcel('a'));
    await until(() => reads > 0);
    const undone = deliver({ ...parcel('u'), entries: [{ ...entry('u'), corrects: 'a' } as Entry] });
    // On the device at once, and not sent while they read; what is about something else is not held up.
    await until(async () => (await kept()).includes('u'));
    for (let turn = 0; turn < 50; turn++) await new Promise((next) => setImmediate(next));
    expect(sent).toEqual([['a']]);
    const other = deliver(parcel('b'));
    await until(() => sent.flat().includes('b'));
    await settled(async () => (await kept()).length === 0);
    expect(await Promise.all([made, undone, other])).toEqual(new Array(3).fill({ state: 'stored' }));
    expect(sent.flat().sort()).toEqual(['a', 'b', 'u']);
    expect(late).toEqual([]);
    vi.doUnmock('./queries.ts');
  });

  it('says of each of many made at once that it is stored', async () => {
    const { deliver } = await freshOutbox();
    const names = ['a', 'b', 'c', 'd', 'e'];
    const said = await Promise.all(names.map((name) => deliver(parcel(name))));
    expect(said).toEqual(names.map(() => ({ state: 'stored' })));
    expect(sent).toEqual(names.map((name) => [name]));
    expect(late).toEqual([]);
  });

  it('sends all that waited as made without a connection, not the first alone', async () => {
    const { deliver } = await freshOutbox();
    answers = [nobody, nobody, nobody];
    for (const id of ['a', 'b', 'c']) expect(await deliver(parcel(id))).toEqual({ state: 'kept' });
    await allSent();
    expect(late.filter((id) => id !== 'a')).toEqual(['b', 'c']);
    expect(await deliver(parcel('d'))).toEqual({ state: 'stored' });
    expect(late).not.toContain('d');
  });

  it('sends after a reload what was left, with the same ids', async () => {
    const first = await freshOutbox();
    answers = [nobody];
    await first.deliver(parcel('a'));
    sent = [];
    await freshOutbox();
    await settled(() => sent.length > 0);
    expect(sent[0]).toEqual(['a']);
    await allSent();
    expect(await kept()).toEqual([]);
  });

  it('loses nothing that another tab keeps on the same device', async () => {
    const [one, other] = [await freshOutbox(), await freshOutbox()];
    // The second may see what the first keeps while it starts, and try it of its own accord.
    answers = new Array(8).fill(nobody);
    await one.deliver(parcel('a'));
    await other.deliver(parcel('b'));
    expect(await kept()).toEqual(['a', 'b']);
    answers = [];
    await allSent();
    expect(new Set(sent.flat())).toEqual(new Set(['a', 'b']));
    expect(await kept()).toEqual([]);
  });

  it.each([
    ['401 of a proxy', () => new Response('<h1>Who are you?</h1>', { status: 401 })],
    ['429', () => new Response('{}', { status: 429, headers: { 'retry-after': '1' } })],
    ['500 of the program', () => problem(500)],
    ['502 as a page', () => new Response('<html>Bad gateway</html>', { status: 502 })],
    ['404 of a proxy', () => new Response('<html>Nothing here</html>', { status: 404 })],
    ['a page with status 200', () => new Response('<html>Log in</html>', { status: 200 })],
    ['JSON of somebody else', () => new Response('{"welcome":true}', { status: 200 })],
    ['an answer cut off', () => new Response('{"stored":[', { status: 200 })],
  ])('takes %s for “later”, and sets nothing aside', async (_, answer) => {
    const { deliver } = await freshOutbox();
    answers = [answer, answer, answer];
    expect(await deliver(parcel('a'))).toEqual({ state: 'kept' });
    const { allParcels } = await import('./shelf.ts');
    expect((await allParcels()).map(({ refused: why }) => why)).toEqual([undefined]);
    await allSent();
    expect(sent.flat()).toEqual(['a', 'a', 'a', 'a']);
  });

  it.each([409, 422])(
    'sets aside what a %i of the program refuses when nobody waits any more',
    async (status) => {
      const { deliver } = await freshOutbox();
      answers = [nobody, () => problem(status)];
      await deliver(parcel('a'));
      const { allParcels } = await import('./shelf.ts');
      await settled(async () => (await allParcels()).some(({ refused: why }) => why !== undefined));
      expect(await kept()).toEqual(['a']);
    },
  );

  it('asks again no sooner than the server wants', async () => {
    const { deliver } = await freshOutbox();
    answers = [() => new Response('{}', { status: 503, headers: { 'retry-after': '30' } })];
    await deliver(parcel('a'));
    await vi.advanceTimersByTimeAsync(29_000);
    await new Promise((turn) => setImmediate(turn));
    expect(sent).toEqual([['a']]);
    await allSent();
    expect(sent).toEqual([['a'], ['a']]);
  });

  it('lets entries of other boxes past one at which the server fails, keeps the order within its box, and after three failures lets all past', async () => {
    const { deliver, isOvertaken } = await freshOutbox();
    const { allParcels } = await import('./shelf.ts');
    let broken = true;
    const about = (id: string, box: string) => ({
      ...parcel(id),
      entries: [{ id, kind: 'noted', payload: { box } } as unknown as Entry],
    });
    reply = ({ entries }) => (broken && entries[0]?.id === 'bad' ? problem(500) : stored());
    expect(await deliver(about('bad', 'B1'))).toEqual({ state: 'kept' });
    expect(await deliver(about('after', 'B1'))).toEqual({ state: 'kept' });
    expect(await deliver(about('other', 'B2'))).toEqual({ state: 'stored' });
    expect(sent.flat()).not.toContain('after');
    expect(await kept()).toEqual(['bad', 'after']);
    // While nothing else is answered, it is not known to be the entry’s fault.
    await settled(() => false);
    expect((await allParcels()).map(({ failures }) => failures)).toEqual([1, undefined]);
    for (const id of ['x', 'y']) await deliver(about(id, 'B3'));
    const [bad] = await allParcels();
    expect(bad && isOvertaken(bad)).toBe(true);
    await settled(async () => (await kept()).length === 1);
    expect(await kept()).toEqual(['bad']);
    broken = false;
    await allSent();
    expect(new Set(sent.flat())).toEqual(new Set(['bad', 'after', 'other', 'x', 'y']));
  });

  it('brings 300 entries through every answer, lost ones, reloads and two tabs, each once and in the order of its box', async () => {
    const random = seededRandom(7);
    let turn: Promise<unknown> = Promise.resolve();
    const request = (_: string, work: () => Promise<void>) => {
      turn = turn.then(work, work);
      return turn;
    };
    vi.stubGlobal('navigator', { locks: { request } });
    const log: string[] = [];
    const known = new Set<string>();
    const take = (entries: readonly Entry[]) => {
      for (const { id } of entries) if (!known.has(id)) log.push(id);
      for (const { id } of entries) known.add(id);
      return stored();
    };
    const odd = [
      nobody,
      away,
      () => problem(500),
      () => problem(429),
      () => new Response('<html/>', { status: 502 }),
      () => new Response('<html/>', { status: 200 }),
      () => new Response('', { status: 401 }),
    ];
    reply = ({ entries }) => {
      const chance = random();
      if (chance < 0.55) return take(entries);
      if (chance < 0.7) {
        take(entries); // stored, and the answer is lost
        return nobody();
      }
      return (odd[Math.floor(random() * odd.length)] ?? nobody)();
    };
    const made: string[] = [];
    let tabs = [await freshOutbox(), await freshOutbox()];
    for (let index = 0; index < 300; index++) {
      const id = `${index % 7}-${index}`;
      made.push(id);
      void tabs[index % 2]?.deliver({
        ...parcel(id),
        entries: [{ id, kind: 'noted', payload: { box: `B${index % 7}` } } as unknown as Entry],
      });
      await until(async () => known.has(id) || (await kept()).includes(id));
      if (index % 10 === 0) await settled(() => random() < 0.3);
      if (index % 90 === 89) tabs = [await freshOutbox(), await freshOutbox()];
    }
    // However often it takes: the limit of the test ends what never does.
    while ((await kept()).length > 0) await settled(async () => (await kept()).length === 0);
    expect([...log].sort()).toEqual([...made].sort());
    for (let box = 0; box < 7; box++) {
      const of = (ids: readonly string[]) => ids.filter((id) => id.startsWith(`${box}-`));
      expect(of(log)).toEqual(of(made));
    }
  }, 120_000);

  it('works, if only for this visit, where the browser refuses storage', async () => {
    vi.stubGlobal('indexedDB', undefined);
    const { deliver } = await freshOutbox();
    answers = [away];
    expect(await deliver(parcel('a'))).toEqual({ state: 'kept' });
    await settled(() => sent.length > 1);
    expect(sent).toEqual([['a'], ['a']]);
  });
});
