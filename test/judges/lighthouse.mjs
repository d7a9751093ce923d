// Looks at pages of a running application as Lighthouse does, on a desktop and on a phone, and writes one line of JSON for
// each; a page elsewhere is written out in full: node lighthouse.mjs http://127.0.0.1:4567 /w/marsh-walk /w/marsh-walk/closures/1/opening …
import { launch } from 'chrome-launcher';
import lighthouse, { desktopConfig } from 'lighthouse';

const [origin, ...paths] = process.argv.slice(2);
const FLAGS =
  '--headless=new --no-sandbox --disable-gpu --no-first-run --disable-background-networking --disable-component-update --disable-sync';
const AUDITS = ['cumulative-layout-shift', 'total-blocking-time', 'mainthread-work-breakdown'];

const chrome = await launch({ chromePath: '/usr/bin/chromium', chromeFlags: FLAGS.split(' ') });
try {
  for (const path of paths) {
    for (const [device, config] of [['desktop', desktopConfig], ['phone', undefined]]) {
      const { lhr } = await lighthouse(new URL(path, origin).href, { port: chrome.port, logLevel: 'error', output: 'json' }, config);
      const scores = Object.fromEntries(
        Object.values(lhr.categories).map(({ id, score }) => [id, Math.round((score ?? 0) * 100)]),
      );
      const figures = Object.fromEntries(AUDITS.map((id) => [id, lhr.audits[id]?.numericValue]));
      const failing = Object.values(lhr.categories)
        .filter(({ id }) => id !== 'performance')
        .flatMap(({ auditRefs }) => auditRefs)
        .map(({ id }) => lhr.audits[id])
        .filter(({ score }) => score !== null && score < 1)
        .map(({ id }) => id);
      console.log(JSON.stringify({ path, device, scores, figures, failing }));
    }
  }
} finally {
  chrome.kill();
}
