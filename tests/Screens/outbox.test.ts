import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { Problem, Unreachable } from '../../resources/js/api/client';
import type { Job } from '../../resources/js/api/jobs';
import { closing, freshDevice, settle, storage } from './device';

/*
 * Random histories of two tabs on one device, offline and not, held against what was typed: nothing lost, nothing twice, in order, under the
 * name of who typed it. HISTORIES says how many; bin/trial tabs has ten thousand.
 */
const HISTORIES = Number(process.env.HISTORIES ?? 150);
const SEED = Number(process.env.SEED ?? 20261127);
const PEOPLE = ['ines', 'tomas'];
const JOBS = ['job-1', 'job-2'];

/** Marsaglia's xorshift on 32 bits. */
function randomFrom(seed: number): () => number {
  let state = seed | 0 || 1;
  return () => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    return (state >>> 0) / 4294967296;
  };
}

type Outbox = import('../../resources/js/lib/outbox').Outbox;
type Typed = {
  id: string;
  job: string;
  by: string;
  tab: number;
  bad: boolean;
  /** Steps of the history between which it was typed and written down; null while it is not. */
  from: number;
  kept: number | null;
  gone: boolean;
};
type Tab = { outbox: Outbox; open: boolean; person: string | null };

class History {
  readonly log: string[] = [];
  private readonly random: () => number;
  private readonly tabs: Tab[] = [];
  private readonly typed = new Map<string, Typed>();
  private readonly story: string[] = [];
  /** What the server found wrong; a refusal of its own would only be kept as one. */
  private readonly wrong: string[] = [];
  private online = true;
  private calm = false;
  private session: string | null = PEOPLE[0] ?? null;
  private step = 0;

  constructor(
    private readonly make: new (send: never) => Outbox,
    seed: number,
    secure: boolean,
  ) {
    this.random = randomFrom(seed);
    freshDevice(secure);
  }

  async run(): Promise<void> {
    for (let n = 0; n < 2; n++) this.open(n);
    const steps = 10 + this.below(25);
    for (this.step = 1; this.step <= steps; this.step++) await this.something();
    await this.end();
  }

  private below(n: number): number {
    return Math.floor(this.random() * n);
  }

  private open(n: number): void {
    const tab: Tab = { open: true, person: this.session, outbox: undefined as unknown as Outbox };
    tab.outbox = new this.make(((job: string, wire: Record<string, unknown>) => this.answer(tab, job, wire)) as never);
    this.tabs[n] = tab;
    this.attend(tab, this.session);
  }

  private attend(tab: Tab, person: string | null): void {
    tab.person = person;
    tab.outbox.attend(person, {
      answered: () => undefined,
      signedOut: () => undefined,
      another: () => setImmediate(() => tab.open && this.attend(tab, this.session)),
    });
  }

  /** The server: an id is logged once, whoever is signed in writes in their own name, what is wrong is refused. */
  private async answer(tab: Tab, job: string, wire: Record<string, unknown>): Promise<Job> {
    const fate = this.random();
    await settle(this.below(4));
    if (!tab.open || !this.online || (!this.calm && fate < 0.1)) throw new Unreachable();
    if (!this.calm && fate < 0.15) throw new Problem(503, 'busy');
    const id = String(wire.id);
    const typed = this.typed.get(id);
    if (typed === undefined || typed.by !== wire.by || typed.job !== job) {
      this.wrong.push(`${id} is not what was typed.`);
      throw new Unreachable();
    }
    if (this.session !== wire.by) throw new Problem(409, 'another', [], '/problems/written-by-another');
    if (typed.bad) throw new Problem(422, 'no');
    if (!this.log.includes(id)) {
      for (const before of this.typed.values()) {
        const owed = before.job === job && before.by === typed.by && !before.gone && !this.log.includes(before.id);
        const first =
          before.tab === typed.tab ? this.order(before) < this.order(typed) : (before.kept ?? 1e9) < typed.from;
        if (owed && first) this.wrong.push(`${this.name(id)} is logged before ${this.name(before.id)}.`);
      }
      this.log.push(id);
      this.story.push(`logged ${this.name(id)}`);
    }
    if (!this.calm && fate > 0.9) throw new Unreachable();
    return {} as Job;
  }

  private order = (one: Typed): number => [...this.typed.keys()].indexOf(one.id);
  private name = (id: string): string => `e${[...this.typed.keys()].indexOf(id) + 1}`;

  private type(n: number): void {
    const tab = this.tabs[n];
    if (tab === undefined || tab.person === null || tab.outbox.isFull()) return;
    const job = JOBS[this.below(JOBS.length)] ?? '';
    const by = tab.person;
    const entry = tab.outbox.put(job, 'head', { line: String(this.step), shown: {} });
    if (entry === null) return;
    const typed: Typed = {
      id: entry.id,
      job,
      by,
      tab: n,
      bad: this.random() < 0.08,
      from: this.step,
      kept: null,
      gone: false,
    };
    this.typed.set(entry.id, typed);
    this.story.push(`tab ${n} ${by} types ${this.name(entry.id)} in ${job}${typed.bad ? ', to be refused' : ''}`);
  }

  private async something(): Promise<void> {
    const tab = this.below(2);
    const what = this.random();
    if (what < 0.4) this.type(tab);
    else if (what < 0.5) for (const n of [0, 1]) this.type(n);
    else if (what < 0.62) this.network(!this.online);
    else if (what < 0.72) this.close(tab);
    else if (what < 0.8) this.takeOver(tab);
    else if (what < 0.87) await this.look(tab);
    else if (what < 0.91) this.fill(!storage.full);
    else vi.advanceTimersByTime(9_000);
    if (this.random() < 0.6) await settle(this.below(80));
    this.written();
  }

  private network(online: boolean): void {
    this.online = online;
    this.story.push(online ? 'network back' : 'network gone');
    window.dispatchEvent(new Event(online ? 'online' : 'offline'));
  }

  private fill(full: boolean): void {
    storage.full = full;
    this.story.push(full ? 'storage full' : 'room again');
  }

  private close(n: number): void {
    const tab = this.tabs[n];
    if (tab === undefined) return;
    this.written();
    tab.open = false;
    tab.outbox.attend(null, { answered: () => undefined, signedOut: () => undefined, another: () => undefined });
    // What was not written down yet may be gone with its page.
    for (const one of this.typed.values())
      if (one.tab === n && one.kept === null && !this.log.includes(one.id)) one.gone = true;
    this.story.push(`tab ${n} closed and opened`);
    this.open(n);
  }

  private takeOver(n: number): void {
    const tab = this.tabs[n];
    if (tab === undefined) return;
    this.session = PEOPLE[this.below(PEOPLE.length)] ?? null;
    this.story.push(`tab ${n}: ${this.session} takes over`);
    this.attend(tab, this.session);
  }

  /** Somebody looks at what was refused: takes it out, or puts it right with the next one. */
  private async look(n: number): Promise<void> {
    const tab = this.tabs[n];
    const refused = tab?.outbox.entries.get().find((one) => one.state === 'refused' && one.by === tab.person);
    if (tab === undefined || refused === undefined) return;
    const typed = this.typed.get(refused.id);
    if (typed === undefined) throw new Error('Refused, and never typed.');
    this.story.push(`tab ${n} takes ${this.name(refused.id)} out`);
    typed.gone = true;
    tab.outbox.drop(refused.id);
  }

  /** Which of those typed are on the device by now. */
  private written(): void {
    for (const tab of this.tabs) {
      const entries = tab.outbox.entries as unknown as { unwritten: readonly { id: string }[] };
      const loose = new Set(entries.unwritten.map((one) => one.id));
      for (const one of this.typed.values())
        if (this.tabs[one.tab] === tab && one.kept === null && !loose.has(one.id)) one.kept = this.step;
    }
  }

  /** Everybody comes back, one after the other, with a network that holds. */
  private async end(): Promise<void> {
    this.calm = true;
    this.fill(false);
    this.network(true);
    for (const person of [...PEOPLE, ...PEOPLE]) {
      this.session = person;
      for (const tab of this.tabs) this.attend(tab, person);
      for (let more = 0; more < 30; more++) {
        vi.advanceTimersByTime(9_000);
        await settle();
        for (let n = 0; n < 2; n++) await this.look(n);
      }
    }
    expect(this.wrong, this.told('wrong')).toEqual([]);
    const owed = [...this.typed.values()].filter((one) => !one.gone && !one.bad && !this.log.includes(one.id));
    expect(
      owed.map((one) => this.name(one.id)),
      this.told('lost'),
    ).toEqual([]);
    const kept = await this.tabs[0]?.outbox.entries.reload();
    expect(
      kept?.map((one) => this.name(one.id)),
      this.told('still kept'),
    ).toEqual([]);
    expect(new Set(this.log).size, this.told('twice')).toBe(this.log.length);
  }

  told = (what: string): string => `${what}\n${this.story.join('\n')}`;
}

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
});
afterEach(() => {
  vi.useRealTimers();
});

test.each([true, false])(
  'what two tabs typed arrives once, in order, under its name (turns known: %s)',
  async (secure) => {
    freshDevice(secure);
    const { Outbox } = await import('../../resources/js/lib/outbox');
    let logged = 0;
    for (let n = 0; n < HISTORIES / 2; n++) {
      const history = new History(Outbox as never, SEED + n * 7919, secure);
      await history.run();
      logged += history.log.length;
    }
    expect(logged).toBeGreaterThan(HISTORIES);
  },
);

test('an entry waits until what was made of it is shown, and not a moment longer', async () => {
  freshDevice(true);
  const { Outbox } = await import('../../resources/js/lib/outbox');
  const outbox = new Outbox((async (place: string) => ({ id: place })) as never);
  const story: string[] = [];
  outbox.attend('ines', { answered: () => story.push('shown'), signedOut: () => {}, another: () => {} });
  await settle();
  const entry = outbox.put('job-1', 'head', { line: 'ok', shown: {} });
  outbox.entries.subscribe(() =>
    story.push(outbox.entries.get().some((one) => one.id === entry?.id) ? 'waits' : 'gone'),
  );
  await settle();
  expect(story.filter((what, place) => what !== story[place - 1])).toEqual(['waits', 'shown', 'gone']);
  expect(outbox.status()).toBe('calm');
});

test('what is dropped is shown until the device has forgotten it, and what waited behind it goes out', async () => {
  freshDevice(true);
  const { Outbox } = await import('../../resources/js/lib/outbox');
  const logged: unknown[] = [];
  const outbox = new Outbox((async (place: string, wire: { line?: string }) => {
    if (wire.line === 'bad') throw new Problem(422, 'It has no number in it.');
    logged.push(wire.line);
    return { id: place };
  }) as never);
  outbox.attend('ines', { answered: () => {}, signedOut: () => {}, another: () => {} });
  await settle();
  const bad = outbox.put('job-1', 'head', { line: 'bad', shown: {} });
  outbox.put('job-1', 'head', { line: '17.5', shown: {} });
  await settle();
  expect(outbox.entries.get().map((one) => one.state)).toEqual(['refused', 'waiting']);
  expect(logged).toEqual([]);
  outbox.drop(bad?.id ?? '');
  expect(outbox.entries.get().map((one) => one.state)).toEqual(['refused', 'waiting']);
  await settle();
  expect(logged).toEqual(['17.5']);
  expect(outbox.entries.get()).toEqual([]);
});

test('what is taken out is sent no more, and what a device could not forget is still seen', async () => {
  freshDevice(true);
  const { Outbox } = await import('../../resources/js/lib/outbox');
  const logged: unknown[] = [];
  let online = false;
  const outbox = new Outbox((async (place: string, wire: { line?: string }) => {
    if (!online) throw new Unreachable();
    logged.push(wire.line);
    return { id: place };
  }) as never);
  outbox.attend('ines', { answered: () => {}, signedOut: () => {}, another: () => {} });
  await settle();
  outbox.put('job-1', 'head', { line: '17.5', shown: {} });
  const wrong = outbox.put('job-1', 'head', { line: '71.5', shown: {} });
  await settle();
  closing.early = true;
  outbox.drop(wrong?.id ?? '');
  await settle();
  expect(outbox.entries.get().map((one) => one.id)).toContain(wrong?.id);
  closing.early = false;
  outbox.drop(wrong?.id ?? '');
  online = true;
  outbox.hurry();
  await settle();
  expect(logged).toEqual(['17.5']);
  expect(outbox.entries.get()).toEqual([]);
});

test('a tap that was refused gives way to what its person does next, and a remark does not', async () => {
  freshDevice(true);
  const { Outbox } = await import('../../resources/js/lib/outbox');
  const logged: unknown[] = [];
  const outbox = new Outbox((async (place: string, wire: { line?: string; body?: { answer?: string } }) => {
    if (wire.body?.answer === 'yes') throw new Problem(422, 'This runs the machine.');
    logged.push(wire.line ?? wire.body?.answer);
    return { id: place };
  }) as never);
  outbox.attend('ines', { answered: () => {}, signedOut: () => {}, another: () => {} });
  await settle();
  const tap = (answer: string, remark?: string) =>
    outbox.put('job-1', 'head', {
      kind: 'check',
      body: { key: 'idle', answer, ...(remark === undefined ? {} : { remark }) },
    });
  tap('yes');
  await settle();
  expect(outbox.entries.get().map((one) => one.state)).toEqual(['refused']);
  tap('no');
  await settle();
  expect(logged).toEqual(['no']);
  expect(outbox.entries.get()).toEqual([]);

  // Two taps before the first was answered: nobody has read the refusal, so that the second waits.
  tap('yes');
  tap('no');
  await settle();
  expect(outbox.entries.get().map((one) => one.state)).toEqual(['refused', 'waiting']);
  tap('no');
  await settle();
  expect(outbox.entries.get().map((one) => one.state)).toEqual(['refused', 'waiting', 'waiting']);
  for (const one of outbox.entries.get()) outbox.drop(one.id);
  await settle();

  const said = tap('yes', 'only when it is warm');
  await settle();
  tap('no');
  await settle();
  expect(outbox.entries.get().map((one) => one.state)).toEqual(['refused', 'waiting']);
  expect(outbox.entries.get()[0]?.id).toBe(said?.id);

  outbox.drop(said?.id ?? '');
  await settle();

  // What was locked or mended is another machine: nothing that is read after it goes on without it.
  const mended = outbox.put('job-1', 'head', { kind: 'put_right', body: { cure: 'belt', answer: 'yes' } });
  await settle();
  tap('no');
  await settle();
  expect(outbox.entries.get().map((one) => one.state)).toEqual(['refused', 'waiting']);
  outbox.drop(mended?.id ?? '');
  await settle();

  tap('yes');
  await settle();
  outbox.put('job-1', 'head', { line: '4.2 mm', shown: {} }, { id: crypto.randomUUID(), at: 'now' });
  await settle();
  expect(outbox.entries.get().map((one) => one.state)).toEqual(['refused', 'waiting']);
});
