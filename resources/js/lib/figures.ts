import type { LengthStyle } from '../api/contract';
import { lengthStyles } from '../api/contract/vocabulary.gen';

/** Exact by definition. */
export const MM_PER_INCH = 25.4;

/** By which share the nearest mark may miss a length and still be said for it; the core says its sentences by the same. */
const OFF = 0.08;

let style: LengthStyle = 'mm';

/** How whoever is signed in reads lengths: everything below is written so. */
export const readLengthsIn = (next: LengthStyle): void => {
  style = next;
};

export const isInches = (): boolean => style !== 'mm';
export const lengthUnit = (): 'mm' | 'in' => (isInches() ? 'in' : 'mm');

/** Marks in an inch, where lengths are fractions of one. */
export const marks = (): number | null => lengthStyles.find((one) => one.key === style)?.marks ?? null;

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
  if (!isInches()) return value.toFixed(digits);
  // Of what would be written in decimals, so that what is read back is written alike.
  const inches = Number((value / MM_PER_INCH).toFixed(digits + 2));
  return (perInch === null ? null : fraction(inches, perInch)) ?? inches.toFixed(digits + 2);
}

/** Without zeros that say nothing. */
export const shortLength = (value: number): string => {
  const said = lengthText(value, isInches() ? 2 : 3);
  return said.includes('/') ? said : String(Number(said));
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

export const trimmed = (value: number) => String(Number(value.toFixed(3)));

/** A quantity in the unit it is kept in: lengths as they are read, all else as it is. */
export const measuredText = (value: number, decimals: number, unit: string): string =>
  unit === 'mm' ? lengthText(value, decimals) : value.toFixed(decimals);

export const unitText = (unit: string): string => (unit === 'mm' ? lengthUnit() : unit);

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
  return /^[+-]?(\d+\.?\d*|\.\d+)$/.test(plain) ? Number(plain) : typed.trim();
};

/** The same of a length: a bare number is in the units of whoever types it. */
export const lengthTyped = (typed: string): number | string | undefined => {
  const size = quantity(typed);
  return typeof size === 'number' && isInches() ? `${size} in` : size;
};

/** Whether something was typed that cannot be a size: the server says the rest. */
export const isNoSize = (typed: string): boolean => typed.trim() !== '' && !/[\d½⅓⅔¼¾⅛⅜⅝⅞]/.test(typed);
