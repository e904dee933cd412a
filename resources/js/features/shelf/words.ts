import { instruments } from '../../api/contract/vocabulary.gen';
import type { InstrumentKind, ShelfInstrument } from '../../api/shelf';
import type { MarkKind } from '../../components/Marks';

export const kindNames = Object.fromEntries(instruments.map(({ key, label }) => [key, label])) as Record<
  InstrumentKind,
  string
>;

export const stateMarks = {
  good: 'inside',
  soon: 'found',
  overdue: 'wrong',
  no_date: 'quiet',
} as const satisfies Record<ShelfInstrument['state'], MarkKind>;
