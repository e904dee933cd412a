import * as z from 'zod/mini';
import { nowWithOffset } from '../../lib/time';
import { type SpecDraft, specDraft } from './draft';

const begun = z.object({
  draft: specDraft,
  hangs: z.boolean(),
  /** What its figures were copied from; null where they were not. */
  copiedFrom: z.nullable(z.string()),
  /** Whether a picture of the page was chosen; it is not kept. */
  pictured: z.boolean(),
  /** The content of the version that it puts right, as it was when this was begun. */
  basis: z.nullable(z.string()),
  at: z.string(),
});
export type BegunSpec = z.infer<typeof begun>;

/** A spec that was typed and not saved, as this device keeps it; null where there is none, or none that this version reads. */
export function begunSpec(key: string): BegunSpec | null {
  try {
    const read = begun.safeParse(JSON.parse(localStorage.getItem(key) ?? 'null'));
    return read.success ? read.data : null;
  } catch {
    return null;
  }
}

/** What is typed survives a reload, a slip of the finger to another screen, and a flat battery. */
export function keepBegun(key: string, one: Omit<BegunSpec, 'at'>): void {
  try {
    localStorage.setItem(key, JSON.stringify({ ...one, at: nowWithOffset() }));
  } catch {
    // A full or forbidden store: it still stands in this page.
  }
}

export function forgetBegun(key: string): void {
  try {
    localStorage.removeItem(key);
  } catch {
    // A forbidden store kept nothing.
  }
}

type What = {
  person: string;
  /** Figures stand as they were typed: in other units they would be other figures. */
  units: object;
  how: string;
  /** The version that it follows or puts right; of a new one the model, where that stands already. */
  what: string;
};

export const begunKey = ({ person, units, how, what }: What) =>
  ['vivid-pull.spec', person, Object.values(units).join(' '), how, what].join('/');

export const isSame = (one: SpecDraft, other: SpecDraft) => JSON.stringify(one) === JSON.stringify(other);
