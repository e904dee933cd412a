import { onAnswer, Problem, Unreachable } from '../api/client';
import { answerComplaint, type Complaint } from '../api/complaints';
import { type Draft, type Job, postEntry } from '../api/jobs';
import { type PracticeAttempt, writePractice } from '../api/practice';
import { KeptEntries, type KeptEntry } from './keptEntries';
import { nowWithOffset } from './time';
import { uuid } from './uuid';
import { Watched } from './watched';

export type { KeptEntry } from './keptEntries';

export const connections = ['calm', 'sending', 'cut', 'signed_out'] as const;
export type Connection = (typeof connections)[number];

const FIRST_PAUSE_MS = 700;
const LONGEST_PAUSE_MS = 8_000;

/** What the server says to one who is not signed in here any more. */
const NOT_THEIRS = '/problems/written-by-another';

/** One tab at a time sends, so that what two of them wrote keeps its order. */
const TURN = 'vivid-pull.sending';

/** What the server makes of an entry: the job anew, the lesson it was written in, or the complaint that was answered. */
export type Answered = Job | Complaint | PracticeAttempt;
type Listener = { answered: (after: Answered) => void; signedOut: () => void; another: () => void };

/**
 * Entries on their way to the server, in the order they were written in whatever tab. What the server does not acknowledge stays here, in
 * this browser and under the name of who wrote it, through reloads and lost networks. One that was refused holds what follows it in its job,
 * or in its complaint, until its person has looked: a tap that says what it says in no words of its own gives way to what is tapped or typed
 * next.
 */
export class Outbox extends Watched {
  readonly entries = new KeptEntries();

  private connection: Connection = 'calm';
  private savedAt: string | null = null;
  private person: string | null = null;
  private listener: Listener | null = null;
  private sending = false;
  private again = false;
  private fixing: KeptEntry | null = null;
  private pause = FIRST_PAUSE_MS;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly send: (place: string, entry: Record<string, unknown>) => Promise<Answered> = post) {
    super();
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

  /** @param as its own id and time, where it has some: what a gauge sent is logged under its own, and so only once */
  put(job: string, after: string, draft: Draft, as?: { id: string; at: string }): KeptEntry | null {
    if (this.person === null) return null;
    const entry: KeptEntry = {
      id: as?.id ?? uuid(),
      job,
      by: this.person,
      at: as?.at ?? nowWithOffset(),
      after,
      draft,
      state: 'waiting',
      sentence: null,
    };
    const putRight = this.fixing?.job === job ? this.fixing.id : undefined;
    // What a gauge sends was not sent by somebody who has read the refusal.
    const instead = putRight ?? (as === undefined ? this.refusedTap(job) : undefined);
    this.fixing = null;
    // It is sent whether or not it could be written down: on its way it is safe sooner than anywhere here.
    void this.entries.add(entry, instead).then(() => this.run());
    return entry;
  }

  /** The tap in this job that was refused, and that nothing waits behind. */
  private refusedTap(job: string): string | undefined {
    const mine = this.entries.get().filter((one) => one.job === job && one.by === this.person);
    const last = mine.at(-1);
    return last?.state === 'refused' && isTap(last.draft) ? last.id : undefined;
  }

  drop(id: string): void {
    if (this.fixing?.id === id) this.fixing = null;
    void this.entries.drop(id).then(() => this.run());
  }

  /** What is logged next in its job takes the place of this refused one. */
  putRight(entry: KeptEntry): void {
    this.fixing = entry;
  }

  /** Whether something typed lives in this page alone, and cannot be sent at once either: then no more may be typed. */
  isFull = (): boolean =>
    this.connection !== 'calm' && this.connection !== 'sending' && this.entries.loose().length > 0;

  status = (): Connection => this.connection;
  lastSaved = (): string | null => this.savedAt;

  hurry(): void {
    clearTimeout(this.timer);
    this.pause = FIRST_PAUSE_MS;
    void this.run();
  }

  /** An answer came in elsewhere: fresh from the server, or one that was kept because it does not answer. */
  private heard(live: boolean): void {
    if (!live) {
      if (this.connection !== 'signed_out') this.become('cut');
    } else if (this.connection === 'cut') {
      this.become('calm');
      this.hurry();
    }
  }

  private async next(): Promise<KeptEntry | undefined> {
    const mine = (await this.entries.reload()).filter((entry) => entry.by === this.person);
    return mine.find(
      (entry, place) =>
        entry.state === 'waiting' && !this.entries.isLeaving(entry.id) && !isHeld(mine.slice(0, place), entry),
    );
  }

  private async run(): Promise<void> {
    this.again = this.sending;
    if (this.sending) return;
    this.sending = true;
    clearTimeout(this.timer);
    const through = await inTurn(() => this.empty());
    this.sending = false;
    if (this.again) {
      this.again = false;
      void this.run();
    } else if (through) this.become('calm');
  }

  /** Whether everything that may go has gone. */
  private async empty(): Promise<boolean> {
    for (let entry = await this.next(); entry !== undefined; entry = await this.next()) {
      if (this.connection === 'calm') this.become('sending');
      if (!(await this.deliver(entry))) {
        this.again = false;
        return false;
      }
    }
    return true;
  }

  /** Whether to go on with the next one. */
  private async deliver(entry: KeptEntry): Promise<boolean> {
    try {
      const after = await this.send(entry.job, {
        id: entry.id,
        at: entry.at,
        by: entry.by,
        after: entry.after,
        ...entry.draft,
      });
      this.pause = FIRST_PAUSE_MS;
      this.savedAt = nowWithOffset();
      this.become('sending');
      // In one turn: between the two, what was just answered would be asked again.
      this.listener?.answered(after);
      await this.entries.remove(entry.id);
      return true;
    } catch (error) {
      return this.settle(entry, error);
    }
  }

  private async settle(entry: KeptEntry, error: unknown): Promise<boolean> {
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
    await this.entries.refuse(
      entry.id,
      error instanceof Problem ? error.sentence : 'The answer to this entry could not be read. Load the page again.',
    );
    return true;
  }

  private become(connection: Connection): void {
    if (this.connection === connection) return;
    this.connection = connection;
    this.tell();
  }
}

/** Kinds of entries that are an answer tapped, and on which nothing stands that is read after it: no move, mend or cover. */
const TAPPED = ['inspected', 'upheld', 'enough', 'outcome', 'check'];

/** Whether no word and no figure of somebody's own is in it. */
const isTap = (draft: Draft): boolean =>
  'kind' in draft && TAPPED.includes(draft.kind) && draft.body.remark === undefined;

/** Whether something refused stands before it in its job. */
export const isHeld = (before: readonly KeptEntry[], entry: KeptEntry): boolean =>
  before.some((other) => other.job === entry.job && other.state === 'refused');

/** Browsers know turns only where the page is secure; elsewhere the server's own rule of ids keeps what two tabs send from counting twice. */
async function inTurn(work: () => Promise<boolean>): Promise<boolean> {
  return 'locks' in navigator ? await navigator.locks.request(TURN, async () => await work()) : await work();
}

/** Where answers about a complaint go, and what is written in a lesson; every other place is a job. */
const COMPLAINT = 'complaint ';
export const ofComplaint = (id: string): string => `${COMPLAINT}${id}`;
const PRACTICE = 'practice ';
export const ofPractice = (id: string): string => `${PRACTICE}${id}`;

/** An answer is an entry of its complaint: who gave it and when, and what is answered. */
async function post(place: string, entry: Record<string, unknown>): Promise<Answered> {
  if (place.startsWith(PRACTICE)) return await writePractice(place.slice(PRACTICE.length), entry);
  if (!place.startsWith(COMPLAINT)) return await postEntry(place, entry);
  const { id, at, by, body } = entry as { id: string; at: string; by: string; body: Record<string, unknown> };
  return await answerComplaint(place.slice(COMPLAINT.length), { id, at, by, ...body } as never);
}

export const outbox = new Outbox();
