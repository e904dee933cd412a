import { typedIn } from '../../lib/figures';

/** Readings typed one after the other: blanks or semicolons part them, a comma is a decimal mark; bare ones are in the units of whoever types. */
export const readingsTyped = (text: string, unit: string): string[] =>
  text
    .split(/[\s;]+/)
    .filter((one) => one !== '')
    .map((one) => typedIn(one, unit));
