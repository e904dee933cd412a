import type { FieldValues, Resolver } from 'react-hook-form';
import { describe, expect, it } from 'vitest';
import { zAddMachine, zAddPerson, zNewCable } from '../../resources/js/api/contract/zod.gen';
import { checkedBy } from '../../resources/js/lib/checkedBy';

type Told = Record<string, string | undefined>;

const told = async <Draft extends FieldValues>(resolver: Resolver<Draft>, draft: Draft): Promise<Told> => {
  const { errors } = await resolver(draft, undefined, { fields: {}, shouldUseNativeValidation: false });
  return Object.fromEntries(
    Object.entries(errors).map(([field, error]) => [field, String((error as { message?: string }).message)]),
  );
};

const machine = { tag: 'RT-30', name: 'Tolvane Ridge 300', kind: 'trail motorcycle', year: 2020, place: 'yard' };
const whole = { ...machine, usage: 1200, usage_unit: 'km', plate: null };

describe('a form is held against the schema of what it sends', () => {
  it('passes what can be sent', async () => {
    expect(
      await told(
        checkedBy((draft) => draft, zAddMachine),
        whole,
      ),
    ).toEqual({});
  });

  it.each([
    ['too short', { tag: 'R' }, { tag: 'At least 2 characters.' }],
    ['empty', { kind: '' }, { kind: 'Fill this in.' }],
    ['too long', { place: 'x'.repeat(61) }, { place: 'At most 60 characters.' }],
    ['no figure', { year: Number.NaN }, { year: 'A whole figure, such as 12.' }],
    ['no whole figure', { usage: 1.5 }, { usage: 'A whole figure, such as 12.' }],
    ['before there were any', { year: 1860 }, { year: 'At least 1900.' }],
    ['more than any meter', { usage: 5_000_000 }, { usage: 'At most 4000000.' }],
    ['none of those there are', { usage_unit: 'furlongs' }, { usage_unit: 'Choose one.' }],
    ['two at once', { tag: '', name: '' }, { tag: 'At least 2 characters.', name: 'Fill this in.' }],
  ])('says at its field what is %s', async (_, change, says) => {
    expect(
      await told(
        checkedBy((draft) => draft, zAddMachine),
        { ...whole, ...change },
      ),
    ).toEqual(says);
  });

  it('says what a sign-in name is made of', async () => {
    expect(
      await told(
        checkedBy((draft) => draft, zAddPerson),
        { login: 'Ann Bell', name: 'Ann', role: 'viewer' },
      ),
    ).toEqual({ login: 'Letters, digits, dots and dashes; a letter first.' });
  });

  it('says it at the field of the form, and what the trade says of it first', async () => {
    const resolver = checkedBy<{ wire: string; name: string }>(
      (draft) => ({ name: draft.name, wire_mm: draft.wire === '' ? undefined : draft.wire }),
      zNewCable,
      { places: { wire_mm: 'wire' }, first: (draft) => ({ wire: draft.wire === '' ? 'A length.' : null }) },
    );
    expect(await told(resolver, { wire: '', name: '' })).toEqual({
      wire: 'A length.',
      name: 'Fill this in.',
    });
    expect(await told(resolver, { wire: '82 mm', name: 'x' })).toEqual({});
  });
});
