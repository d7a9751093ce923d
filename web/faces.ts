import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import subset from 'subset-font';
import type { Plugin } from 'vite';

/** What the screens are written in: plain letters, figures, and the signs between them. */
const FIRST = [
  ...Array.from({ length: 0x7f - 0x20 }, (_, index) => 0x20 + index),
  ...[
    0xa0, 0xb0, 0xb1, 0xb7, 0xbc, 0xbd, 0xbe, 0xd7, 0x2013, 0x2014, 0x2018, 0x2019, 0x201c, 0x201d, 0x2026,
    0x2212,
  ],
];
const CUT = [
  ['Atkinson Hyperlegible Next', 400],
  ['Atkinson Hyperlegible Next', 600],
  ['Piazzolla', 600],
] as const;
/** Seen from app.css, which imports it after the whole faces: of two, the one that comes last is taken. */
const FOLDER = '../var/cache/faces';

/** Each face is cut to what nearly every screen needs; a browser fetches the rest where somebody writes with it. */
export function firstLetters(): Plugin {
  return {
    name: 'first-letters',
    async buildStart() {
      const text = String.fromCodePoint(...FIRST);
      const range = FIRST.map((code) => `U+${code.toString(16)}`).join(', ');
      mkdirSync(FOLDER, { recursive: true });
      const rules = CUT.map(async ([face, weight]) => {
        const name = face.toLowerCase().replaceAll(' ', '-');
        const whole = readFileSync(
          `node_modules/@fontsource/${name}/files/${name}-latin-${weight}-normal.woff2`,
        );
        const file = `${name}-${weight}-first.woff2`;
        writeFileSync(`${FOLDER}/${file}`, await subset(whole, text, { targetFormat: 'woff2' }));
        return `@font-face { font-family: '${face}'; font-weight: ${weight}; font-display: swap; src: url('./${file}') format('woff2'); unicode-range: ${range}; }`;
      });
      writeFileSync(`${FOLDER}/first.css`, (await Promise.all(rules)).join('\n'));
    },
  };
}

/** The faces every screen is read in are there before the first line: a face that comes late moves the page. */
export function faces(): Plugin {
  return {
    name: 'faces',
    apply: 'build',
    transformIndexHtml: {
      order: 'post',
      handler: (_, { bundle = {} }) =>
        Object.keys(bundle)
          .filter((name) => /-first-[^/]*\.woff2$/.test(name))
          .map((name) => ({
            tag: 'link',
            attrs: { rel: 'preload', as: 'font', type: 'font/woff2', crossorigin: true, href: `/${name}` },
            injectTo: 'head',
          })),
    },
  };
}
