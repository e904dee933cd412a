import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { adjusterKinds, families } from '../../resources/js/api/contract/vocabulary.gen';
import { zAdjusterKind, zControl, zJob } from '../../resources/js/api/contract/zod.gen';
import { unknownKey } from '../../resources/js/lib/unknownKeys';

const document = JSON.parse(readFileSync('docs/api/openapi.json', 'utf8'));

describe('what the screens know of the server', () => {
  it('has every kind of adjuster and family of the API document, with its words', () => {
    expect(adjusterKinds.map(({ key }) => key)).toEqual(zAdjusterKind.options);
    expect(families.map(({ key }) => key)).toEqual(document.components.schemas.FamilyKey.enum);
    for (const { label } of [...adjusterKinds, ...families]) expect(label).not.toBe('');
  });

  it('refuses a value that no list has', () => {
    expect(zAdjusterKind.safeParse('barrel').success).toBe(true);
    expect(zAdjusterKind.safeParse('magnet').success).toBe(false);
    expect(zJob.safeParse({}).success).toBe(false);
  });

  it('names the first thing in an answer that its parser does not know', () => {
    const band = { low_mm: 3, high_mm: null };
    expect(unknownKey({ band }, { band })).toBeNull();
    expect(unknownKey({ band: { ...band, mean_mm: 4 } }, { band })).toBe('$.band.mean_mm');
    expect(unknownKey([{ a: 1 }, { a: 1, b: 2 }], [{ a: 1 }, { a: 1 }])).toBe('$[1].b');
    const known = zControl.shape.band.parse({ ...band, mean_mm: 4 });
    expect(unknownKey({ ...band, mean_mm: 4 }, known)).toBe('$.mean_mm');
  });
});
