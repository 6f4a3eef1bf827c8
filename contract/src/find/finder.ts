import MiniSearch from 'minisearch';
import type { Place } from './place.js';
import { SYNONYMS } from './synonyms.js';

/** Words that say nothing of what is looked for. */
const EMPTY = new Set(
  'a an the is are do does did i it its my our we you how what where which when why who can could will would should to of for in on at and with this that be me much find see set change get there'.split(
    ' ',
  ),
);

/** As words are compared: small letters, no hyphens, no marks. */
const plain = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[-–/’']/g, ' ')
    .replace(/[?!.,:;()]/g, '')
    .replace(/\s+/g, ' ')
    .trim();

const words = (text: string): string[] => plain(text).split(' ');

/** What is looked for without what says nothing; a question of such words alone keeps them. */
function asked(query: string): readonly string[] {
  const all = words(query);
  const telling = all.filter((word) => !EMPTY.has(word));
  return telling.length > 0 ? telling : all;
}

/** Where several stand equal, what answers comes before what is typed. */
const WEIGHT: Readonly<Record<Place['kind'], number>> = {
  question: 1.3,
  desk: 1.2,
  room: 1.2,
  figure: 1.1,
  action: 1.1,
  mechanism: 1.1,
  page: 1,
  trial: 0.9,
  part: 0.9,
  word: 0.8,
};

/** Finds places by their label, by what else people call them, and by where they are. */
export class Finder {
  readonly #search: MiniSearch<{ id: number; label: string; also: string; where: string }>;
  readonly #names: readonly (readonly string[])[];

  constructor(readonly places: readonly Place[]) {
    this.#search = new MiniSearch({ fields: ['label', 'also', 'where'], tokenize: words, processTerm: (term) => term });
    const also = (place: Place): readonly string[] => SYNONYMS[place.key] ?? [];
    this.#names = places.map((place) => [place.label, ...also(place)].map((name) => asked(name).join(' ')));
    this.#search.addAll(
      places.map((place, id) => ({
        id,
        label: place.label,
        also: also(place).join(' '),
        where: place.where ?? '',
      })),
    );
  }

  /** The best first, at most `most`; none where nothing is like it. */
  find(query: string, most = 12): readonly Place[] {
    const told = asked(query);
    const whole = told.join(' ');
    if (whole === '') return [];
    return (
      this.#search
        .search(whole, {
          prefix: (term) => term.length > 1,
          fuzzy: (term) => (term.length > 4 ? 0.2 : false),
          boost: { label: 2, also: 2, where: 0.3 },
        })
        .map(({ id, score, queryTerms }) => ({ id, score, share: new Set(queryTerms).size / told.length }))
        // Of two words one is not enough: “half” of “half nut” is half of anything.
        .filter(({ share }) => share > 0.5)
        .map(({ id, score, share }) => {
          const place = this.places[id as number]!;
          return { place, score: score * share ** 2 * WEIGHT[place.kind] * this.#named(id as number, whole) };
        })
        .sort((a, b) => b.score - a.score)
        .slice(0, most)
        .map(({ place }) => place)
    );
  }

  /** A place that is called just so comes first, then one whose name has the words in a row. */
  #named(id: number, whole: string): number {
    const names = this.#names[id]!;
    if (names.includes(whole)) return 20;
    return names.some((name) => ` ${name} `.includes(` ${whole} `)) ? 4 : 1;
  }
}
