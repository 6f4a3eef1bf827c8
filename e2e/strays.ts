import type { Page } from '@playwright/test';
import type { UnitSystem } from '@rough-gear/contract/units';

/** Units of one system only. Volts, amperes, seconds, degrees, joules and watts are everybody's. */
const ONLY: Readonly<Record<UnitSystem, RegExp>> = {
  metric: /(?:^|[\s(≤≥±~⌀\d])(N·m(?:\/rad)?|N|mm|cm|kg·cm²|kg·m²|kg|m\/s²|m\/s|°C|MPa|(?<=\d\s?)m)(?=$|[\s),.;:·×→/])/g,
  inch: /(?:^|[\s(≤≥±~⌀\d])(oz-in(?:\/rad)?|lbf|lb·in²|lb|ft\/s²|ft\/s|°F|ksi|(?<=\d\s?)in(?! all| doubt))(?=$|[\s),.;:·×→/])/g,
};

/** Every text a page shows or tells: words, fields, tips and names for those who listen. */
async function textsOf(page: Page): Promise<readonly string[]> {
  return page.evaluate(() => {
    const found: string[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_ELEMENT | NodeFilter.SHOW_TEXT);
    for (let node: Node | null = walker.currentNode; node; node = walker.nextNode()) {
      if (node instanceof Element) {
        if (node.closest('[data-unit-is-a-name], .katex')) continue;
        for (const name of ['title', 'aria-label', 'aria-valuetext', 'placeholder'])
          if (node.hasAttribute(name)) found.push(node.getAttribute(name)!);
        if (node instanceof HTMLInputElement) found.push(node.value);
      } else {
        const parent = node.parentElement;
        if (!parent || parent.closest('script, style, [data-unit-is-a-name], .katex')) continue;
        // Number and unit are often set apart: they are read together.
        const text = node.textContent!.trim();
        if (text !== '') found.push(text);
      }
    }
    return found;
  });
}

/** Units of the other system, wherever a page still has them; `named` is what only names a thing. */
export async function straysOn(page: Page, system: UnitSystem, named: readonly string[]): Promise<readonly string[]> {
  const other = ONLY[system === 'metric' ? 'inch' : 'metric'];
  const texts = await textsOf(page);
  const strays = texts.flatMap((text) => {
    const left = named.reduce((rest, name) => rest.replaceAll(name, ' '), text);
    return [...left.matchAll(other)].map(([, unit]) => `${unit}: ${text.slice(0, 90)}`);
  });
  const broken = texts.filter((text) => /object Object|"dimension":/.test(text)).map((text) => `not worded: ${text}`);
  return [...new Set([...strays, ...broken])];
}
