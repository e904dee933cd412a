import { expect, test } from 'vitest';
import { AsOf } from '../../resources/js/lib/asOf';

test('what stands on a screen is as old as its oldest kept answer, and nothing is said where that is not known', () => {
  const asOf = new AsOf();
  expect(asOf.get()).toBeNull();
  asOf.kept('bench', 2_000);
  asOf.kept('machines/RT-14', 1_000);
  asOf.kept('session', 3_000);
  expect(asOf.get()).toBe(1_000);
  asOf.kept('due', null);
  expect(asOf.get()).toBeNull();
  asOf.anew();
  expect(asOf.stands()).toBe(false);
  asOf.kept('due', 2_000);
  expect(asOf.get()).toBe(2_000);
});

test('a fresh answer makes nothing else fresh', () => {
  const asOf = new AsOf();
  asOf.kept('machines/RT-14', 1_000);
  asOf.live('session');
  expect(asOf.stands()).toBe(true);
  expect(asOf.get()).toBe(1_000);
  const before = Date.now();
  asOf.live('machines/RT-14');
  expect(asOf.stands()).toBe(false);
  expect(asOf.get()).toBeGreaterThanOrEqual(before);
});

test('whoever watches is told when something kept stands in, and when it no longer does', () => {
  const asOf = new AsOf();
  const told: boolean[] = [];
  const stop = asOf.subscribe(() => told.push(asOf.stands()));
  asOf.kept('due', 1_000);
  asOf.live('due');
  asOf.live('due');
  stop();
  asOf.kept('due', 500);
  expect(told).toEqual([true, false]);
});
