import { setMaxListeners } from 'node:events';
import { IDBFactory, IDBObjectStore } from 'fake-indexeddb';
import 'fake-indexeddb/auto';

/** What a page finds in a browser, as far as kept entries need it: one device, whose tabs share storage, turns and messages. */

type Hearer = (event: { data: unknown }) => void;
let hearers: { of: Channel; hearer: Hearer }[] = [];

class Channel {
  addEventListener(_: string, hearer: Hearer): void {
    hearers.push({ of: this, hearer });
  }

  postMessage(data: unknown): void {
    for (const one of hearers) if (one.of !== this) setImmediate(() => one.hearer({ data }));
  }
}

class Locks {
  private readonly last = new Map<string, Promise<unknown>>();

  request<T>(name: string, work: () => Promise<T>): Promise<T> {
    const turn = (this.last.get(name) ?? Promise.resolve()).then(work, work);
    this.last.set(
      name,
      turn.catch(() => undefined),
    );
    return turn;
  }
}

/** Whether the device has no room for one more row. */
export const storage = { full: false };
const add = IDBObjectStore.prototype.add;
IDBObjectStore.prototype.add = function (this: IDBObjectStore, ...row: Parameters<typeof add>) {
  if (storage.full) throw new DOMException('No room.', 'QuotaExceededError');
  return add.apply(this, row);
};

/** Whether the page is closed before a row is forgotten: its transaction is undone. */
export const closing = { early: false };
const forget = IDBObjectStore.prototype.delete;
IDBObjectStore.prototype.delete = function (this: IDBObjectStore, ...row: Parameters<typeof forget>) {
  const asked = forget.apply(this, row);
  if (closing.early) this.transaction.abort();
  return asked;
};

/** A device that nothing was ever kept on. Pages that are not secure know no turns. */
export function freshDevice(secure: boolean): void {
  hearers = [];
  storage.full = false;
  closing.early = false;
  const set = (name: string, value: unknown) => Object.defineProperty(globalThis, name, { value, configurable: true });
  set('indexedDB', new IDBFactory());
  set('BroadcastChannel', Channel);
  set('navigator', secure ? { locks: new Locks() } : {});
  const page = new EventTarget();
  // Every page that was opened on the device listens, closed ones too.
  setMaxListeners(0, page);
  set('window', page);
  set('localStorage', { getItem: () => null, setItem: () => undefined, removeItem: () => undefined });
}

/** Lets everything that waits on storage go on. */
export async function settle(turns = 60): Promise<void> {
  for (let n = 0; n < turns; n++) await new Promise((done) => setImmediate(done));
}
