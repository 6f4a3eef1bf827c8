import type { Page } from '@playwright/test';

/**
 * Texts of a page that cannot be read whole: cut by their box, running out of the window, or crossing another text. The
 * page is measured as it stands, charts and drawings among it, since both are drawn as SVG.
 */
export const textFaults = (page: Page): Promise<readonly string[]> => page.evaluate(findFaults);

/** Runs in the page: nothing from outside may be named here. */
function findFaults(): readonly string[] {
  /** Less than this is a rounding of the browser's. */
  const HAIR = 1.5;
  interface Box {
    readonly text: string;
    readonly element: Element;
    readonly left: number;
    readonly right: number;
    readonly top: number;
    readonly bottom: number;
  }
  const faults = new Set<string>();
  const boxes: Box[] = [];
  const short = (text: string): string => text.trim().replace(/\s+/g, ' ').slice(0, 60);
  const IGNORED =
    'script, style, noscript, .sr-only, .katex, [aria-hidden="true"] option, datalist, [data-sonner-toaster], [inert]';

  const shown = (element: Element): boolean =>
    element.checkVisibility({ checkOpacity: true, checkVisibilityCSS: true }) && !element.closest(IGNORED);

  /** Boxes round an element that cut what sticks out, and whether they can be scrolled to it. */
  function clippers(element: Element): { rect: DOMRect; x: string; y: string }[] {
    const found = [];
    for (let at: Element | null = element; at && at !== document.documentElement; at = at.parentElement) {
      const style = getComputedStyle(at);
      if (style.display === 'inline' || style.display === 'contents') continue;
      if (style.overflowX !== 'visible' || style.overflowY !== 'visible')
        found.push({ rect: at.getBoundingClientRect(), x: style.overflowX, y: style.overflowY });
      if (style.position === 'fixed') break;
    }
    return found;
  }

  function look(element: Element, text: string, rect: DOMRect): void {
    let { left, right, top, bottom } = rect;
    let scrolls = false;
    for (const { rect: around, x, y } of clippers(element)) {
      const hides = (overflow: string) => overflow === 'hidden' || overflow === 'clip';
      const out =
        (hides(x) && (left < around.left - HAIR || right > around.right + HAIR)) ||
        (hides(y) && (top < around.top - HAIR || bottom > around.bottom + 3));
      if (out && !scrolls) faults.add(`cut: ${short(text)}`);
      if (!hides(x) || !hides(y)) scrolls = true;
      [left, right] = [Math.max(left, around.left), Math.min(right, around.right)];
      [top, bottom] = [Math.max(top, around.top), Math.min(bottom, around.bottom)];
    }
    if (right - left < 1 || bottom - top < 1) return;
    if (!scrolls && right > document.documentElement.clientWidth + HAIR)
      faults.add(`beyond the window: ${short(text)}`);
    boxes.push({ text: short(text), element, left, right, top, bottom });
  }

  const pen = document.createElement('canvas').getContext('2d')!;
  const widthOf = (text: string, style: CSSStyleDeclaration): number => {
    pen.font = `${style.fontStyle} ${style.fontWeight} ${style.fontSize} ${style.fontFamily}`;
    return pen.measureText(text).width;
  };
  const inside = (element: HTMLElement, style: CSSStyleDeclaration): number =>
    element.clientWidth - parseFloat(style.paddingLeft) - parseFloat(style.paddingRight);

  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT | NodeFilter.SHOW_ELEMENT);
  for (let node: Node | null = walker.currentNode; node; node = walker.nextNode()) {
    if (node instanceof HTMLInputElement && ['text', 'search', 'number', ''].includes(node.type)) {
      const style = getComputedStyle(node);
      const text = node.value || node.placeholder;
      const spinner = node.type === 'number' ? 16 : 0;
      if (shown(node) && widthOf(text, style) > inside(node, style) - spinner + 1)
        faults.add(`cut in its field: ${short(text)}`);
      continue;
    }
    if (node instanceof HTMLSelectElement) {
      const style = getComputedStyle(node);
      const text = node.selectedOptions[0]?.text ?? '';
      // The arrow beside it takes its room.
      if (shown(node) && widthOf(text, style) > inside(node, style) - 18)
        faults.add(`cut in its choice: ${short(text)}`);
      continue;
    }
    if (!(node instanceof Text) || node.textContent!.trim() === '') continue;
    const parent = node.parentElement!;
    if (parent.closest('select, option') || !shown(parent)) continue;
    const range = document.createRange();
    range.selectNodeContents(node);
    const rects = parent instanceof SVGElement ? [parent.getBoundingClientRect()] : [...range.getClientRects()];
    for (const rect of rects) if (rect.width > 0.5) look(parent, node.textContent!, rect);
  }

  /** Something else lies over the place where two texts would cross. */
  function covered(a: Box, b: Box): boolean {
    const x = (Math.max(a.left, b.left) + Math.min(a.right, b.right)) / 2;
    const middle = (Math.max(a.top, b.top) + Math.min(a.bottom, b.bottom)) / 2;
    // Only what is in the window can be asked for what lies where.
    const at = scrollY;
    if (middle < 0 || middle > innerHeight) scrollBy({ top: middle - innerHeight / 2, behavior: 'instant' });
    const y = middle - (scrollY - at);
    const lies = x >= 0 && y >= 0 && x <= innerWidth && y <= innerHeight && liesOver(a, b, x, y);
    scrollTo({ top: at, behavior: 'instant' });
    return lies;
  }

  function liesOver(a: Box, b: Box, x: number, y: number): boolean {
    const over = (box: Box) => {
      const stack = document.elementsFromPoint(x, y);
      const mine = stack.findIndex((one) => one === box.element || box.element.contains(one));
      return stack
        .slice(0, mine < 0 ? stack.length : mine)
        .some((one) => !one.contains(box.element) && getComputedStyle(one).backgroundColor !== 'rgba(0, 0, 0, 0)');
    };
    return over(a) || over(b);
  }

  boxes.sort((a, b) => a.top - b.top);
  for (let i = 0; i < boxes.length; i++)
    for (let k = i + 1; k < boxes.length && boxes[k]!.top < boxes[i]!.bottom; k++) {
      const [a, b] = [boxes[i]!, boxes[k]!];
      if (a.element === b.element) continue;
      const across = Math.min(a.right, b.right) - Math.max(a.left, b.left);
      const down = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top);
      if (across <= 2 || down <= 0.35 * Math.min(a.bottom - a.top, b.bottom - b.top)) continue;
      if (!covered(a, b)) faults.add(`crossing: ${a.text} × ${b.text}`);
    }
  return [...faults];
}
