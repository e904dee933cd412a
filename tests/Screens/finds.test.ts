import { expect, test } from 'vitest';
import { finds } from '../../resources/js/lib/finds';

const said = 'RT-14 KX 4471 Tolvane Ridge 300 trail motorcycle';
const codes = ['RT-14', 'KX 4471', null];

test.each(['rt-14', 'rt14', 'RT 14', 'rt–14', 'kx4471', 'ridge tolvane', '14 ridge', ' ', ''])(
  '%s finds it',
  (typed) => {
    expect(finds(typed, said, codes)).toBe(true);
  },
);

test.each(['rt15', 'tolvaneridge', 'rt-14 dune', '144'])('%s does not', (typed) => {
  expect(finds(typed, said, codes)).toBe(false);
});

test('a word of nothing but dashes finds what has one', () => {
  expect(finds('-', said, codes)).toBe(true);
  expect(finds('–', said, codes)).toBe(false);
});
