import type { Beside } from './contract';

/** What stands beside the play of a control: what it does, what is measured, and a cable being replaced. */
export type OutcomeTable = NonNullable<Beside['table']>;
export type Setting = OutcomeTable['settings'][number];
export type Measure = Beside['measures'][number];
export type ThrottleWindow = NonNullable<Beside['window']>;
export type Engagement = NonNullable<Beside['engagement']>;
export type Pack = NonNullable<Beside['pack']>;
export type CableMatch = NonNullable<NonNullable<Beside['replacing']>['match']>;
