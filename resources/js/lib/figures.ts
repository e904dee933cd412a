import type { Units } from '../api/contract';
import { decimalMarks, forceStyles, lengthStyles, speedStyles } from '../api/contract/vocabulary.gen';

/** Exact by definition. */
export const MM_PER_INCH = 25.4;

/** By which share the nearest mark may miss a length and still be said for it; the core says its sentences by the same. */
const OFF = 0.08;

let units: Units = { lengths: 'mm', forces: 'N', speeds: 'km/h', decimals: 'point' };

/** How whoever is signed in reads figures: everything below is written so. */
export const readIn = (next: Units): void => {
  units = next;
};

const forces = () => forceStyles.find((one) => one.key === units.forces) ?? forceStyles[0];
const speeds = () => speedStyles.find((one) => one.key === units.speeds) ?? speedStyles[0];

/** A number as it is written with a point, with this person's mark before its decimals. */
const marked = (number: string): string =>
  number.replace('.', decimalMarks.find((one) => one.key === units.decimals)?.sign ?? '.');

/** A number with so many decimals. */
export const decimals = (value: number, digits: number): string => marked(value.toFixed(digits));

/** By the unit in which a quantity is kept: the unit it is read in, how many of it are in one, and digits that it has more. */
const reading = (unit: string): { unit: string; perOne: number; more: number } => {
  if (unit === 'N') return { unit: forces().force, perOne: forces().per_newton, more: forces().force === 'N' ? 0 : 1 };
  if (unit === 'N·m') return { unit: forces().torque, perOne: forces().per_newton_metre, more: 0 };
  if (unit === 'km/h') return { unit: speeds().key, perOne: speeds().per_kmh, more: 0 };
  return { unit, perOne: 1, more: 0 };
};

export const isInches = (): boolean => units.lengths !== 'mm';
export const lengthUnit = (): 'mm' | 'in' => (isInches() ? 'in' : 'mm');

/** Marks in an inch, where lengths are fractions of one. */
export const marks = (): number | null => lengthStyles.find((one) => one.key === units.lengths)?.marks ?? null;

/** To the nearest mark, in lowest terms: `1 3/16`; null where that would miss it. */
function fraction(inches: number, perInch: number): string | null {
  const count = Math.round(Math.abs(inches) * perInch);
  if (Math.abs(count / perInch - Math.abs(inches)) > OFF * Math.abs(inches)) return null;
  const whole = Math.floor(count / perInch);
  let [part, of] = [count % perInch, perInch];
  while (part !== 0 && part % 2 === 0) [part, of] = [part / 2, of / 2];
  const said = [whole > 0 || part === 0 ? String(whole) : '', part > 0 ? `${part}/${of}` : ''];
  return `${inches < 0 && count > 0 ? '-' : ''}${said.filter(Boolean).join(' ')}`;
}

/** A length from millimetres, without its unit: rounded here and nowhere before. */
export function lengthText(value: number, digits = 1, perInch = marks()): string {
  if (!isInches()) return decimals(value, digits);
  // Of what would be written in decimals, so that what is read back is written alike.
  const inches = Number((value / MM_PER_INCH).toFixed(digits + 2));
  return (perInch === null ? null : fraction(inches, perInch)) ?? decimals(inches, digits + 2);
}

/** Without zeros that say nothing. */
export const shortLength = (value: number): string => {
  const said = lengthText(value, isInches() ? 2 : 3);
  return said.includes('/') ? said : marked(String(Number(said.replace(',', '.'))));
};

/** Digits that the uncertainty leaves meaning in. */
export const digitsFor = (expanded: number | null | undefined) =>
  expanded !== null && expanded !== undefined && expanded < 0.2 ? 2 : 1;

/** No finer than the uncertainty: marks that lie closer than it are not claimed. */
const marksFor = (expanded: number): number | null => {
  const most = marks();
  if (most === null) return null;
  let perInch = most;
  while (perInch > 1 && MM_PER_INCH / perInch < expanded * 0.75) perInch /= 2;
  return perInch;
};

export function withUncertainty(value: number, expanded: number | null): string {
  if (expanded === null) return lengthText(value);
  const perInch = marksFor(expanded);
  if (perInch === null || fraction(value / MM_PER_INCH, perInch) === null)
    return `${lengthText(value, digitsFor(expanded), null)} ± ${lengthText(expanded, digitsFor(expanded), null)}`;
  const atLeast = (Math.ceil((expanded / MM_PER_INCH) * perInch - 1e-9) / perInch) * MM_PER_INCH;
  return `${lengthText(value, 1, perInch)} ± ${lengthText(atLeast, 1, perInch)}`;
}

export const change = (value: number) => `${value < 0 ? '−' : '+'}${lengthText(Math.abs(value))}`;

export const trimmed = (value: number) => marked(String(Number(value.toFixed(3))));

/** A quantity in the unit it is kept in, as it is read. */
export function measuredText(value: number, digits: number, unit: string): string {
  if (unit === 'mm') return lengthText(value, digits);
  const { perOne, more } = reading(unit);
  return decimals(value * perOne, digits + more);
}

/** What such a quantity is read in. */
export const unitText = (unit: string): string => (unit === 'mm' ? lengthUnit() : reading(unit).unit);

/** How many of the kept unit are in one of what it is read in. */
export const perUnit = (unit: string): number => 1 / reading(unit).perOne;

/** A tightening torque with its unit, as short as it is. */
export const torqueText = (nm: number): string =>
  `${marked(String(Number((nm * reading('N·m').perOne).toFixed(1))))} ${unitText('N·m')}`;

const BARE = /^[+-]?(\d+[.,]?\d*|[.,]\d+)$/;

/** What was typed for a quantity that is kept in this unit: a bare number is in the units of whoever types it. */
export const typedIn = (typed: string, unit: string): string =>
  BARE.test(typed.trim()) && unitText(unit) !== unit ? `${typed.trim()} ${unitText(unit)}` : typed;

/**
 * A size of a form, which holds a bare number in the unit it is kept in, or what somebody typed with its unit: what is shown of it. What nobody
 * touches is saved as it was, to the last digit.
 */
export function sizeShown(held: string, unit: string): string {
  const read = unitText(unit);
  if (read === unit) return held;
  if (held.endsWith(` ${read}`)) return held.slice(0, -read.length - 1);
  const value = Number(held.replace(',', '.'));
  if (!BARE.test(held.trim()) || Number.isNaN(value)) return held;
  return unit === 'mm' ? lengthText(value, 2) : marked(String(Number((value * reading(unit).perOne).toFixed(2))));
}

/** A length that a form holds, in mm, for a drawing; null where only the server can read it. */
export function heldMm(held: string): number | null {
  const isInch = held.endsWith(' in');
  const number = (isInch ? held.slice(0, -3) : held).trim().replace(',', '.');
  return BARE.test(number) ? Number(number) * (isInch ? MM_PER_INCH : 1) : null;
}

/** What a form holds of a size once somebody typed into it. */
export const sizeTyped = (typed: string, unit: string): string => {
  const read = unitText(unit);
  const isBare = read !== unit && typed.trim() !== '' && !/[a-z"′″°·]/i.test(typed);
  return isBare ? `${typed} ${read}` : typed;
};

const group = new Intl.NumberFormat('en-GB', { useGrouping: true });
export const counted = (value: number) => group.format(value).replaceAll(',', '\u00a0');

/** A band as people write it: `10–20`, `from 2`, `up to 6`. */
export function bandText(band: { low_mm: number | null; high_mm: number | null }): string {
  const { low_mm: low, high_mm: high } = band;
  if (low !== null && high !== null) return `${shortLength(low)}–${shortLength(high)}`;
  if (low === null && high === null) return '';
  return low !== null ? `from ${shortLength(low)}` : `up to ${shortLength(high ?? 0)}`;
}

/** A size as it was typed: a plain number as such, anything else as text, which the server's reader reads; nothing where nothing was. */
export const quantity = (typed: string): number | string | undefined => {
  const plain = typed.trim().replace(',', '.');
  if (plain === '') return undefined;
  return BARE.test(plain) ? Number(plain) : typed.trim();
};

/** The same of a length: a bare number is in the units of whoever types it. */
export const lengthTyped = (typed: string): number | string | undefined => {
  const size = quantity(typed);
  return typeof size === 'number' && isInches() ? `${size} in` : size;
};

/** Whether something was typed that cannot be a size: the server says the rest. */
export const isNoSize = (typed: string): boolean => typed.trim() !== '' && !/[\d½⅓⅔¼¾⅛⅜⅝⅞]/.test(typed);
