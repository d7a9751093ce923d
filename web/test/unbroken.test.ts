import { expect, test } from 'vitest';
import { unbroken } from '../src/ui/unbroken';

test('a figure stays with its unit and its fraction, and words go on breaking', () => {
  const said = unbroken('Punch eyelet 4 open, 5 mm across, 1 1/8 in or 2 in in a row.');
  expect(said.split('\u00a0')).toEqual([
    'Punch eyelet 4 open, 5',
    'mm across, 1',
    '1/8',
    'in or 2',
    'in in a row.',
  ]);
});
