import { afterEach, describe, expect, it } from 'vitest';
import type { Units } from '../../resources/js/api/contract';
import { zLengthStyle } from '../../resources/js/api/contract/zod.gen';
import {
  bandText,
  heldMm,
  lengthText,
  lengthTyped,
  lengthUnit,
  measuredText,
  readIn,
  shortLength,
  sizeShown,
  sizeTyped,
  torqueText,
  typedIn,
  unitText,
  withUncertainty,
} from '../../resources/js/lib/figures';

const kept: Units = { lengths: 'mm', forces: 'N', speeds: 'km/h', decimals: 'point' };
const readLengthsIn = (lengths: Units['lengths']) => readIn({ ...kept, lengths });

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

  it('are forces, torques and speeds of whoever reads them', () => {
    // 1 lbf is 4.4482216152605 N and 1 mi 1.609344 km, exactly (international yard and pound, 1959).
    expect([measuredText(20, 0, 'N'), unitText('N'), torqueText(7), measuredText(20, 1, 'km/h')]).toEqual([
      '20',
      'N',
      '7 N·m',
      '20.0',
    ]);
    readIn({ ...kept, forces: 'lbf_ft', speeds: 'mph' });
    expect([measuredText(20, 0, 'N'), unitText('N'), torqueText(7)]).toEqual(['4.5', 'lbf', '5.2 lbf·ft']);
    expect([measuredText(20, 1, 'km/h'), unitText('km/h'), measuredText(2, 2, 's')]).toEqual(['12.4', 'mph', '2.00']);
    readIn({ ...kept, forces: 'lbf_in' });
    expect(torqueText(7)).toBe('62 lbf·in');
  });

  it('have a comma where somebody reads one, and are read back', () => {
    readIn({ ...kept, decimals: 'comma' });
    expect([lengthText(10), shortLength(2.5), torqueText(7.5), withUncertainty(15, 0.53)]).toEqual([
      '10,0',
      '2,5',
      '7,5 N·m',
      '15,0 ± 0,5',
    ]);
    expect(lengthTyped('2,5')).toBe(2.5);
    readIn({ ...kept, lengths: 'in', decimals: 'comma' });
    expect([lengthText(10), shortLength(25.4), lengthTyped('0,5')]).toEqual(['0,394', '1', '0.5 in']);
  });
});

describe('sizes in a form', () => {
  afterEach(() => readIn(kept));

  it('are left as they are where nobody reads otherwise', () => {
    expect([sizeShown('16', 'mm'), sizeTyped('16.5', 'mm'), sizeTyped('5/8 in', 'mm'), typedIn('3', 'N')]).toEqual([
      '16',
      '16.5',
      '5/8 in',
      '3',
    ]);
  });

  it('are shown in inches, and kept to the last digit while nobody touches them', () => {
    readIn({ ...kept, lengths: 'in' });
    expect([sizeShown('16', 'mm'), sizeShown('', 'mm'), sizeShown('0.5 in', 'mm'), sizeShown('16 mm', 'mm')]).toEqual([
      '0.6299',
      '',
      '0.5',
      '16 mm',
    ]);
    expect([
      sizeTyped('0.63', 'mm'),
      sizeTyped('5/8', 'mm'),
      sizeTyped('16 mm', 'mm'),
      sizeTyped('', 'mm'),
      sizeTyped('5/8"', 'mm'),
    ]).toEqual(['0.63 in', '5/8 in', '16 mm', '', '5/8"']);
    expect([heldMm('16'), heldMm('0.5 in'), heldMm('5/8 in'), heldMm('')]).toEqual([16, 12.7, null, null]);
  });

  it('are torques, forces and speeds as well', () => {
    readIn({ ...kept, forces: 'lbf_ft', speeds: 'mph' });
    expect([
      sizeShown('7', 'N·m'),
      sizeTyped('5.2', 'N·m'),
      sizeShown('5.2 lbf·ft', 'N·m'),
      sizeTyped('4 lbf', 'N'),
      typedIn('12', 'km/h'),
      typedIn('12 km/h', 'km/h'),
      typedIn('ok', 'N'),
    ]).toEqual(['5.16', '5.2 lbf·ft', '5.2', '4 lbf', '12 mph', '12 km/h', 'ok']);
  });

  it.each(['mm', 'in', 'in8', 'in16', 'in32', 'in64'] as const)(
    'typed letter by letter in %s stay what is typed',
    (lengths) => {
      readIn({ ...kept, lengths });
      for (const whole of ['12.5', '1/2', '1 3/16', '.5', '12.5 mm', '3/8 in', '3/8-13/16']) {
        let held = '';
        for (const letter of whole) held = sizeTyped(sizeShown(held, 'mm') + letter, 'mm');
        expect(sizeShown(held, 'mm').replace(/ in$/, '')).toBe(whole.replace(/ in$/, ''));
      }
    },
  );
});
