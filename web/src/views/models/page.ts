import { tex } from '@mdit/plugin-tex';
import katex from 'katex';
import MarkdownIt from 'markdown-it';
import { sectionId } from '@rough-gear/contract/find';

/** Where a formula goes: it is set once it stands on the page, since a page takes no styles out of a text. */
function placeOf(source: string, alone: boolean): string {
  const text = source.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);
  return alone ? `<p class="formula" data-formula="${text}"></p>\n` : `<span data-formula="${text}"></span>`;
}

/** Sets the formulas of a page; one that stands alone keeps its full size and still breaks where the line ends. */
export function setFormulas(page: HTMLElement): void {
  for (const place of page.querySelectorAll<HTMLElement>('[data-formula]')) {
    const source = place.dataset['formula']!;
    const alone = place.classList.contains('formula');
    katex.render(alone ? `\\displaystyle ${source}` : source, place, { throwOnError: false });
  }
}

/** The page of models as HTML: headings are places that workings lead to, formulas wait to be set. */
export function pageOf(text: string): string {
  const markdown = new MarkdownIt().use(tex, { render: placeOf });
  markdown.renderer.rules['heading_open'] = (tokens, index) => {
    const { tag } = tokens[index]!;
    return `<${tag} id="${sectionId(tokens[index + 1]?.content ?? '')}" tabindex="-1">`;
  };
  // Other pages of the repository are not served here: their names stand without a link.
  return markdown.render(text.replace(/\[([^\]]+)\]\((?!https?:|#)[^)]+\)/g, '$1'));
}
