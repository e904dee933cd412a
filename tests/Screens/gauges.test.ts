import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { NoReading, readGaugeLine } from '../../resources/js/lib/gaugeLine';
import { HeldButton, LineFraming } from '../../resources/js/lib/gaugeWire';

type Line = { line: string; unit: string | null; before: string } & (
  | { refused: string }
  | { entered: string; dimension: string; low_battery: boolean }
);

const lines = JSON.parse(readFileSync('core/tests/Gauge/lines.json', 'utf8')) as Line[];

describe('a gauge on this device', () => {
  it.each(lines)('reads “$line” as the core does', (one) => {
    const read = () => readGaugeLine(one.line, { unit: one.unit, before: one.before });
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
});
