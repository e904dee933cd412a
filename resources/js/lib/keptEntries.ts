import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import * as z from 'zod/mini';
import type { Draft } from '../api/jobs';
import { Watched } from './watched';

const draftShape = z.union([
  z.object({ line: z.string(), shown: z.record(z.string(), z.unknown()) }),
  z.object({ kind: z.string(), body: z.record(z.string(), z.unknown()) }),
]) as z.ZodMiniType<Draft>;

const keptEntry = z.object({
  id: z.string(),
  job: z.string(),
  by: z.string(),
  at: z.string(),
  after: z.string(),
  draft: draftShape,
  state: z.enum(['waiting', 'refused']),
  sentence: z.nullable(z.string()),
});
/** An entry that the server has not acknowledged: on its way, kept for later, or refused and open to be put right. */
export type KeptEntry = z.infer<typeof keptEntry>;

interface Shelf extends DBSchema {
  entries: { key: number; value: KeptEntry & { order?: number }; indexes: { id: string } };
}

const NAME = 'vivid-pull';

/** Where entries were kept before, all of them in one value, which two tabs wrote over each other. */
const BEFORE = 'vivid-pull.outbox';

/**
 * Entries kept on this device, a row each, in the order in which they were written in whatever tab. What is read is a copy of the rows, with
 * those on top that are still being written, or that this device has no room for.
 */
export class KeptEntries extends Watched {
  private rows: readonly KeptEntry[] = [];
  private unwritten: readonly KeptEntry[] = [];
  private list: readonly KeptEntry[] = [];
  private readonly homeless = new Set<string>();
  private readonly struck = new Set<string>();
  private readonly leaving = new Set<string>();
  private readonly instead = new Map<string, string>();
  private writing: Promise<void> = Promise.resolve();
  private readonly channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('vivid-pull.kept');
  private readonly shelf: Promise<IDBPDatabase<Shelf>>;
  private readonly begun: Promise<void>;

  constructor() {
    super();
    this.shelf = openDB<Shelf>(NAME, 1, {
      upgrade(db) {
        db.createObjectStore('entries', { keyPath: 'order', autoIncrement: true }).createIndex('id', 'id', {
          unique: true,
        });
      },
    });
    this.begun = this.begin();
    this.channel?.addEventListener('message', () => void this.reload());
  }

  get = (): readonly KeptEntry[] => this.list;

  /** Entries that live in this page alone, since the device could not write them down. */
  loose = (): readonly KeptEntry[] => this.unwritten.filter((one) => this.homeless.has(one.id));

  /** The rows as they stand now, those of other tabs too. */
  async reload(): Promise<readonly KeptEntry[]> {
    await this.begun;
    try {
      this.rows = await (await this.shelf).getAll('entries');
    } catch {
      // No storage here: what is kept lives in this page.
    }
    this.tell();
    return this.list;
  }

  /** Shown at once, and written down; false where the device has no room for it. */
  async add(entry: KeptEntry, instead?: string): Promise<boolean> {
    this.unwritten = [...this.unwritten, entry];
    if (instead !== undefined) this.instead.set(entry.id, instead);
    this.tell();
    this.writing = this.writing.then(() => this.writeDown());
    await this.writing;
    if (this.homeless.has(entry.id)) return false;
    await this.reload();
    this.channel?.postMessage('changed');
    return true;
  }

  /** In the order they were typed: while one has no room, those after it wait too, or they would be sent before it. */
  private async writeDown(): Promise<void> {
    await this.begun;
    for (let one = this.unwritten[0]; one !== undefined; one = this.unwritten[0]) {
      const { id } = one;
      try {
        await this.write(one, this.instead.get(id));
      } catch {
        for (const other of this.unwritten) this.homeless.add(other.id);
        this.tell();
        return;
      }
      this.homeless.delete(id);
      this.instead.delete(id);
      this.unwritten = this.unwritten.filter((other) => other.id !== id);
    }
  }

  /** What the server has: shown no more from the same turn on, though the device has yet to forget it. Sent again, it counts once. */
  async remove(id: string): Promise<void> {
    this.struck.add(id);
    this.tell();
    await this.change(id, null);
    if (!this.rows.some((one) => one.id === id)) this.struck.delete(id);
  }

  /** What its person takes out: never sent from now on, and shown until the device has forgotten it, since a page loaded anew would send it. */
  async drop(id: string): Promise<void> {
    this.leaving.add(id);
    await this.change(id, null);
    this.leaving.delete(id);
  }

  isLeaving = (id: string): boolean => this.leaving.has(id);

  async refuse(id: string, sentence: string): Promise<void> {
    await this.change(id, { state: 'refused', sentence });
  }

  /** A row of its own at the end, or in the place of one that is put right. */
  private async write(entry: KeptEntry, instead?: string): Promise<void> {
    const work = (await this.shelf).transaction('entries', 'readwrite', { durability: 'strict' });
    const place = instead === undefined ? undefined : await work.store.index('id').getKey(instead);
    await Promise.all([
      place === undefined ? work.store.add({ ...entry }) : work.store.put({ ...entry, order: place }),
      work.done,
    ]);
  }

  private async change(id: string, change: Partial<KeptEntry> | null): Promise<void> {
    this.unwritten = this.unwritten.flatMap((one) =>
      one.id !== id ? [one] : change === null ? [] : [{ ...one, ...change }],
    );
    await this.begun;
    try {
      const work = (await this.shelf).transaction('entries', 'readwrite', { durability: 'strict' });
      const row = await work.store.index('id').get(id);
      if (row?.order !== undefined)
        await Promise.all([
          change === null ? work.store.delete(row.order) : work.store.put({ ...row, ...change }),
          work.done,
        ]);
    } catch {
      // No storage here: it was in this page alone.
    }
    await this.reload();
    this.channel?.postMessage('changed');
  }

  private async begin(): Promise<void> {
    try {
      const db = await this.shelf;
      const before = localStorage.getItem(BEFORE);
      if (before !== null) {
        for (const one of z.catch(z.array(keptEntry), []).parse(JSON.parse(before)))
          if ((await db.getKeyFromIndex('entries', 'id', one.id)) === undefined) await db.add('entries', one);
        localStorage.removeItem(BEFORE);
      }
      this.rows = await db.getAll('entries');
    } catch {
      // No storage here, or nothing that can be read: the page goes on without it.
    }
    this.tell();
  }

  protected override tell(): void {
    const written = new Set(this.rows.map((one) => one.id));
    const all = [...this.rows, ...this.unwritten.filter((one) => !written.has(one.id))];
    this.list = all.filter((one) => !this.struck.has(one.id));
    super.tell();
  }
}
