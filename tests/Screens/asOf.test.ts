import { expect, test } from 'vitest';
import { AsOf } from '../../resources/js/lib/asOf';

test('what stands on a screen is as old as its oldest kept answer, and nothing is said where that is not known', () => {
  const asOf = new AsOf();
  expect(asOf.get()).toBeNull();
  asOf.kept(2_000);
  asOf.kept(1_000);
  asOf.kept(3_000);
  expect(asOf.get()).toBe(1_000);
  asOf.kept(null);
  asOf.kept(2_000);
  expect(asOf.get()).toBeNull();
  asOf.anew();
  asOf.kept(2_000);
  expect(asOf.get()).toBe(2_000);
});

test('the last answer of the server counts where nothing kept stands there', () => {
  const asOf = new AsOf();
  asOf.kept(1_000);
  const before = Date.now();
  asOf.live();
  expect(asOf.get()).toBeGreaterThanOrEqual(before);
  asOf.kept(null);
  expect(asOf.get()).toBeNull();
});

test('whoever watches is told when something kept stands in', () => {
  const asOf = new AsOf();
  let told = 0;
  const stop = asOf.subscribe(() => told++);
  asOf.kept(1_000);
  stop();
  asOf.kept(500);
  expect(told).toBe(1);
});
