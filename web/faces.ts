import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import subset from 'subset-font';
import type { Plugin } from 'vite';

/** What the screens are written in: plain letters, figures, and the signs between them. app.css has the same range. */
const FIRST = [
  ...Array.from({ length: 0x7f - 0x20 }, (_, index) => 0x20 + index),
  ...[
    0xa0, 0xb0, 0xb1, 0xb7, 0xbc, 0xbd, 0xbe, 0xd7, 0x2013, 0x2014, 0x2018, 0x2019, 0x201c, 0x201d, 0x2026,
    0x2212,
  ],
];
const CUT = [
  ['atkinson-hyperlegible-next', 400],
  ['atkinson-hyperlegible-next', 600],
  ['piazzolla', 600],
] as const;

/** Each face is cut to what nearly every screen needs; a browser fetches the rest where somebody writes with it. */
export function firstLetters(): Plugin {
  return {
    name: 'first-letters',
    async buildStart() {
      const text = String.fromCodePoint(...FIRST);
      mkdirSync('../var/cache/faces', { recursive: true });
      for (const [face, weight] of CUT) {
        const whole = readFileSync(
          `node_modules/@fontsource/${face}/files/${face}-latin-${weight}-normal.woff2`,
        );
        const first = await subset(whole, text, { targetFormat: 'woff2' });
        writeFileSync(`../var/cache/faces/${face}-${weight}-first.woff2`, first);
      }
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
