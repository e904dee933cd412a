import { expect, test } from 'vitest';
import { Early, firstPath } from '../../resources/js/api/early';

function asked() {
  const paths: string[] = [];
  const clock = { now: 0 };
  const fetching = (path: string) => {
    paths.push(path);
    return Promise.resolve(new Response(path));
  };
  return { paths, clock, early: new Early(fetching, () => clock.now) };
}

test('what was asked for early is taken once', async () => {
  const { early, paths } = asked();
  early.ask('session');
  expect(await (await early.take('session'))?.text()).toBe('session');
  expect(early.take('session')).toBeNull();
  expect(early.take('bench')).toBeNull();
  expect(paths).toEqual(['session']);
});

test('an answer that waited too long, or from before a change, is not taken', () => {
  const { early, clock } = asked();
  early.ask('bench');
  clock.now = 10_000;
  expect(early.take('bench')).toBeNull();
  early.ask('session');
  early.forget();
  expect(early.take('session')).toBeNull();
});

test('each screen of every day is asked for by its address, and no other', () => {
  expect(['/', '/machines', '/due', '/machines/RT-14', '/jobs/0a1b'].map(firstPath)).toEqual([
    'bench',
    'yard',
    'due',
    'machines/RT-14',
    'jobs/0a1b',
  ]);
  expect(['/trust', '/shop', '/machines/RT-14/service', '/jobs/0a1b/pull', '/due/'].map(firstPath)).toEqual(
    Array.from({ length: 5 }, () => null),
  );
});
