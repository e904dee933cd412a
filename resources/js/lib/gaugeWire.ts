/** What comes over a wire of this device, by the rules of the core (`LineFraming`, `HeldButton`). */

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
