import type { Beside } from './contract';

/** What stands beside the play of a control: what it does, what is measured, and a cable being replaced. */
export type OutcomeTable = NonNullable<Beside['table']>;
export type Setting = OutcomeTable['settings'][number];
/** What was seen last at a setting, or as it was found; undefined where nobody tried. */
export const lastSeen = (setting: Setting) => sight(setting, setting.now ?? setting.found);
/** One of what can be seen there, by its key. */
export const sight = (setting: Setting, key: string | null) => setting.sees.find((one) => one.key === key);
export type Measure = Beside['measures'][number];
export type ThrottleWindow = NonNullable<Beside['window']>;
export type Engagement = NonNullable<Beside['engagement']>;
export type Pack = NonNullable<Beside['pack']>;
export type CableMatch = NonNullable<NonNullable<Beside['replacing']>['match']>;
