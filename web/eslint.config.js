import js from '@eslint/js';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';

// What needs to know types is proven elsewhere: types by svelte-check, promises that nobody waits for by oxlint.

// The floors of the front end: each may import from those before it, never from those after it.
const FLOORS = [
  ['api', 'router'],
  ['ui'],
  ['outbox'],
  ['closure'],
  ['session'],
  ['stations'],
  ['rehearse'],
  ['table', 'pages'],
];

const floors = FLOORS.slice(0, -1).flatMap((rooms, floor) => {
  const above = FLOORS.slice(floor + 1).flat();
  return rooms.map((room) => ({
    files: [`src/${room}/**`, `src/${room}.ts`],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: `^\\.\\.?/(\\.\\./)*(${above.join('|')})/`,
              message: 'A floor knows only those below it.',
            },
          ],
        },
      ],
    },
  }));
});

export default ts.config(
  { ignores: ['dist/', 'public/', 'src/api/schema.d.ts'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...svelte.configs.recommended,
  { languageOptions: { globals: globals.browser } },
  { files: ['**/*.svelte', '**/*.svelte.ts'], languageOptions: { parserOptions: { parser: ts.parser } } },
  // Dates and sets in the stores are values that are made anew, never state that changes in place.
  { rules: { 'svelte/prefer-svelte-reactivity': 'off' } },
  // Addresses are made by the router's own typed function.
  { rules: { 'svelte/no-navigation-without-resolve': 'off' } },
  ...floors,
);
