import * as z from 'zod/mini';
import { KeptValue } from '../../lib/store';
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

type What = {
  person: string;
  /** Figures stand as they were typed: in other units they would be other figures. */
  units: object;
  how: string;
  /** The version that it follows or puts right; of a new one the model, where that stands already. */
  what: string;
};

/**
 * A spec that was typed and not saved, as this device keeps it: it survives a reload, a slip of the finger to another
 * screen, and a flat battery. Null where there is none, or none that this version reads.
 */
export const begunSpec = ({ person, units, how, what }: What) =>
  new KeptValue<BegunSpec | null>(
    ['vivid-pull.spec', person, Object.values(units).join(' '), how, what].join('/'),
    null,
    (value) => z.nullable(begun).parse(value),
    true,
  );

export const isSame = (one: SpecDraft, other: SpecDraft) => JSON.stringify(one) === JSON.stringify(other);
