import { clockOffMinutes } from '../api/contract/vocabulary.gen';
import { duration } from './time';

/** How far this device's clock is from the server's, as each answer tells: entries keep the time that it shows. */
export class DeviceClock {
  private minutes = 0;
  private readonly watchers = new Set<() => void>();

  /** @param date when the server answered, as the answer's own head says it */
  heard(date: string | null, now = Date.now()): void {
    const at = date === null ? Number.NaN : Date.parse(date);
    if (Number.isNaN(at)) return;
    const minutes = Math.trunc((now - at) / 60_000);
    if (minutes === this.minutes) return;
    this.minutes = minutes;
    for (const watcher of this.watchers) watcher();
  }

  /** What to say of it; null where it is right. */
  get = (): string | null => {
    const off = Math.abs(this.minutes);
    if (off <= clockOffMinutes) return null;
    return `This device’s clock runs ${duration(off)} ${this.minutes > 0 ? 'ahead of' : 'behind'} the workshop server’s.`;
  };

  subscribe = (watcher: () => void): (() => void) => {
    this.watchers.add(watcher);
    return () => this.watchers.delete(watcher);
  };
}

export const deviceClock = new DeviceClock();
