/** Where words stand over the tape and on it, so that no two lie on each other. All in drawing units along the tape. */
export type Label = { at: number; anchor: 'start' | 'end' };

/** Widths the words take. */
const SPEC_WORDS = 96;
const FOUND_WORDS = 44;
const NOW_WORDS = 66;
const NEXT_WORDS = { next: 72, expected: 104 };

/** From the middle of a mark to its words, and how much of the tape a mark takes. */
const BESIDE = 14;
const MARK = 9;

/** Over the band from its low edge, else to its high edge, else beside it: the first place that the word found leaves free. */
export function specLabel(from: number, to: number, found: number | null, width: number): Label {
  const places: readonly Label[] = [
    { at: from + 4, anchor: 'start' },
    { at: to - 4, anchor: 'end' },
    { at: to + 6, anchor: 'start' },
    { at: from - 6, anchor: 'end' },
  ];
  const isFree = (label: Label) => {
    const [left, right] = span(label, SPEC_WORDS);
    const clear = found === null || right < found - FOUND_WORDS || left > found + FOUND_WORDS;
    return clear && left >= 0 && right <= width;
  };
  return places.find(isFree) ?? { at: from + 4, anchor: 'start' };
}

const span = ({ at, anchor }: Label, words: number): [number, number] =>
  anchor === 'start' ? [at, at + words] : [at - words, at];

/** How far two stretches lie over each other. */
const over = ([a, b]: [number, number], [from, to]: [number, number]) =>
  Math.max(0, Math.min(b, to) - Math.max(a, from));

const onMark = (at: number): [number, number] => [at - MARK, at + MARK];

/** The one of two places where least is in the way, and the first where both are as good. */
function better(places: [Label, Label], words: number, taken: [number, number][], width: number): Label {
  const cost = (label: Label) => {
    const [left, right] = span(label, words);
    const beyond = Math.max(0, 2 - left) + Math.max(0, right - width + 2);
    return taken.reduce((sum, one) => sum + over([left, right], one), 2 * beyond);
  };
  return cost(places[1]) < cost(places[0]) ? places[1] : places[0];
}

/** Beside the mark of what is read now: on its right, unless what comes next stands there. */
export function nowLabel(at: number, next: number | null, width: number): Label {
  const places: [Label, Label] = [
    { at: at + BESIDE, anchor: 'start' },
    { at: at - BESIDE, anchor: 'end' },
  ];
  return better(places, NOW_WORDS, next === null ? [] : [onMark(next)], width);
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
  return better(places, NEXT_WORDS[next.word], taken, width);
}
