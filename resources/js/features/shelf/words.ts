import type { InstrumentKind, ShelfInstrument } from '../../api/shelf';
import type { MarkKind } from '../../components/Marks';

export const kindNames = {
  steel_rule: 'steel rule',
  tape_marks: 'tape and marks',
  caliper: 'caliper',
  feeler: 'feeler gauge',
  coin: 'coin',
} as const satisfies Record<InstrumentKind, string>;

export const stateMarks = {
  good: 'inside',
  soon: 'found',
  overdue: 'wrong',
  no_date: 'quiet',
} as const satisfies Record<ShelfInstrument['state'], MarkKind>;
