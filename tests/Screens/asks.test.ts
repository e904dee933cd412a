import { describe, expect, it } from 'vitest';
import type { BenchState, Item } from '../../resources/js/api/contract';
import type { Adjuster, Option } from '../../resources/js/api/jobs';
import {
  asked,
  inWords,
  isLookedFor,
  isMove,
  isSameTarget,
  isSetHere,
  isToldByThePlan,
  isTurnOffered,
  settles,
  stepsShown,
  typedTogether,
} from '../../resources/js/features/job/asks';
import type { KeptEntry } from '../../resources/js/lib/keptEntries';

const item = (key: string, kind: Item['kind'], words: [string, string][] = [], more: Partial<Item> = {}): Item => ({
  key,
  topic: key.startsWith('pose') ? 'pose' : key.startsWith('reading') ? 'reading' : 'check',
  of: null,
  kind,
  label: key,
  done: false,
  failed: false,
  said: null,
  detail: null,
  caution: null,
  about: null,
  is_second: false,
  measure: null,
  by: null,
  at: null,
  answers: words.map(([word, label]) => ({
    word,
    hint: word,
    label,
    kind: 'check',
    body: { key, answer: word },
    tone: 'right',
    asks_remark: false,
    question: null,
  })),
  ...more,
});
const typed = (line: string, at: string): KeptEntry => ({
  id: line,
  job: 'job',
  by: 'ines',
  at: '2026-11-27T08:00:00+00:00',
  after: 'before',
  draft: { line, shown: { item: at } },
  state: 'waiting',
  sentence: null,
});
const stateOf = (...items: Item[]): BenchState =>
  ({ stage: 'prove', stages: [{ key: 'prove', items }] }) as unknown as BenchState;

describe('what is asked while entries wait to be sent', () => {
  const creep = item('check:no_creep', 'answer', [
    ['yes', 'Yes'],
    ['no', 'No'],
  ]);
  const thread = item('thread:perch', 'thread');
  const reading = item('reading:left', 'reading');

  it('goes on past what was answered, and past nothing else', () => {
    const state = stateOf(creep, thread, reading);
    expect(asked(state, [], [])?.key).toBe('check:no_creep');
    expect(asked(state, [typed('yes', creep.key)], [])?.key).toBe('thread:perch');
    expect(asked(state, [typed('yes', creep.key), typed('3.1', thread.key)], [])?.key).toBe('reading:left');
    expect(asked(state, [typed('n boot torn', creep.key)], [])?.key).toBe('check:no_creep');
  });

  it.each(['+2f', '-1.5t', 'out 1 turn and 2 flats', '2 rungs towards the engine', 'n rusty', 'done', 'v misread'])(
    'takes %s at the thread for something beside it',
    (line) => expect(settles(typed(line, thread.key), thread)).toBe(false),
  );

  it.each(['3.1', '3.1 mm', '1/8 in', '4 rungs'])('takes %s at the thread for the thread', (line) =>
    expect(settles(typed(line, thread.key), thread)).toBe(true),
  );

  it('never takes a reading for done: its group may not be whole', () =>
    expect(settles(typed('4', reading.key), reading)).toBe(false));

  it('asks again what was refused, and what failed only where nothing else is open', () => {
    const refused: KeptEntry = { ...typed('yes', creep.key), state: 'refused', sentence: 'No.' };
    expect(settles(refused, creep)).toBe(false);
    const failed = item('check:holds', 'answer', [['yes', 'Yes']], { failed: true });
    expect(asked(stateOf(failed, creep), [], [])?.key).toBe('check:no_creep');
    expect(asked(stateOf(failed), [], [])?.key).toBe('check:holds');
  });

  it('asks what waits for something else after what failed, and last of all', () => {
    const failed = item('pose:left', 'reading', [], { failed: true });
    expect(asked(stateOf(creep, failed), [], ['check:no_creep'])?.key).toBe('pose:left');
    expect(asked(stateOf(creep), [], ['check:no_creep'])?.key).toBe('check:no_creep');
  });

  it('knows lines confirmed together by their names', () => {
    const all: KeptEntry = { ...typed('', ''), draft: { kind: 'all_confirmed', body: { keys: [creep.key] } } };
    expect(settles(all, creep)).toBe(true);
    expect(settles(all, thread)).toBe(false);
  });

  it('says of what was tapped what was asked and what was said', () => {
    const steady = item('check:steady', 'answer', [['yes', 'It is']], { label: 'Idle stays steady' });
    const cures = [{ key: 'route', label: 'Route put right' }];
    const told = { beside: { cures }, hand: { name: 'Clutch lever' } } as unknown as BenchState;
    const state = { ...stateOf(creep, steady), ...told };
    const sent = { key: steady.key, answer: 'yes' };
    expect(inWords({ kind: 'check', body: sent }, state)).toBe('Idle stays steady: It is');
    expect(inWords({ kind: 'check', body: { ...sent, remark: 'warm' } }, state)).toBe('Idle stays steady: It is');
    expect(inWords({ kind: 'part_fitted', body: sent }, state)).toBe('part fitted');
    expect(inWords({ kind: 'put_right', body: { cure: 'route' } }, state)).toBe('Route put right');
    expect(inWords({ kind: 'put_right', body: { cure: 'other' } }, state)).toBe('put right');
    expect(inWords({ kind: 'hand', body: { wire_mm: 38 } }, state)).toBe('Clutch lever measured');
    expect(inWords(typed('n boot torn', creep.key).draft, state)).toBe('n boot torn');
  });

  it('takes a line for all that was shown, and in a check the state with it', () => {
    const safe = item('engine_off', 'answer', [['ok', 'Done']]);
    const cold = item('condition', 'answer', [['cold', 'Cold']], { topic: 'condition' });
    const whole = stateOf(safe, cold);
    const stages = whole.stages.map((stage) => ({
      ...stage,
      together: { word: 'all ok', label: 'All', keys: [safe.key] },
    }));
    const job: BenchState = { ...whole, stages, check: null };
    const check: BenchState = { ...job, check: { on: true, over: null, says: [] } };
    expect(typedTogether(job, safe.key, ' All OK ').map((one) => 'kind' in one && one.kind)).toEqual(['all_confirmed']);
    expect(typedTogether(job, safe.key, 'ok cold')).toEqual([]);
    expect(typedTogether(check, safe.key, 'ok cold')).toHaveLength(2);
    expect(typedTogether(check, safe.key, 'cold')).toEqual([]);
    expect(typedTogether(check, 'sign_off', 'ok cold')).toEqual([]);
  });

  it('keeps to one pose and one cable', () => {
    const left = item('pose:left', 'reading', [], { about: 'left' });
    const second = item('reading:left:second', 'reading', [], { is_second: true });
    expect(isSameTarget(reading, item('in_band', 'in_band'))).toBe(true);
    expect(isSameTarget(reading, left)).toBe(false);
    expect(isSameTarget(reading, second)).toBe(false);
    expect(isSameTarget(reading, creep)).toBe(false);
    expect(isSameTarget(reading, null)).toBe(false);
  });
});

describe('what a pose that was read is told of', () => {
  type Next = BenchState['next']['kind'];
  const told = (kind: Next, check = false): BenchState =>
    ({ next: { kind }, check: check ? { on: true } : null }) as unknown as BenchState;
  const outside = item('pose:left', 'reading', [], { about: 'left', failed: true });
  const untold = item('pose:left', 'reading', [], { about: 'left' });
  const kinds: Next[] = ['move', 'suspect', 'routing_fault', 'out_of_thread', 'read', 'decide', 'prove'];
  const where = (holds: (kind: Next) => boolean): Next[] => kinds.filter(holds);

  it('has its move, or what is looked for, where it is outside and a reading would not help', () => {
    expect(where((kind) => isSetHere(outside, told(kind)))).toEqual(kinds.slice(0, 4));
    expect(where((kind) => isSetHere(untold, told(kind)))).toEqual([]);
    expect(isSetHere(item('in_band', 'in_band', [], { failed: true }), told('move'))).toBe(false);
  });

  it('has its mends at the card where no move helps, and never in a check', () => {
    expect(where((kind) => isLookedFor(outside, told(kind)))).toEqual(['suspect', 'routing_fault', 'out_of_thread']);
    expect(where((kind) => isLookedFor(outside, told(kind, true)))).toEqual([]);
    const coarse = { next: { kind: 'suspect', settled_by: 'finer' }, check: null } as unknown as BenchState;
    expect(isLookedFor(outside, coarse)).toBe(false);
  });

  it('shows a turn where one is advised, and offers one where nothing is certain, and nowhere else', () => {
    const perch = { id: 'perch', guide: [], guide_done: 0 } as unknown as Adjuster;
    const rod = { id: 'rod', guide: [{}], guide_done: 0 } as unknown as Adjuster;
    const turn = { steps: -0.5, phrase: 'in 3 flats' } as unknown as Option;
    const band = item('in_band', 'in_band');
    const advised = (kind: Next, recommended: string | null = 'perch') =>
      ({ next: { kind, recommended }, check: null }) as unknown as BenchState;
    expect(where((kind) => isMove(advised(kind), perch, turn))).toEqual(['move']);
    expect(isMove(advised('move'), rod, turn)).toBe(false);
    expect(isMove(advised('move'), perch, null)).toBe(false);
    expect(where((kind) => isTurnOffered(advised(kind), perch, turn))).toEqual(['decide']);
    expect(isTurnOffered(advised('decide', null), perch, turn)).toBe(false);
    expect(where((kind) => stepsShown(band, advised(kind), perch, turn) !== null)).toEqual(['move', 'decide']);
    expect(stepsShown(untold, advised('move'), perch, turn)).toBe(null);
    expect(stepsShown(outside, advised('move'), perch, turn)).toBe(-0.5);
  });

  it('is told why it is read once more, also where it is the straight one, or what is left to do', () => {
    expect(where((kind) => isToldByThePlan(untold, told(kind)))).toEqual(['read', 'decide']);
    expect(isToldByThePlan({ ...untold, about: 'straight' }, told('read'))).toBe(true);
    expect(isToldByThePlan({ ...untold, done: true }, told('read'))).toBe(false);
  });
});
