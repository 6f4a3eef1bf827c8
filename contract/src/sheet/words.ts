import type { SheetKind } from './fields.js';
import type { SheetLine } from './entries.js';
import type { Doubtful, Told } from './reading.js';
import { toldBy } from './readFigure.js';

/** What a line says without a label, or in words. */
type Saying = (line: string) => readonly Pick<Told, 'name' | 'si' | 'value' | 'as'>[];

const word = (name: string, value: string | boolean, pattern: RegExp, not?: RegExp): Saying => {
  return (line) => {
    const match = pattern.exec(line);
    return match && !not?.test(line) ? [{ name, value, as: match[0] }] : [];
  };
};
const counted = (name: string, pattern: RegExp, of: (match: RegExpExecArray) => number, not?: RegExp): Saying => {
  return (line) => {
    const match = pattern.exec(line);
    return match && !not?.test(line) ? [{ name, si: of(match), as: String(of(match)) }] : [];
  };
};
const figured = (name: string, dimension: Parameters<typeof toldBy>[1], pattern: RegExp, unit: string): Saying => {
  return (line) => {
    const match = pattern.exec(line);
    return match ? toldBy(`${match[1]!} ${unit}`, dimension).map((told) => ({ name, ...told })) : [];
  };
};

const SEALING: readonly Saying[] = [
  word('sealing', 'under water', /\bIP ?[0-6X][78]\b|\bwaterproof\b|\bsubmersible\b/i, /\bnot (?:be )?waterproof\b/i),
  word('sealing', 'dust and splashes', /\bIP ?[0-6X][3-6]\b|\bsplash[- ]?proof\b|\bwater resistant\b/i),
];

const SAYINGS: Readonly<Record<SheetKind, readonly Saying[]>> = {
  motor: [
    word('type', 'brushless', /\bbrush-?less\b|\bBLDC\b/i),
    word('type', 'brushed', /\bbrushed\b|\bbrush motor\b|\b(?:carbon|precious metal|copper graphite) brush(?:es)?\b/i),
    word(
      'sensors',
      false,
      /\bsensor-?less\b|\bwithout (?:hall )?sensors?\b|\b(?:hall )?sensors?\s*[:=|\t]\s*(?:no|none)\b/i,
    ),
    word(
      'sensors',
      true,
      /\bsensored\b|\b(?:with|built-in) (?:hall )?sensors?\b|\bhall sensors?\b/i,
      /\bwithout\b|\bsensor-?less\b|\bsensors?\s*[:=|\t]\s*(?:no|none)\b/i,
    ),
    counted('slots', /\b(\d{1,2}) ?N ?(\d{1,2}) ?P\b/, ([, slots]) => Number(slots)),
    counted('poles', /\b(\d{1,2}) ?N ?(\d{1,2}) ?P\b/, ([, , poles]) => Number(poles)),
    counted('poles', /\b(\d{1,2})[- ]poles?\b(?! pairs?)/i, ([, poles]) => Number(poles)),
    figured('kv', 'kv', /(?<![\d.,])(\d{2,5}) ?kv\b/i, 'Kv'),
    figured('turns', 'number', /(?<![\d.,])(\d{1,2}(?:\.5)?)[- ]?(?:turns?\b|T\b)(?!.*(?:pinion|gear|spline))/i, ''),
    figured('canDiameter', 'length', /[⌀ØΦφ∅] ?(\d+(?:\.\d+)?)(?: ?mm)? ?[x×*] ?\d/i, 'mm'),
    figured('canDiameter', 'length', /\((?:Ø|⌀|dia\w*\.?) ?[x×*][^)]*\)\W*(\d+(?:\.\d+)?)(?: ?mm)? ?[x×*]/i, 'mm'),
    ...SEALING,
  ],
  servo: [
    word('motion', 'continuous', /\bcontinuous(?:ly)? (?:rotation|rotating|turning)\b|\b360° continuous\b/i),
    word('motion', 'linear', /\blinear (?:servo|actuator)\b/i),
    word('signal', 'digital', /\bdigital\b/i, /\banalog/i),
    word('signal', 'analogue', /\banalog(?:ue)?\b/i, /\bdigital/i),
    word('motor', 'coreless', /\bcore-?less\b/i),
    word('motor', 'brushless', /\bbrush-?less\b/i),
    word('motor', 'brushed', /\b(?:brushed|3[- ]pole|5[- ]pole|iron core|cored|carbon brush)\b/i),
    word(
      'gears',
      'steel',
      /\b(?:hardened |stainless )?steel (?:gears?|gear ?train)\b|\bgears?(?: material| type| set)?\W{1,3}(?:all |hardened )?steel\b/i,
    ),
    word('gears', 'titanium', /\btitanium(?: alloy)? gears?\b|\bgears?(?: material| type| set)?\W{1,3}titanium\b/i),
    word('gears', 'brass', /\bbrass gears?\b|\bgears?(?: material| type| set)?\W{1,3}brass\b/i),
    word('gears', 'aluminium', /\balumini?um gears?\b|\bgears?(?: material| type| set)?\W{1,3}alumini?um\b/i),
    word(
      'gears',
      'reinforced resin',
      /\b(?:carbon|glass|fib(?:re|er))?[- ]?reinforced (?:resin|nylon|plastic) gears?\b|\bgears?(?: material| type| set)?\W{1,3}reinforced (?:resin|nylon|plastic)\b/i,
    ),
    word(
      'gears',
      'plastic',
      /(?<!reinforced )\b(?:plastic|nylon|resin|pom) gears?\b|\bgears?(?: material| type| set)?\W{1,3}(?:plastic|nylon|resin|pom)\b/i,
    ),
    word(
      'caseMaterial',
      'metal',
      /\b(?:full |cnc )?(?:alumini?um|metal) (?:case|housing|shell)\b|\b(?:case|housing|shell)(?: material)?\W{1,3}(?:full |cnc )?(?:alumini?um|metal)\b/i,
      /\b(?:part|half|middle|cent(?:er|re))\b/i,
    ),
    word(
      'caseMaterial',
      'part metal',
      /\b(?:part|half|middle|cent(?:er|re))[- ](?:metal |alumini?um )?(?:metal|alumini?um|case|shell)\b/i,
    ),
    word(
      'caseMaterial',
      'plastic',
      /\b(?:plastic|nylon|abs) (?:case|housing|shell)\b|\b(?:case|housing|shell)(?: material)?\W{1,3}(?:plastic|nylon|abs|engineering plastic)\b/i,
    ),
    word(
      'bearing',
      'two ball bearings',
      /\b(?:2 ?BB|2 ?x ?BB|dual (?:ball )?bearings?|double (?:ball )?bearings?|two ball bearings|2 ball bearings?)\b/i,
    ),
    word('bearing', 'one ball bearing', /\b(?:1 ?BB|single (?:ball )?bearing|one ball bearing|1 ball bearing)\b/i),
    word('bearing', 'metal bush', /\b(?:metal|bronze|brass|sintered) bush(?:ing)?s?\b/i),
    word('bearing', 'bush', /\b(?:plain bush(?:ing)?|plastic bush(?:ing)?|bushings?)\b/i),
    counted('splineTeeth', /\b(\d{2}) ?(?:T|teeth)\b/i, ([, teeth]) => Number(teeth)),
    ...SEALING,
  ],
  stepper: [
    word('wiring', 'parallel', /\b(?:bipolar|wired|connected|connection|winding)\W{1,4}(?:in )?parallel\b/i),
    word('wiring', 'series', /\b(?:bipolar|wired|connected|connection|winding)\W{1,4}(?:in )?series\b/i),
    word('wiring', 'half coil', /\bhalf[- ](?:coil|winding)\b/i),
    counted('leads', /\b([468])[- ](?:leads?|wires?)\b/i, ([, leads]) => Number(leads)),
    ...SEALING,
  ],
  controller: [...SEALING],
  pack: [
    word('chemistry', 'lifepo4', /\bLiFe ?PO4\b|\bLi-?Fe\b|\bLFP\b|\blithium iron phosphate\b/i),
    word('chemistry', 'lipo', /\bLi-?Po(?:ly(?:mer)?)?\b|\blithium[- ]polymer\b/i, /\bLiFe/i),
    word('chemistry', 'liion', /\bLi-?ion\b|\blithium[- ]ion\b|\b18650\b|\b21700\b/i, /\bpolymer|iron phosphate/i),
    word('chemistry', 'nimh', /\bNi-?MH\b/i),
    word('chemistry', 'lead', /\b(?:sealed )?lead[- ]?acid\b|\bSLA\b|\bAGM\b|\bVRLA\b|\bsealed lead\b/i),
    word('chemistry', 'alkaline', /\balkaline\b/i),
    counted('series', /(?<![\w.,])(\d{1,2}) ?S(?: ?\d{1,2} ?P)?\b/, ([, series]) => Number(series)),
    counted('series', /(?<![\w.,])(\d{1,2})[- ]cells?\b/i, ([, series]) => Number(series)),
    counted('parallel', /(?<![\w.,])\d{1,2} ?S ?(\d{1,2}) ?P\b/, ([, parallel]) => Number(parallel)),
    figured('capacity', 'charge', /(?<![\d.,])(\d{3,6}) ?mAh\b/i, 'mAh'),
    figured('capacity', 'charge', /(?<![\d.,])(\d{1,3}(?:\.\d+)?) ?Ah\b/i, 'Ah'),
    figured('voltage', 'voltage', /(?<![\d.,])(\d{1,3}(?:\.\d+)?) ?V\b/i, 'V'),
  ],
};

/** What the lines of a sheet say in passing: its title, a list of words. */
export function sayingsIn(kind: SheetKind, lines: readonly SheetLine[]): readonly Told[] {
  return lines.flatMap(({ line, at }) =>
    SAYINGS[kind].flatMap((saying) => saying(line).map((said) => ({ ...said, line, at }))),
  );
}

const GEARS = ['brass', 'aluminium', 'steel', 'titanium'];

/** Words that say too little to be taken. */
export function vagueIn(kind: SheetKind, lines: readonly SheetLine[]): readonly Doubtful[] {
  if (kind !== 'servo') return [];
  return lines.flatMap(({ line, at }): readonly Doubtful[] => {
    const match =
      /\b(?:all |full )?metal gears?\b|\bgears?(?: material| type| set)?\W{1,3}(?:all |full )?(?:metal|alloy)\b/i.exec(
        line,
      );
    const choices = GEARS.map((value) => ({ line, at, name: 'gears', value, as: value }));
    return match ? [{ line, at, name: 'gears', as: match[0], reason: 'of which metal?', choices }] : [];
  });
}
