import { Parser } from 'htmlparser2';

/** Elements whose content is never part of a recipe, and never kept. */
const skipped = new Set([
  'script',
  'style',
  'noscript',
  'template',
  'iframe',
  'object',
  'embed',
  'svg',
  'math',
  'nav',
  'footer',
  'form',
  'button',
  'select',
  'textarea',
  'head',
  'audio',
  'video',
  'canvas',
]);
const blocks = new Set([
  'p',
  'div',
  'li',
  'ul',
  'ol',
  'tr',
  'table',
  'section',
  'article',
  'header',
  'main',
  'aside',
  'br',
  'h1',
  'h2',
  'h3',
  'h4',
  'h5',
  'h6',
  'dd',
  'dt',
  'figure',
  'figcaption',
  'blockquote',
  'hr',
  'pre',
  'label',
]);
const MAX = 1_500_000;

export interface Page {
  /** The visible text, a line a block; headings carry Markdown's marks, list items a dash. */
  readonly text: string;
  /** Embedded JSON-LD, as text. */
  readonly data: readonly string[];
}

export const looksLikeHtml = (text: string): boolean =>
  /<(?:!doctype\s+html|html|head|body|div|p|li|ul|ol|h[1-6]|table|tr|td|span|br|article|section|script|a|b|strong|em|i|img|font|style|svg|iframe)\b[^>]*>/i.test(
    text.slice(0, 60_000),
  ) && /<\/?[a-z][^>]*>/i.test(text);

/** Reads a page's text without running, loading or keeping anything of it. Broken markup is read as far as it makes sense. */
export function pageOf(html: string): Page {
  const lines: string[] = [''];
  const data: string[] = [];
  let skip = 0;
  let json: string | null = null;
  let cell = false;
  const put = (s: string): void => {
    lines[lines.length - 1] += s;
  };
  const line = (): void => {
    if (lines.at(-1)?.trim() !== '') lines.push('');
  };
  const parser = new Parser(
    {
      onopentag(name, attributes) {
        if (name === 'script' && /ld\+json/i.test(attributes['type'] ?? '')) json = '';
        if (skipped.has(name)) skip++;
        if (skip > 0) return;
        if (blocks.has(name)) line();
        if (/^h[1-6]$/.test(name)) put(`${'#'.repeat(Number(name[1]))} `);
        if (name === 'li') put('- ');
        if (name === 'td' || name === 'th') {
          if (cell) put(' ');
          cell = true;
        }
        if (name === 'tr') cell = false;
      },
      ontext(text) {
        if (json !== null) json += text;
        // an escaped bracket is text too, and no recipe needs it
        else if (skip === 0) put(text.replace(/[<>\s]+/g, ' '));
      },
      onclosetag(name) {
        if (name === 'script' && json !== null) {
          if (data.length < 20) data.push(json);
          json = null;
        }
        if (skipped.has(name)) skip = Math.max(0, skip - 1);
        else if (skip === 0 && blocks.has(name)) line();
      },
    },
    { decodeEntities: true, lowerCaseTags: true },
  );
  parser.write(html.slice(0, MAX));
  parser.end();
  return {
    text: lines
      .map((l) => l.trimEnd())
      .filter((l) => !/^(?:#+|-)?\s*$/.test(l))
      .join('\n'),
    data,
  };
}
