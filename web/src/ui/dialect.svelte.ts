// How somebody likes to read on this device: British or American words, and a point or a comma in numbers. It changes
// what is shown, and never what is kept or sent: what is typed is read either way. Screens are put into it where they
// are drawn, text by text, from the table that prints use too (app/dialect.rb; bin/words writes american.json).
import { keep } from '../api/browser_store';
import { say, type Numbers, type Words } from './say';

const FIGURE = /^-?\d+\.\d+( ?[a-z"%]+)?$/i;
const SPOKEN = ['aria-label', 'aria-valuetext', 'placeholder', 'title', 'alt'];
// Addresses, versions and times are as they are; what is typed belongs to whoever types it.
const AS_IT_IS = 'script, style, code, time, textarea, [contenteditable], [data-as-is]';

class Dialect {
  words = $state<Words>('british');
  numbers = $state<Numbers>('point');

  /** What public/theme.js found kept, or what the browser's own language has. */
  constructor() {
    const shown = document.documentElement.dataset;
    if (shown['words'] === 'american') this.words = 'american';
    if (shown['numbers'] === 'comma') this.numbers = 'comma';
  }

  get usual(): boolean {
    return this.words === 'british' && this.numbers === 'point';
  }

  /** The figure of a field, such as "18.5 mm"; anything else that was typed stays as it is. */
  figure(text: string): string {
    return this.numbers === 'comma' && FIGURE.test(text) ? text.replace('.', ',') : text;
  }

  /** From here on; all of the page is drawn again, so that nothing of before is left. */
  speak(words: Words, numbers: Numbers): void {
    keep('words', words);
    keep('numbers', numbers);
    location.reload();
  }

  say(text: string): string {
    return say(text, this.words, this.numbers);
  }
}

export const dialect = new Dialect();

function text(node: Node): void {
  const said = node.nodeValue ?? '';
  const like = dialect.say(said);
  if (like !== said && !node.parentElement?.closest(AS_IT_IS)) node.nodeValue = like;
}

function names(element: Element): void {
  for (const name of SPOKEN) {
    const said = element.getAttribute(name);
    if (said === null) continue;
    const like = dialect.say(said);
    if (like !== said) element.setAttribute(name, like);
  }
}

function all(root: Node): void {
  if (root instanceof Element) names(root);
  const walk = document.createTreeWalker(root, NodeFilter.SHOW_ELEMENT | NodeFilter.SHOW_TEXT);
  for (let node = walk.nextNode(); node; node = walk.nextNode())
    if (node instanceof Element) names(node);
    else text(node);
}

/** Puts everything drawn from here on into the dialect, before it is seen; nothing to do where it is as usual. */
export function speakEverywhere(): void {
  if (dialect.usual) return;
  new MutationObserver((changes) => {
    for (const change of changes)
      if (change.type === 'characterData') text(change.target);
      else if (change.type === 'attributes') names(change.target as Element);
      else
        for (const node of change.addedNodes)
          if (node.nodeType === Node.TEXT_NODE) text(node);
          else all(node);
  }).observe(document.documentElement, {
    subtree: true,
    childList: true,
    characterData: true,
    attributes: true,
    attributeFilter: SPOKEN,
  });
  all(document.body);
}
