import { readFileSync } from 'node:fs';
import { describe, expect, it, vi } from 'vitest';
import { NoReading, readGaugeLine } from '../../resources/js/lib/gaugeLine';
import { HeldButton, LineFraming, Recorder } from '../../resources/js/lib/gaugeWire';

type Line = { line: string; unit: string | null; before: string; while_moving?: boolean } & (
  | { refused: string }
  | { entered: string; dimension: string; low_battery: boolean }
);

const lines = JSON.parse(readFileSync('core/tests/Gauge/lines.json', 'utf8')) as Line[];

describe('a gauge on this device', () => {
  it.each(lines)('reads “$line” as the core does', (one) => {
    const read = () =>
      readGaugeLine(one.line, { unit: one.unit, before: one.before, whileMoving: one.while_moving === true });
    if ('refused' in one) {
      expect(read).toThrow(NoReading);
      expect(read).toThrow(one.refused);
    } else {
      expect(read()).toEqual({ entered: one.entered, dimension: one.dimension, lowBattery: one.low_battery });
    }
  });

  it('has whole lines in whatever pieces the bytes come', () => {
    const framing = new LineFraming();
    const found = ['+4.', '20 mm\r', '\n+4.30', ' mm\n'].flatMap((piece, n) => framing.take(piece, n * 10));
    expect(found).toEqual(['+4.20 mm', '+4.30 mm']);
  });

  it('lets a half line go that nothing followed', () => {
    const framing = new LineFraming();
    framing.take('+4.', 0);
    expect(framing.take('5.00 mm\n', 501)).toEqual(['5.00 mm']);
    framing.take('x'.repeat(201), 502);
    expect(framing.take('6.00 mm\n', 503)).toEqual(['6.00 mm']);
  });

  it('takes a button that sticks for one press, and says so once', () => {
    const button = new HeldButton();
    const presses = Array.from({ length: 50 }, (_, n) => [button.isPress(n * 100), button.hasJustStuck()]);
    expect(presses.filter(([own]) => own)).toHaveLength(1);
    expect(presses.filter(([, stuck]) => stuck)).toHaveLength(1);
    expect(button.isPress(6000)).toBe(true);
  });

  describe('that shows forces', () => {
    const told = () => {
      const said = { pressed: vi.fn(), pulled: vi.fn(), trouble: vi.fn() };
      return { said, recorder: new Recorder(said.pressed, said.pulled, said.trouble) };
    };
    const force = (entered: string) => ({ entered, dimension: 'force' as const, lowBattery: false });

    it('takes a line that nothing follows for a press', () => {
      vi.useFakeTimers();
      const { said, recorder } = told();
      recorder.take(force('48.1 N'), 0);
      vi.advanceTimersByTime(249);
      expect(said.pressed).not.toHaveBeenCalled();
      vi.advanceTimersByTime(1);
      expect(said.pressed).toHaveBeenCalledExactlyOnceWith(force('48.1 N'));
      expect(said.pulled).not.toHaveBeenCalled();
      vi.useRealTimers();
    });

    it('takes lines that follow each other for one pull, with their times', () => {
      vi.useFakeTimers();
      const { said, recorder } = told();
      for (let n = 0; n < 25; n++) {
        recorder.take(force(`${n}.5 lbf`), 1000 + n * 40);
        if (n === 3) recorder.take(force('99 lbf'), 1000 + n * 40);
        vi.advanceTimersByTime(40);
      }
      vi.advanceTimersByTime(800);
      expect(said.pressed).not.toHaveBeenCalled();
      expect(said.pulled).toHaveBeenCalledTimes(1);
      const csv = String(said.pulled.mock.calls[0]?.[0].csv);
      const lines = csv.trim().split('\n');
      expect(lines.slice(0, 3)).toEqual(['time_s,force_lbf', '0.000,0.5', '0.040,1.5']);
      expect(lines).toHaveLength(26);
      vi.useRealTimers();
    });

    it('takes the first of a few for a press, and nothing of what never ends', () => {
      vi.useFakeTimers();
      const { said, recorder } = told();
      for (let n = 0; n < 19; n++) recorder.take(force(`${n} N`), n * 50);
      vi.advanceTimersByTime(900);
      expect(said.pressed).toHaveBeenCalledExactlyOnceWith(force('0 N'));
      for (let n = 0; n < 6010; n++) recorder.take(force('1 N'), 10_000 + n * 10);
      vi.advanceTimersByTime(900);
      expect(said.trouble).toHaveBeenCalledTimes(1);
      expect(said.pulled).not.toHaveBeenCalled();
      expect(said.pressed).toHaveBeenCalledTimes(1);
      vi.useRealTimers();
    });
  });
});
