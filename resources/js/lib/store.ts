import { useSyncExternalStore } from 'react';
import { Watched } from './watched';

/** A value outside React that components can watch, kept in this browser under its key. */
export class KeptValue<T> extends Watched {
  private value: T;

  constructor(
    private readonly key: string,
    private readonly initial: T,
    private readonly read: (kept: unknown) => T,
    /** Whether each tab has its own, and what is kept only serves to begin with. */
    private readonly ofTab = false,
  ) {
    super();
    this.value = this.load();
    if (this.ofTab) return;
    window.addEventListener('storage', (event) => {
      if (event.key === this.key) {
        this.value = this.load();
        this.tell();
      }
    });
  }

  get = (): T => this.value;

  set(value: T): void {
    this.value = value;
    try {
      localStorage.setItem(this.key, JSON.stringify(value));
    } catch {
      // A full or forbidden store: the value still lives in this page.
    }
    this.tell();
  }

  private load(): T {
    try {
      const text = localStorage.getItem(this.key);
      return text === null ? this.initial : this.read(JSON.parse(text));
    } catch {
      return this.initial;
    }
  }
}

/** Anything outside React that can be watched. */
type Watchable<T> = { get: () => T; subscribe: (watcher: () => void) => () => void };

export const useKept = <T>(kept: Watchable<T>): T => useSyncExternalStore(kept.subscribe, kept.get);
