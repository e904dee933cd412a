import { z } from 'zod';
import { onAnswer, Problem, Unreachable } from '../api/client';
import { type Draft, type Job, postEntry } from '../api/jobs';
import { KeptValue } from './store';
import { nowWithOffset } from './time';
import { uuid } from './uuid';

const draftShape = z.union([
  z.object({ line: z.string(), shown: z.record(z.string(), z.unknown()) }),
  z.object({ kind: z.string(), body: z.record(z.string(), z.unknown()) }),
]) as z.ZodType<Draft>;

const keptEntry = z.object({
  id: z.string(),
  job: z.string(),
  by: z.string(),
  at: z.string(),
  after: z.string(),
  draft: draftShape,
  state: z.enum(['waiting', 'refused']),
  sentence: z.string().nullable(),
});
/** An entry that the server has not acknowledged: on its way, kept for later, or refused and open to be put right. */
export type KeptEntry = z.infer<typeof keptEntry>;

export const connections = ['calm', 'sending', 'cut', 'signed_out'] as const;
export type Connection = (typeof connections)[number];

const FIRST_PAUSE_MS = 700;
const LONGEST_PAUSE_MS = 8_000;

/** What the server says to one who is not signed in here any more. */
const NOT_THEIRS = '/problems/written-by-another';

type Listener = { answered: (job: Job) => void; signedOut: () => void; another: () => void };

/**
 * Entries on their way to the server, in the order they were written. What the server does not acknowledge stays
 * here, in this browser and under the name of who wrote it, through reloads and lost networks.
 */
class Outbox {
  readonly entries = new KeptValue<readonly KeptEntry[]>('vivid-pull.outbox', [], (kept) =>
    z.array(keptEntry).parse(kept),
  );

  private connection: Connection = 'calm';
  private savedAt: string | null = null;
  private person: string | null = null;
  private listener: Listener | null = null;
  private sending = false;
  private pause = FIRST_PAUSE_MS;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private readonly watchers = new Set<() => void>();

  constructor() {
    window.addEventListener('online', () => this.hurry());
    window.addEventListener('offline', () => this.become('cut'));
    onAnswer((live) => this.heard(live));
  }

  /** Sends for this person from now on; entries of others wait until they are back. */
  attend(person: string | null, listener: Listener): void {
    this.person = person;
    this.listener = listener;
    if (person !== null) this.hurry();
  }

  put(job: string, after: string, draft: Draft): KeptEntry | null {
    if (this.person === null) return null;
    const entry: KeptEntry = {
      id: uuid(),
      job,
      by: this.person,
      at: nowWithOffset(),
      after,
      draft,
      state: 'waiting',
      sentence: null,
    };
    this.entries.set([...this.entries.get(), entry]);
    void this.run();
    return entry;
  }

  drop(id: string): void {
    this.entries.set(this.entries.get().filter((entry) => entry.id !== id));
  }

  status = (): Connection => this.connection;
  lastSaved = (): string | null => this.savedAt;

  subscribe = (watcher: () => void): (() => void) => {
    this.watchers.add(watcher);
    return () => this.watchers.delete(watcher);
  };

  hurry(): void {
    clearTimeout(this.timer);
    this.pause = FIRST_PAUSE_MS;
    void this.run();
  }

  /** An answer came in elsewhere: fresh from the server, or one that was kept because it does not answer. */
  private heard(live: boolean): void {
    if (!live) this.become('cut');
    else if (this.connection === 'cut') {
      this.become('calm');
      this.hurry();
    }
  }

  private next(): KeptEntry | undefined {
    return this.entries.get().find((entry) => entry.state === 'waiting' && entry.by === this.person);
  }

  private async run(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    clearTimeout(this.timer);
    for (let entry = this.next(); entry !== undefined; entry = this.next()) {
      if (this.connection === 'calm') this.become('sending');
      if (!(await this.deliver(entry))) {
        this.sending = false;
        return;
      }
    }
    this.sending = false;
    this.become('calm');
  }

  /** Whether to go on with the next one. */
  private async deliver(entry: KeptEntry): Promise<boolean> {
    try {
      const job = await postEntry(entry.job, {
        id: entry.id,
        at: entry.at,
        by: entry.by,
        after: entry.after,
        ...entry.draft,
      });
      this.pause = FIRST_PAUSE_MS;
      this.savedAt = nowWithOffset();
      this.drop(entry.id);
      this.become('sending');
      this.listener?.answered(job);
      return true;
    } catch (error) {
      return this.settle(entry, error);
    }
  }

  private settle(entry: KeptEntry, error: unknown): boolean {
    if (error instanceof Problem && error.status === 401) {
      this.become('signed_out');
      this.listener?.signedOut();
      return false;
    }
    // It stays under the name of who wrote it; this tab learns who is here now.
    if (error instanceof Problem && error.type === NOT_THEIRS) {
      this.become('signed_out');
      this.listener?.another();
      return false;
    }
    const later =
      error instanceof Unreachable || (error instanceof Problem && (error.status >= 500 || error.status === 429));
    if (later) {
      this.become('cut');
      this.timer = setTimeout(() => void this.run(), this.pause);
      this.pause = Math.min(LONGEST_PAUSE_MS, this.pause * 2);
      return false;
    }
    this.refuse(
      entry,
      error instanceof Problem ? error.sentence : 'The answer to this entry could not be read. Load the page again.',
    );
    return true;
  }

  private refuse(entry: KeptEntry, sentence: string): void {
    this.entries.set(
      this.entries
        .get()
        .map((kept) => (kept.id === entry.id ? { ...kept, state: 'refused' as const, sentence } : kept)),
    );
  }

  private become(connection: Connection): void {
    if (this.connection === connection) return;
    this.connection = connection;
    for (const watcher of this.watchers) watcher();
  }
}

export const outbox = new Outbox();

/** An entry in the words that were typed, or as the answer that was tapped. */
export const wording = (draft: Draft): string => ('line' in draft ? draft.line : draft.kind.replaceAll('_', ' '));
