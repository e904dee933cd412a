/** Older than anything whose age is known. */
const NOBODY_KNOWS = 0;

/**
 * Since when what stands on the screen is known: what the server does not answer for comes from what this browser kept, whose age would
 * otherwise be nobody's to see.
 */
export class AsOf {
  private oldest: number | null = null;
  private answered: number | null = null;
  private readonly watchers = new Set<() => void>();

  /** The server answered just now: what else stands there is asked for anew as well. */
  live(): void {
    this.oldest = null;
    this.answered = Date.now();
  }

  /** An answer of before stands in for the server's; when it was given, in ms, where that is known. */
  kept(at: number | null): void {
    this.oldest = Math.min(this.oldest ?? Number.POSITIVE_INFINITY, at ?? NOBODY_KNOWS);
    for (const watcher of this.watchers) watcher();
  }

  /** Another screen is come to. */
  anew(): void {
    this.oldest = null;
  }

  /** The oldest of what stands there, or else when the server last answered; null where neither is known. */
  get = (): number | null => (this.oldest === NOBODY_KNOWS ? null : (this.oldest ?? this.answered));

  subscribe = (watcher: () => void): (() => void) => {
    this.watchers.add(watcher);
    return () => this.watchers.delete(watcher);
  };
}

export const asOf = new AsOf();
