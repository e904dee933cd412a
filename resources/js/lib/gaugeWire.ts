import type { ReadLine } from './gaugeLine';

/** What comes over a wire of this device, by the rules of the core (`LineFraming`, `HeldButton`) and of the bridge (`Recorder`). */

const HALF_LINE_MS = 500;
const LONGEST = 200;
const APART_MS = 400;
const STUCK = 5;

/** Lines out of bytes, in whatever pieces they come; a half line that nothing follows is let go. */
export class LineFraming {
  private begun = '';
  private at = 0;

  take(text: string, now: number): readonly string[] {
    if (now - this.at > HALF_LINE_MS) this.begun = '';
    this.at = now;
    const parts = (this.begun + text).split(/[\r\n]+/);
    this.begun = parts.pop() ?? '';
    if (this.begun.length > LONGEST) this.begun = '';
    return parts.map((part) => part.trim()).filter((part) => part !== '');
  }
}

/** One press is one reading, though the button sticks. */
export class HeldButton {
  private last: number | null = null;
  private run = 0;

  isPress(now: number): boolean {
    const own = this.last === null || now - this.last >= APART_MS;
    this.last = now;
    this.run = own ? 0 : this.run + 1;
    return own;
  }

  hasJustStuck = (): boolean => this.run === STUCK;
}

const ALONE_MS = 250;
const OVER_MS = 800;
const FEWEST = 20;
const MOST = 6000;
const LONGEST_MS = 120_000;

/** A pull that a force gauge recorded, as a file of a steady pull; and how many lines it had. */
export type RecordedPull = { csv: string; lines: number };

type Sample = { at: number; read: ReadLine };

/** The lines of a force gauge: one that nothing follows at once is a press, those that follow each other are one recording. */
export class Recorder {
  private samples: Sample[] = [];
  private tooLong = false;
  private ends: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly pressed: (read: ReadLine) => void,
    private readonly pulled: (pull: RecordedPull) => void,
    private readonly trouble: (sentence: string) => void,
  ) {}

  take(read: ReadLine, now: number): void {
    clearTimeout(this.ends);
    if (!this.tooLong) {
      this.samples.push({ at: now, read });
      if (this.samples.length > MOST || now - (this.samples[0]?.at ?? now) > LONGEST_MS) {
        this.tooLong = true;
        this.samples = [];
        this.trouble(
          `It sends ${read.entered} and goes on: a recording has at most ${MOST} lines and ${LONGEST_MS / 1000} s. Nothing of it was taken.`,
        );
      }
    }
    this.ends = setTimeout(() => this.over(), this.samples.length === 1 ? ALONE_MS : OVER_MS);
  }

  private over(): void {
    const { samples } = this;
    this.samples = [];
    this.tooLong = false;
    const [first] = samples;
    if (first === undefined) return;
    if (samples.length >= FEWEST) this.pulled({ csv: asFile(samples), lines: samples.length });
    else this.pressed(first.read);
  }
}

/** In the unit that it sent, as a file of a steady pull; the core works out newtons. */
function asFile(samples: readonly Sample[]): string {
  const began = samples[0]?.at ?? 0;
  const unit = samples[0]?.read.entered.split(' ')[1] ?? 'N';
  const lines: string[] = [`time_s,force_${unit.toLowerCase()}`];
  let last = -1;
  for (const { at, read } of samples) {
    const ms = Math.round(at - began);
    // Two in one millisecond cannot be told apart in time.
    if (ms > last) lines.push(`${(ms / 1000).toFixed(3)},${read.entered.split(' ')[0]}`);
    last = ms;
  }
  return `${lines.join('\n')}\n`;
}
