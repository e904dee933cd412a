import type { Judged, VerdictKey } from '../api/jobs';
import { Chip } from './Buttons';
import { Mark, type MarkKind } from './Marks';

const marks = {
  inside: 'inside',
  too_loose: 'found',
  too_tight: 'found',
  taut: 'found',
  cant_tell: 'cant_tell',
  not_judged: 'quiet',
  unread: 'to_do',
} as const satisfies Record<VerdictKey, MarkKind>;

const tones = {
  inside: 'inside',
  too_loose: 'outside',
  too_tight: 'outside',
  taut: 'outside',
  cant_tell: 'cantTell',
  not_judged: 'quiet',
  unread: 'quiet',
} as const satisfies Record<VerdictKey, string>;

export const verdictMark = (verdict: VerdictKey): MarkKind => marks[verdict];

/** In a word, where there is no room for the sentence. */
const words = {
  inside: 'inside',
  too_loose: 'too loose',
  too_tight: 'too tight',
  taut: 'taut',
  cant_tell: "can't tell",
  not_judged: 'not judged',
  unread: 'not read',
} as const satisfies Record<VerdictKey, string>;

export const verdictWord = (verdict: VerdictKey): string => words[verdict];

type VerdictChipProps = { judged: Pick<Judged, 'verdict' | 'sentence'>; inAWord?: boolean };

/** The verdict in the core's own words. */
export const VerdictChip = ({ judged, inAWord = false }: VerdictChipProps) => (
  <Chip tone={tones[judged.verdict]} data-verdict={judged.verdict}>
    <Mark kind={marks[judged.verdict]} size="text" />
    {inAWord ? verdictWord(judged.verdict) : judged.sentence}
  </Chip>
);
