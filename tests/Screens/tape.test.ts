import { describe, expect, it } from 'vitest';
import {
  foundLabel,
  type Label,
  nextLabel,
  nowLabel,
  specLabel,
  straightLabel,
} from '../../resources/js/features/job/drawing/tapeLabels';

const NARROW = 330;

/** As wide as the words are printed, at the most. */
const span = ({ at, anchor }: Label, words: number) => (anchor === 'start' ? [at, at + words] : [at - words, at]);
const apart = ([a, b]: number[], [from, to]: number[]) => (b ?? 0) <= (from ?? 0) || (a ?? 0) >= (to ?? 0);

describe('words on the tape', () => {
  it('puts what comes next on the side where nothing stands', () => {
    const free = nextLabel({ word: 'next', from: 138, to: 162 }, { found: null, now: null }, 20, NARROW);
    expect(free).toEqual({ at: 138, anchor: 'end' });
    const found = nextLabel({ word: 'next', from: 138, to: 162 }, { found: 100, now: null }, 20, NARROW);
    expect(found).toEqual({ at: 162, anchor: 'start' });
    const other = nextLabel({ word: 'next', from: 138, to: 162 }, { found: 200, now: null }, 20, NARROW);
    expect(other).toEqual({ at: 138, anchor: 'end' });
  });

  it('leaves the tape at neither end', () => {
    expect(nextLabel({ word: 'expected', from: 40, to: 64 }, { found: null, now: null }, 200, NARROW).anchor).toBe(
      'start',
    );
    expect(nextLabel({ word: 'expected', from: 290, to: 314 }, { found: null, now: null }, 20, NARROW).anchor).toBe(
      'end',
    );
    expect(nowLabel(300, null, NARROW).anchor).toBe('end');
    expect(nowLabel(30, null, NARROW).anchor).toBe('start');
  });

  it('never prints next and now over each other where there is room', () => {
    for (let now = 100; now <= 230; now += 3) {
      for (let next = 100; next <= 230; next += 3) {
        if (Math.abs(now - next) < 24) continue;
        const nowWords = span(nowLabel(now, next, NARROW), 60);
        const nextWords = span(
          nextLabel({ word: 'next', from: next - 12, to: next + 12 }, { found: null, now }, 300, NARROW),
          66,
        );
        expect(apart(nowWords, nextWords), `now at ${now}, next at ${next}`).toBe(true);
        expect(apart(nowWords, [next - 8, next + 8]), `now at ${now} over the mark at ${next}`).toBe(true);
        expect(apart(nextWords, [now - 8, now + 8]), `next at ${next} over the mark at ${now}`).toBe(true);
      }
    }
  });

  it('names the band where the word found leaves room', () => {
    expect(specLabel(100, 200, null, NARROW)).toEqual({ at: 104, anchor: 'start' });
    expect(specLabel(100, 260, 110, NARROW)).toEqual({ at: 256, anchor: 'end' });
  });
  it('names the straight pose only where its words lie over no others', () => {
    const spec = specLabel(100, 230, null, NARROW);
    expect(straightLabel(226, spec, null, NARROW), 'the band is named there').toBeNull();
    expect(straightLabel(328, spec, null, NARROW)).toEqual({ at: 326, anchor: 'end' });
    expect(straightLabel(328, spec, 250, NARROW), 'what was found is named there').toBeNull();
  });

  it('never prints found and the band over each other on a narrow tape', () => {
    for (let from = 14; from <= 200; from += 6) {
      for (let to = from + 12; to <= NARROW - 14; to += 18) {
        for (let found = 14; found <= NARROW - 14; found += 4) {
          const spec = span(specLabel(from, to, found, NARROW), 96);
          const { at, anchor } = foundLabel(found, NARROW);
          const words = anchor === 'middle' ? [at - 44, at + 44] : span({ at, anchor }, 88);
          expect(apart(spec, words), `band ${from} to ${to}, found at ${found}`).toBe(true);
          expect((spec[0] ?? -1) >= 0 && (spec[1] ?? NARROW + 1) <= NARROW, `on the tape at ${from} to ${to}`).toBe(
            true,
          );
        }
      }
    }
  });
});
