import { Watched } from './watched';

/** Older than anything whose age is known. */
const NOBODY_KNOWS = 0;

/**
 * Since when what stands on the screen is known: what the server does not answer for, or not soon, comes from what this browser kept, whose
 * age would otherwise be nobody's to see.
 */
export class AsOf extends Watched {
  /** When each kept answer that stands on the screen was given, in ms, by its path. */
  private readonly old = new Map<string, number>();
  private answered: number | null = null;

  /** The server answered for a path just now. */
  live(path: string): void {
    this.answered = Date.now();
    if (this.old.delete(path)) this.tell();
  }

  /** An answer of before stands in for the server's; when it was given, in ms, where that is known. */
  kept(path: string, at: number | null): void {
    this.old.set(path, at ?? NOBODY_KNOWS);
    this.tell();
  }

  /** Another screen is come to, or all on it is asked for anew. */
  anew(): void {
    this.old.clear();
    this.tell();
  }

  /** Whether anything kept stands on the screen. */
  stands = (): boolean => this.old.size > 0;

  /** The oldest of what stands there, or else when the server last answered; null where neither is known. */
  get = (): number | null => {
    const oldest = this.stands() ? Math.min(...this.old.values()) : this.answered;
    return oldest === NOBODY_KNOWS ? null : oldest;
  };
}

export const asOf = new AsOf();
