import { afterEach, describe, expect, it } from 'vitest';
import { zLengthStyle } from '../../resources/js/api/contract/zod.gen';
import {
  bandText,
  lengthText,
  lengthTyped,
  lengthUnit,
  readLengthsIn,
  shortLength,
  withUncertainty,
} from '../../resources/js/lib/figures';

const band = { low_mm: 10, high_mm: 20 };

describe('figures as they are shown', () => {
  afterEach(() => readLengthsIn('mm'));

  it('are in millimetres where nobody chose', () => {
    expect([lengthText(10), shortLength(10), lengthUnit()]).toEqual(['10.0', '10', 'mm']);
    expect(withUncertainty(15, 0.53)).toBe('15.0 ± 0.5');
    expect(bandText(band)).toBe('10–20');
    expect(lengthTyped('0.5')).toBe(0.5);
  });

  it('are said in inches as the core says its sentences', () => {
    readLengthsIn('in64');
    expect([lengthText(10), lengthText(25.4), lengthText(12.7), lengthText(0), lengthText(0.1)]).toEqual([
      '25/64',
      '1',
      '1/2',
      '0',
      '0.004',
    ]);
    expect(bandText(band)).toBe('25/64–25/32');
    readLengthsIn('in8');
    expect([lengthText(10), lengthText(2)]).toEqual(['3/8', '0.079']);
    readLengthsIn('in');
    expect([lengthText(10), shortLength(25.4)]).toEqual(['0.394', '1']);
    expect(lengthTyped('0.5')).toBe('0.5 in');
    expect(lengthTyped('1/2')).toBe('1/2');
  });

  it('claim no mark finer than the uncertainty', () => {
    readLengthsIn('in64');
    expect(withUncertainty(17.4625, 0.5)).toBe('11/16 ± 1/32');
    expect(withUncertainty(17.4625, 1.5)).toBe('11/16 ± 1/16');
    readLengthsIn('in');
    expect(withUncertainty(17.4625, 0.05)).toBe('0.6875 ± 0.0020');
  });

  it.each(zLengthStyle.options)('never say a length in %s that is far off', (style) => {
    readLengthsIn(style);
    for (let value = 0.5; value < 60; value += 0.37) {
      const said = lengthText(value);
      const number = said.split(' ').reduce((sum, part) => {
        const [over, under = 1] = part.split('/').map(Number);
        return sum + (over ?? Number.NaN) / under;
      }, 0);
      const read = style === 'mm' ? number : number * 25.4;
      expect(Math.abs(read - value)).toBeLessThanOrEqual(Math.max(0.08 * value + 0.02, 0.06));
    }
  });
});
