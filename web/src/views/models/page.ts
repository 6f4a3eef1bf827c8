import { tex } from '@mdit/plugin-tex';
import katex from 'katex';
import MarkdownIt from 'markdown-it';
import { sectionId } from './sectionId.js';

/** A formula as it is set; one that stands alone keeps its full size and still breaks where the line ends. */
const formula = (source: string, alone: boolean): string => {
  const set = katex.renderToString(alone ? `\\displaystyle ${source}` : source, { throwOnError: false });
  return alone ? `<p class="formula">${set}</p>\n` : set;
};

/** The page of models as HTML: headings are places that workings lead to, formulas stand between dollar signs. */
export function pageOf(text: string): string {
  const markdown = new MarkdownIt().use(tex, { render: formula });
  markdown.renderer.rules['heading_open'] = (tokens, index) => {
    const { tag } = tokens[index]!;
    return `<${tag} id="${sectionId(tokens[index + 1]?.content ?? '')}" tabindex="-1">`;
  };
  // Other pages of the repository are not served here: their names stand without a link.
  return markdown.render(text.replace(/\[([^\]]+)\]\((?!https?:|#)[^)]+\)/g, '$1'));
}
