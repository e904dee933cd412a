import { z } from 'zod';
import { KeptValue } from './store';

const preferences = z.object({ keysAnywhere: z.boolean(), instrument: z.string().nullable() });
export type Preferences = z.infer<typeof preferences>;

const kept = new Map<string, KeptValue<Preferences>>();

/** What one person set on this device. */
export function preferencesOf(person: string): KeptValue<Preferences> {
  const known = kept.get(person);
  if (known !== undefined) return known;
  const made = new KeptValue<Preferences>(
    `vivid-pull.preferences.${person}`,
    { keysAnywhere: true, instrument: null },
    (value) => preferences.parse(value),
  );
  kept.set(person, made);
  return made;
}

/**
 * Lines begun and not yet sent, by person and job, so that a reload or an ended session loses nothing typed. What is typed in one tab stays out of
 * the field of another.
 */
export const begunLines = new KeptValue<Readonly<Record<string, string>>>(
  'vivid-pull.lines',
  {},
  (value) => z.record(z.string(), z.string()).parse(value),
  true,
);

export const lineKey = (person: string, job: string) => `${person}/${job}`;

export function keepLine(key: string, line: string): void {
  const { [key]: _, ...others } = begunLines.get();
  begunLines.set(line === '' ? others : { ...others, [key]: line });
}
