import { slugOf } from '@yellow-cell/core';
import { Marked, type Token } from 'marked';
import { useEffect, useMemo, useRef } from 'react';
import { useLocation } from 'react-router';
import models from '../../../../docs/models.md?raw';

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
      return `<div class="overflow-x-auto"><table><thead>${row(token.header, 'th')}</thead><tbody>${body}</tbody></table></div>`;
    },
  },
});

/** What the program computes, and where its figures come from: the project's own document, as it stands. */
export function ModelsScreen() {
  const { hash } = useLocation();
  const page = useRef<HTMLElement>(null);
  const html = useMemo(() => markdown.parse(models, { async: false }), []);

  useEffect(() => {
    const heading = page.current?.querySelector<HTMLElement>(`[id="${decodeURIComponent(hash.slice(1))}"]`);
    heading?.scrollIntoView();
    heading?.focus({ preventScroll: true });
  }, [hash]);
  return (
    <main className="h-full overflow-y-auto bg-sheet">
      <article
        ref={page}
        className="written mx-auto max-w-3xl px-5 py-6"
        // biome-ignore lint/security/noDangerouslySetInnerHtml: the program's own text, made when it was built
        dangerouslySetInnerHTML={{ __html: html }}
      />
    </main>
  );
}
