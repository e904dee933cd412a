import { expect, test } from 'vitest';
import type { BenchState, Item } from '../../resources/js/api/jobs';
import { nutToTurn, wanted } from '../../resources/js/features/practice/wanted';

const item = (kind: string, more: object = {}) =>
  ({ kind, topic: 'measure', failed: false, ...more }) as unknown as Item;
const state = (governor: object | null, kind = 'read') =>
  ({ next: { kind }, beside: { governor, table: null } }) as unknown as BenchState;
const nut = { adjuster: 'governor', body: { adjuster: 'governor', turns: 0.5 } };
const waits = { adjuster: null, body: null };

test('a speed is measured until the nut is to be turned, and the nut is the one that is turned', () => {
  expect(wanted(item('measure'), state(waits), true)).toBe('measure');
  expect(nutToTurn(state(waits), true)).toBeNull();
  expect(wanted(item('measure'), state(nut), true)).toBe('turn');
  expect(nutToTurn(state(nut), true)).toBe('governor');
});

test('what the bench would turn is not given away before the learner has said it', () => {
  expect(wanted(item('measure'), state(nut), false)).toBe('measure');
  expect(nutToTurn(state(nut), false)).toBeNull();
});

test('what is asked decides what is done to the machine', () => {
  expect(wanted(null, state(null), true)).toBe('look');
  expect(wanted(item('in_band', { topic: 'put_right' }), state(null, 'move'), true)).toBe('cure');
  expect(wanted(item('in_band', { topic: 'in_band' }), state(null, 'read'), true)).toBe('pull');
  expect(wanted(item('in_band', { topic: 'in_band' }), state(null, 'move'), true)).toBe('turn');
  expect(wanted(item('measure', { failed: true }), state(null), true)).toBe('turn');
  expect(wanted(item('answer', { topic: 'check' }), state(null), true)).toBe('try');
});
