import { clockOffMinutes } from '../api/contract/vocabulary.gen';
import { duration } from './time';
import { Watched } from './watched';

/** How far this device's clock is from the server's, as each answer tells: entries keep the time that it shows. */
export class DeviceClock extends Watched {
  private minutes = 0;

  /** @param date when the server answered, as the answer's own head says it */
  heard(date: string | null, now = Date.now()): void {
    const at = date === null ? Number.NaN : Date.parse(date);
    if (Number.isNaN(at)) return;
    const minutes = Math.trunc((now - at) / 60_000);
    if (minutes === this.minutes) return;
    this.minutes = minutes;
    this.tell();
  }

  /** What to say of it; null where it is right. */
  get = (): string | null => {
    const off = Math.abs(this.minutes);
    if (off <= clockOffMinutes) return null;
    return `This device’s clock runs ${duration(off)} ${this.minutes > 0 ? 'ahead of' : 'behind'} the workshop server’s.`;
  };
}

export const deviceClock = new DeviceClock();
