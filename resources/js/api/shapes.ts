import { zClosingOutcome } from './contract/zod.gen';

export type { Band, ClosingOutcome as Outcome, Control, Tag as TagOnMachine } from './contract';
export const outcomes = zClosingOutcome.options;
