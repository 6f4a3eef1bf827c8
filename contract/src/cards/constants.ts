import { show, type CardLine, type SetupCard } from '@rough-gear/core';
import { wordsText } from '../units/display.js';

export const CONSTANT_LANGUAGES = ['typescript', 'python', 'c++'] as const;
export type ConstantLanguage = (typeof CONSTANT_LANGUAGES)[number];

const LETTERS = /[^A-Za-z0-9]+/g;
const words = (text: string): readonly string[] =>
  text
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .split(LETTERS)
    .filter(Boolean);

/** MAST_LIFT; a name of other letters alone, or that begins with a digit, has a word before it. */
function constantName(text: string): string {
  const name = words(text).join('_').toUpperCase();
  return /^[A-Z]/.test(name) ? name : ['PART', name].filter(Boolean).join('_');
}

/** Two things of one name are numbered. */
function namesOf(cards: readonly SetupCard[]): readonly string[] {
  const seen = new Map<string, number>();
  return cards.map(({ of, kind }) => {
    const name = constantName(kind === 'rail' || kind === 'board' ? `${kind} ${of}` : of);
    const count = (seen.get(name) ?? 0) + 1;
    seen.set(name, count);
    return count === 1 ? name : `${name}_${count}`;
  });
}

const DIGITS = 12;
const valueOf = ({ value }: CardLine, quote: (text: string) => string): string =>
  typeof value === 'string' ? quote(value) : String(Number(value.value.toPrecision(DIGITS)));
/** A comment ends with its line. */
const comment = ({ value, from }: CardLine): string =>
  [typeof value === 'string' ? '' : show(value.value, value.dimension, 5), wordsText(from, 'metric')]
    .filter(Boolean)
    .join('; ')
    .replace(/[\r\n\\]+/g, ' ');
const quoted = (text: string): string => JSON.stringify(text);

const HEAD = 'Made from the plan. SI units: m, rad, s, A, V, rad/s. Change the plan, not this file.';

/** Every number and word of the cards as constants of a language, for a team’s own code. SI. */
export function constantsText(cards: readonly SetupCard[], language: ConstantLanguage): string {
  const names = namesOf(cards);
  const blocks = cards.map((card, i) => {
    const lines = card.lines.map((line) => ({
      name: constantName(line.key),
      value: valueOf(line, quoted),
      said: comment(line),
      text: typeof line.value === 'string',
    }));
    switch (language) {
      case 'typescript':
        return [
          `export const ${names[i]!} = {`,
          ...lines.map(({ name, value, said }) => `  ${name}: ${value}, // ${said}`),
          '} as const;',
        ];
      case 'python':
        return [
          `class ${names[i]!}:`,
          ...lines.map(({ name, value, said }) => `    ${name} = ${value}  # ${said}`),
          ...(lines.length === 0 ? ['    pass'] : []),
        ];
      case 'c++':
        return [
          `namespace ${names[i]!} {`,
          ...lines.map(
            ({ name, value, said, text }) =>
              `constexpr ${text ? 'const char*' : 'double'} ${name} = ${value};  // ${said}`,
          ),
          `}  // namespace ${names[i]!}`,
        ];
    }
  });
  const head =
    language === 'python' ? [`# ${HEAD}`] : language === 'c++' ? [`// ${HEAD}`, '#pragma once'] : [`// ${HEAD}`];
  return `${[head, ...blocks].map((block) => block.join('\n')).join('\n\n')}\n`;
}

/** The cards as plain data: values in SI with their dimension, and as they are read. */
export const cardsJson = (cards: readonly SetupCard[]): readonly object[] =>
  cards.map(({ lines, ...card }) => ({
    ...card,
    lines: lines.map(({ key, label, value, from, source, wrong }) => ({
      key,
      label,
      ...(typeof value === 'string'
        ? { value, shown: value }
        : { value: value.value, dimension: value.dimension, shown: wordsText([value], 'metric') }),
      from: wordsText(from, 'metric'),
      source,
      wrong,
    })),
  }));
