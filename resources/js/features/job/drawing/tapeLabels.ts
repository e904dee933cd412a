/** Where words stand over the tape and on it, so that no two lie on each other. All in drawing units along the tape. */
export type Label = { at: number; anchor: 'start' | 'end' };

/** Widths the words take. */
const SPEC_WORDS = 96;
const FOUND_WORDS = 88;
const STRAIGHT_WORDS = 124;
const NOW_WORDS = 66;
const NEXT_WORDS = { next: 72, expected: 104 };

/** From the middle of a mark to its words, and how much of the tape a mark takes. */
const BESIDE = 14;
const MARK = 9;

/** Over the mark of what was found, and not beyond the ends of the tape. */
export function foundLabel(at: number, width: number): { at: number; anchor: 'start' | 'middle' | 'end' } {
  return {
    at: Math.min(width - 4, Math.max(4, at)),
    anchor: at > width - 60 ? 'end' : at < 50 ? 'start' : 'middle',
  };
}

/**
 * Over the band from its low edge, else to its high edge, else beside it, else at an end of the tape: the first place
 * that the word found leaves free. Where none is free, the one it covers least.
 */
export function specLabel(from: number, to: number, found: number | null, width: number): Label {
  const places: readonly [Label, ...Label[]] = [
    { at: from + 4, anchor: 'start' },
    { at: to - 4, anchor: 'end' },
    { at: to + 6, anchor: 'start' },
    { at: from - 6, anchor: 'end' },
    { at: 4, anchor: 'start' },
    { at: width - 4, anchor: 'end' },
  ];
  const taken: [number, number][] = found === null ? [] : [foundSpan(found, width)];
  return best(places, SPEC_WORDS, taken, width);
}

/** At the high edge of the working band, where it lies neither over the name of the band nor over the word found. */
export function straightLabel(to: number, spec: Label, found: number | null, width: number): Label | null {
  const label: Label = { at: to - 2, anchor: 'end' };
  const words = span(label, STRAIGHT_WORDS);
  const taken = [span(spec, SPEC_WORDS), ...(found === null ? [] : [foundSpan(found, width)])];
  return words[0] >= 0 && words[1] <= width && taken.every((one) => over(words, one) === 0) ? label : null;
}

function foundSpan(found: number, width: number): [number, number] {
  const { at, anchor } = foundLabel(found, width);
  return anchor === 'middle' ? [at - FOUND_WORDS / 2, at + FOUND_WORDS / 2] : span({ at, anchor }, FOUND_WORDS);
}

const span = ({ at, anchor }: Label, words: number): [number, number] =>
  anchor === 'start' ? [at, at + words] : [at - words, at];

/** How far two stretches lie over each other. */
const over = ([a, b]: [number, number], [from, to]: [number, number]) =>
  Math.max(0, Math.min(b, to) - Math.max(a, from));

const onMark = (at: number): [number, number] => [at - MARK, at + MARK];

/** Of some places the one where least is in the way, and the first of those that are as good. */
function best(places: readonly [Label, ...Label[]], words: number, taken: [number, number][], width: number): Label {
  const cost = (label: Label) => {
    const [left, right] = span(label, words);
    const beyond = Math.max(0, 2 - left) + Math.max(0, right - width + 2);
    return taken.reduce((sum, one) => sum + over([left, right], one), 2 * beyond);
  };
  return places.reduce((chosen, place) => (cost(place) < cost(chosen) ? place : chosen));
}

/** Beside the mark of what is read now: on its right, unless what comes next stands there. */
export function nowLabel(at: number, next: number | null, width: number): Label {
  const places: [Label, Label] = [
    { at: at + BESIDE, anchor: 'start' },
    { at: at - BESIDE, anchor: 'end' },
  ];
  return best(places, NOW_WORDS, next === null ? [] : [onMark(next)], width);
}

type Next = { word: 'next' | 'expected' /** of the mark and what is expected about it */; from: number; to: number };

/**
 * Beside what is expected next: on its left, unless something stands there.
 *
 * @param others marks of what was found and of what is read now, where they are shown; of the latter its words too
 */
export function nextLabel(
  next: Next,
  others: { found: number | null; now: number | null },
  low: number,
  width: number,
): Label {
  const places: [Label, Label] = [
    { at: next.from, anchor: 'end' },
    { at: next.to, anchor: 'start' },
  ];
  // The edge of the band may be written over rather than a mark.
  const taken: [number, number][] = [[low - 2, low + 2]];
  if (others.found !== null) taken.push(onMark(others.found));
  if (others.now !== null) {
    taken.push(onMark(others.now));
    taken.push(span(nowLabel(others.now, (next.from + next.to) / 2, width), NOW_WORDS));
  }
  return best(places, NEXT_WORDS[next.word], taken, width);
}
