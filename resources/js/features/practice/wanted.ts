import type { BenchState, Item } from '../../api/jobs';
import { isSetting } from '../job/asks';

export const ways = ['pull', 'turn', 'try', 'run', 'measure', 'look', 'cure'] as const;
export type Way = (typeof ways)[number];

/** The governor's nut, where its turn is advised and may be told: the card beside it asks for a speed, not for a turn. */
export const nutToTurn = ({ beside: { governor } }: BenchState, isAdvised: boolean): string | null =>
  isAdvised && governor?.body != null ? governor.adjuster : null;

/** What one does for what is asked. */
export const wanted = (item: Item | null, state: BenchState, isAdvised: boolean): Way => {
  const { next, beside } = state;
  if (item === null) return 'look';
  if (isSetting(item, state)) {
    if (item.topic === 'put_right') return 'cure';
    if (next.kind === 'read' || next.kind === 'decide') return 'pull';
    return beside.table?.advice.kind === 'try' ? 'run' : 'turn';
  }
  if (item.kind === 'measure') return item.failed || nutToTurn(state, isAdvised) !== null ? 'turn' : 'measure';
  if (item.kind === 'reading' || item.topic === 'doubt') return 'pull';
  const by: Partial<Record<Item['topic'], Way>> = {
    thread: 'turn',
    lock: 'turn',
    cover: 'turn',
    check: 'try',
    found: 'try',
    outcome: 'run',
    step: 'look',
    condition: 'look',
  };
  return by[item.topic] ?? 'pull';
};
