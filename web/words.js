// Prints what the screens say, by file: every text between tags, every attribute somebody reads, and every sentence of a
// script. What is worked out stands as {…}. Called by bin/words.
import { readFileSync, readdirSync } from 'node:fs';
import { parse } from 'svelte/compiler';
import ts from 'typescript';

const GAP = '{…}';
/** Attributes of an element that somebody reads or hears. */
const READ = /^(aria-(label|valuetext|roledescription)|title|alt|placeholder|label|hint|note|question|why)$/;
/** What a script holds that nobody reads: classes, paths, selectors, headers and keys of a keyboard. */
const CLASSES = /(^|\s)(-?[mpgwh][trblxy]?-\S|text-|flex|btn|stroke-|fill-|border|input|select\s)|-\[/;
/** What a pen draws. */
const OUTLINE = /^M-?[\d…{]/;
const CODE =
  /[[\]<>=]|\w\(|:not|^\{…\}[/.]|^\S*\/\S*$|^#|^M\{|_|[a-z]\.[a-z]|^[A-Z]\w*([-+][A-Z]\w*)+$|[a-z][A-Z]/;
const KEYS = /^(Enter|Escape|Delete|Backspace|Page(Up|Down)|Arrow\w+|a\.ts)$/;
const WORDS = /[a-zA-Z]{2}/;

const clean = (text) => text.replace(/\s+/g, ' ').trim();
const bare = (text) => text.replaceAll(GAP, '');
/** A sentence, a label or an end of one that stands in a script. */
const said = (text) =>
  /^[A-Z“].|.\s./s.test(text) &&
  !CLASSES.test(text) &&
  !CODE.test(text) &&
  !KEYS.test(text) &&
  !OUTLINE.test(text);

/** A text with gaps, of what a script joins to one string. */
function literal(node) {
  if (node.type === 'Literal') return typeof node.value === 'string' ? node.value : undefined;
  if (node.type === 'TemplateLiteral') return node.quasis.map((part) => part.value.cooked).join(GAP);
}

class Reader {
  found = new Set();

  /** @param text of a page, or undefined */
  show(text) {
    const words = clean(text ?? '');
    if (WORDS.test(bare(words))) this.found.add(words);
  }

  /** @param text of a script, or undefined */
  say(text) {
    const words = clean(text ?? '');
    if (said(words)) this.show(words);
  }

  /** Pieces beside one another are one sentence. */
  pieces(nodes) {
    let text = '';
    for (const node of nodes) {
      if (node.type === 'Text') text += node.data;
      else if (node.type === 'ExpressionTag') {
        text += GAP;
        this.walk(node.expression);
      } else {
        this.show(text);
        text = '';
        this.walk(node);
      }
    }
    this.show(text);
  }

  /** What is given to a component may be a key, as in a script. */
  attribute(node, given) {
    const values = node.value === true ? [] : [node.value].flat();
    if (READ.test(node.name)) this.pieces(values);
    else if (given && node.name !== 'class')
      values.forEach((value) => (value.type === 'Text' ? this.say(value.data) : this.walk(value)));
    else
      values.forEach((value) => value.type === 'ExpressionTag' && /^on/.test(node.name) && this.walk(value));
  }

  walk(node) {
    if (!node || typeof node !== 'object') return;
    if (Array.isArray(node)) return node.forEach((one) => this.walk(one));
    if (node.type === 'Fragment') return this.pieces(node.nodes);
    if (Array.isArray(node.attributes)) {
      const given = node.type === 'Component';
      node.attributes.forEach((one) =>
        one.type === 'Attribute' ? this.attribute(one, given) : this.walk(one),
      );
      return this.walk(node.fragment);
    }
    if (/^TS(As|Satisfies|NonNull)Expression$/.test(node.type)) return this.walk(node.expression);
    if (node.type === 'ImportDeclaration' || node.type?.startsWith('TS')) return;
    if (node.type === 'Literal' || node.type === 'TemplateLiteral') {
      this.say(literal(node));
      return this.walk(node.expressions);
    }
    for (const [name, value] of Object.entries(node))
      if (!['leadingComments', 'trailingComments', 'comments', 'loc', 'parent', 'metadata'].includes(name))
        this.walk(value);
  }
}

function script(source) {
  const reader = new Reader();
  const visit = (node) => {
    if (ts.isImportDeclaration(node) || ts.isTypeNode(node)) return;
    if (ts.isStringLiteralLike(node)) reader.say(node.text);
    if (ts.isTemplateExpression(node))
      reader.say([node.head.text, ...node.templateSpans.map((span) => span.literal.text)].join(GAP));
    ts.forEachChild(node, visit);
  };
  visit(ts.createSourceFile('a.ts', source, ts.ScriptTarget.Latest));
  return reader.found;
}

function component(source) {
  const reader = new Reader();
  const { fragment, instance, module } = parse(source, { modern: true });
  [module?.content, instance?.content, fragment].forEach((part) => reader.walk(part));
  return reader.found;
}

const files = readdirSync('src', { recursive: true, encoding: 'utf8' }).filter(
  (name) => /\.(svelte|ts)$/.test(name) && !name.endsWith('.d.ts'),
);
const words = files.sort().map((file) => {
  const source = readFileSync(`src/${file}`, 'utf8');
  return [file, [...(file.endsWith('.svelte') ? component(source) : script(source))]];
});
process.stdout.write(
  JSON.stringify(Object.fromEntries(words.filter(([, found]) => found.length > 0)), null, 1),
);
