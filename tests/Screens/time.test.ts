import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { due, dueLine, dueWhen } from '../../resources/js/lib/time';

describe('when a check falls due', () => {
  beforeEach(() => {
    vi.useFakeTimers();
    vi.setSystemTime(new Date('2026-03-10T12:00:00'));
  });
  afterEach(() => vi.useRealTimers());

  it.each([
    ['2026-03-09', '1 day over', '1 day overdue'],
    ['2026-01-20', '49 days over', '49 days overdue'],
    ['2026-03-10', 'today', 'due today'],
    ['2026-03-11', 'tomorrow', 'due tomorrow'],
    ['2026-03-19', 'in 9 days', 'due in 9 days'],
  ])('%s is %s, in a line of its own %s', (date, said, line) => {
    expect(dueWhen(due(date))).toBe(said);
    expect(dueLine(due(date))).toBe(line);
  });

  it('says what is left of use in the same words', () => {
    expect(dueLine({ says: '1 390 km', is_over: true })).toBe('1 390 km overdue');
    expect(dueLine({ says: 'in 40 h', is_over: false })).toBe('due in 40 h');
  });
});
