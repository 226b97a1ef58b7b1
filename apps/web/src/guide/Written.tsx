import { slugOf } from '@yellow-cell/core';
import { Marked, type Token } from 'marked';
import { useMemo } from 'react';

/** Each heading can be linked to, by its words. */
const markdown = new Marked({
  renderer: {
    heading({ tokens, depth }) {
      const words = this.parser.parseInline(tokens);
      return `<h${depth} id="${slugOf(words)}" tabindex="-1">${words}</h${depth}>`;
    },
    table(token) {
      const row = (cells: readonly { tokens: Token[] }[], tag: string): string =>
        `<tr>${cells.map(({ tokens }) => `<${tag}>${this.parser.parseInline(tokens)}</${tag}>`).join('')}</tr>`;
      const body = token.rows.map((cells) => row(cells, 'td')).join('');
      // A wide table scrolls by itself, the page does not.
      return `<div class="overflow-x-auto" tabindex="0"><table><thead>${row(token.header, 'th')}</thead><tbody>${body}</tbody></table></div>`;
    },
  },
});

/** A text of the program's own, written in Markdown. */
export function Written({ text }: { text: string }) {
  const html = useMemo(() => markdown.parse(text, { async: false }), [text]);
  return (
    <article
      className="written"
      // biome-ignore lint/security/noDangerouslySetInnerHtml: the program's own text, made when it was built
      dangerouslySetInnerHTML={{ __html: html }}
    />
  );
}
