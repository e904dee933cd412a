import * as z from 'zod/mini';
import { KeptValue } from './store';

const preferences = z.object({
  keysAnywhere: z.boolean(),
  instrument: z.nullable(z.string()),
  theme: z._default(z.enum(['auto', 'day', 'night']), 'auto'),
  /** Which hand works the screen: what is pressed lies on its side. */
  hand: z._default(z.enum(['right', 'left']), 'right'),
  /** Whether the next move is said aloud. */
  speaks: z._default(z.boolean(), false),
});
export type Preferences = z.infer<typeof preferences>;

const kept = new Map<string, KeptValue<Preferences>>();

/** What one person set on this device. */
export function preferencesOf(person: string): KeptValue<Preferences> {
  const known = kept.get(person);
  if (known !== undefined) return known;
  const made = new KeptValue<Preferences>(
    `vivid-pull.preferences.${person}`,
    { keysAnywhere: true, instrument: null, theme: 'auto', hand: 'right', speaks: false },
    (value) => preferences.parse(value),
  );
  kept.set(person, made);
  return made;
}

/** Changes some of what a person set on this device. */
export function prefer(person: string, change: Partial<Preferences>): void {
  const held = preferencesOf(person);
  held.set({ ...held.get(), ...change });
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
