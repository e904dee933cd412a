/** Figures as they are shown: rounded here and nowhere before. */
export const mm = (value: number, digits = 1) => value.toFixed(digits);

/** Digits that the uncertainty leaves meaning in. */
export const digitsFor = (expanded: number | null | undefined) =>
  expanded !== null && expanded !== undefined && expanded < 0.2 ? 2 : 1;

export const withUncertainty = (value: number, expanded: number | null) =>
  expanded === null ? mm(value) : `${mm(value, digitsFor(expanded))} ± ${mm(expanded, expanded < 0.2 ? 2 : 1)}`;

export const change = (value: number) => `${value < 0 ? '−' : '+'}${mm(Math.abs(value))}`;

export const trimmed = (value: number) => String(Number(value.toFixed(3)));

const group = new Intl.NumberFormat('en-GB', { useGrouping: true });
export const counted = (value: number) => group.format(value).replaceAll(',', '\u00a0');

/** A band as people write it: `10–20`, `from 2`, `up to 6`. */
export function bandText(band: { low_mm: number | null; high_mm: number | null }): string {
  const { low_mm: low, high_mm: high } = band;
  if (low !== null && high !== null) return `${trimmed(low)}–${trimmed(high)}`;
  if (low === null && high === null) return '';
  return low !== null ? `from ${trimmed(low)}` : `up to ${trimmed(high ?? 0)}`;
}

/** A size as it was typed: a plain number as such, anything else as text, which the server's reader reads; nothing where nothing was. */
export const quantity = (typed: string): number | string | undefined => {
  const plain = typed.trim().replace(',', '.');
  if (plain === '') return undefined;
  return /^[+-]?(\d+\.?\d*|\.\d+)$/.test(plain) ? Number(plain) : typed.trim();
};

/** Whether something was typed that cannot be a size: the server says the rest. */
export const isNoSize = (typed: string): boolean => typed.trim() !== '' && !/[\d½⅓⅔¼¾⅛⅜⅝⅞]/.test(typed);
