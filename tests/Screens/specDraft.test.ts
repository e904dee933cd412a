import { readdirSync, readFileSync } from 'node:fs';
import { type FieldPath, get, set } from 'react-hook-form';
import { describe, expect, it, test } from 'vitest';
import { draftOf, type SpecDraft, specDraft, writtenOf } from '../../resources/js/features/specs/draft';
import { placeOfRefusal } from '../../resources/js/features/specs/places';

type Written = Record<string, unknown>;

const FOLDER = 'docs/formats/examples';
const examples = readdirSync(FOLDER).filter((file) => file.endsWith('.json'));
const head = { model: 'Tern 200', control: 'clutch', name: 'Clutch lever', minutes: 20 };

function example(file: string): { spec: Written; run: Written } {
  return JSON.parse(readFileSync(`${FOLDER}/${file}`, 'utf8'));
}

/** Who entered and checked it is not typed: the server knows. */
const NOT_TYPED = ['entered_by', 'checked_by'];

/** What is said of it, without what is left open. */
function said(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(said);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([key, of]) => of !== null && !NOT_TYPED.includes(key) && !(key === 'proves_nothing' && of === false))
      .map(([key, of]) => [key, said(of)]),
  );
}

describe('a spec in the form, and out of it again', () => {
  test.each(examples)('%s', (file) => {
    const { spec, run } = example(file);
    const draft = draftOf(head, spec, run);
    expect(specDraft.parse(draft), 'what is kept of it on this device is read again').toEqual(draft);
    const written = writtenOf(draft);
    expect(written).toMatchObject({ ...head, spec: said(spec), run: said(run) } as object);
    expect(writtenOf(draftOf(head, written.spec, written.run)), 'and stays so').toEqual(written);
  });
});

/** Every place of what is sent, with what stands there. */
function leaves(value: unknown, path: string): [string, unknown][] {
  if (Array.isArray(value)) return value.flatMap((one, n) => leaves(one, `${path}[${n}]`));
  if (typeof value !== 'object' || value === null) return [[path, value]];
  return Object.entries(value).flatMap(([key, one]) => leaves(one, path === '' ? key : `${path}.${key}`));
}

/** Chosen from a list, kept as it was or made of something else: no line of the form is wrong with these. */
const CHOSEN =
  /\.(?:family|kind|point|policy|rule|engine|wheels|poses\[\d\]|id|key|stands|wants|telling|knowledge|proves_nothing|set_first|unit|adjuster|sign|error)$|\.healthy_|smallest_step|stays_mm|^run\.cables\[\d\]\.name$/;

/** Everything that can be typed: a run of two cables with each kind of thread, and a book that adds all it may. */
const full = (): SpecDraft => {
  const { spec, run } = example('throttle-grip.json');
  const draft = draftOf(head, spec, run);
  const table = draftOf(head, example('speed-selector.json').spec, example('speed-selector.json').run).tables;
  const [first] = draft.cables;
  const adjuster = first?.adjusters[0];
  if (first === undefined || adjuster === undefined) throw new Error('The example has no adjuster.');
  const typed = { minutes: '3', cover: 'tank', tools: 'spanner 10', torque: '8', out: 'out', in: 'in' };
  return {
    ...draft,
    ...{ printed: '2 - 4 mm', low: '2', high: '4', edition: '2nd', page: '3-11', date: '2024-05-01' },
    ...{ use: '1000', months: '12', backOff: 'a quarter turn', drum: '20', flange: '22' },
    torques: [
      { what: '', nm: '' },
      { what: 'bracket bolt', nm: '9' },
    ],
    proofs: [' ', 'Does it rev evenly?'],
    tools: [
      { step: '', what: '' },
      { step: 'hooked', what: 'pliers' },
    ],
    limits: [
      {
        kind: 'throttle_window',
        figures: { stroke_mm: '30', arc_mm: '28', margin_mm: '1', over_travel_mm: '2', arm_ratio: '1' },
      },
    ],
    tables: table,
    second: { kept: {}, key: 'backward', low: '1', high: '2', setFirst: false },
    cables: [
      {
        ...first,
        adjusters: [
          { ...adjuster, ...typed, kind: 'barrel', thread: 'M6 x 1', travel: '8', counts: 'click', perTurn: '8' },
          {
            ...adjuster,
            ...typed,
            id: 'b',
            kind: 'bracket_nuts',
            thread: '1.25',
            travel: '8',
            counts: 'bevel',
            perTurn: '6',
          },
          { ...adjuster, ...typed, id: 'c', kind: 'rung_clamp', step: '4', from: '0', to: '9' },
        ],
      },
    ],
  };
};

describe('what is refused is marked at its field', () => {
  it('finds the field that every figure and word of what is sent is typed into', () => {
    const draft = full();
    const lever = {
      ...full(),
      ...{ hand: { kind: 'lever' }, point: 'lever_tip', pivotToWire: '30', pivotToPoint: '120' },
    };
    let seen = 0;
    for (const from of [draft, lever]) {
      for (const [path, value] of leaves(writtenOf(from), '')) {
        if (CHOSEN.test(path) || value === null || ['control', 'minutes', 'spec.book.proofs[0].key'].includes(path))
          continue;
        const place = placeOfRefusal(`$.${path}: no good.`, from);
        expect(place, path).not.toBeNull();
        if (place === null) continue;
        expect(place.says).toBe('No good.');
        const changed = structuredClone(from);
        const was = get(from, place.field);
        set(changed, place.field, `${was}7`);
        const after = new Map(leaves(writtenOf(changed), '')).get(path);
        expect(after, `${path} is typed into ${place.field}`).not.toEqual(value);
        seen += 1;
      }
    }
    expect(seen).toBeGreaterThan(80);
  });

  it.each<[string, FieldPath<SpecDraft> | null]>([
    ['$.model: this is empty; write something.', 'model'],
    ['$.control: this is too long.', 'name'],
    ['$.spec.aim: the least is above the most.', 'low'],
    ['$.spec.backward: the least is above the most.', 'second.low'],
    ['$.run.cables[0].adjusters[2].travel_steps: from 9 to 0 is no range.', 'cables.0.adjusters.2.from'],
    ['$.spec.others[9]: too many.', null],
    ['$.spec.book.torques[7].nm: no torque.', null],
    ['Somebody else saved it meanwhile.', null],
  ])('%s', (sentence, field) => {
    expect(placeOfRefusal(sentence, full())?.field ?? null).toBe(field);
  });
});
