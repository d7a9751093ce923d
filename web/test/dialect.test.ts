import { expect, test } from 'vitest';
import cases from '../../test/support/dialects.json';
import { say, type Numbers, type Words } from '../src/ui/say';

// The same cases hold the prints (test/app/dialect_test.rb); what is kept in a cookie is read there alone.
test.each(cases.filter(([dialect]) => !dialect!.startsWith('other')))(
  'in %s, %s is %s',
  (dialect, text, said) => {
    const [words, numbers] = dialect!.split('.') as [Words, Numbers];
    expect(say(text!, words, numbers)).toBe(said);
  },
);
