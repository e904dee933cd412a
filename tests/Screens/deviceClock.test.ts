import { expect, test } from 'vitest';
import { DeviceClock } from '../../resources/js/lib/deviceClock';

const SERVER = 'Mon, 04 May 2026 08:00:00 GMT';
const at = (minutes: number) => Date.parse(SERVER) + minutes * 60_000;

test('a device whose clock is off says by how much and which way', () => {
  const clock = new DeviceClock();
  const said: (string | null)[] = [];
  clock.subscribe(() => said.push(clock.get()));
  for (const minutes of [0, 2.9, -2.9, 3, -1560.5, -4320 * 2]) clock.heard(SERVER, at(minutes));
  expect(clock.get()).toMatch(/^This device’s clock runs 6\sdays behind the workshop server’s\.$/);
  expect(said.map((one) => one?.replace(/\s/g, ' ') ?? null)).toEqual([
    null,
    null,
    'This device’s clock runs 3 min ahead of the workshop server’s.',
    'This device’s clock runs 26 h 00 behind the workshop server’s.',
    'This device’s clock runs 6 days behind the workshop server’s.',
  ]);
  clock.heard(SERVER, at(1));
  expect(clock.get()).toBeNull();
});

test('an answer that does not say when it was given tells nothing', () => {
  const clock = new DeviceClock();
  clock.heard(null, at(99));
  clock.heard('soon', at(99));
  expect(clock.get()).toBeNull();
});
