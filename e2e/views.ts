import type { Mechanism, Plan } from '@rough-gear/core';
import type { Page } from '@playwright/test';
import { desk } from './ways.js';

/**
 * Every view, panel, dialog and chart that is walked: what stands on a page by itself is found from the plan and from the
 * page's own groups of buttons; what opens over one is listed here by what is clicked.
 */
export interface View {
  readonly name: string;
  /** Where it is; `:heron` stands for the demo robot's own address. */
  readonly path: string;
  /** Clicked one after the other, by name. */
  readonly click?: readonly (string | RegExp)[];
  /** What is done last: typed, searched for, waited for. */
  readonly then?: (page: Page) => Promise<unknown>;
  /** Its units are those in which it was written: the models in SI, a reason in those of that day. */
  readonly asWritten?: true;
  /** What was typed there, and stays as it was typed. */
  readonly typed?: string;
  /** What axe looks at, by its label, where the page around it was looked at with another view. */
  readonly within?: string;
  /** Another of its kind is looked at by axe already: its rules are about how things are built, not which numbers they show. */
  readonly alike?: true;
}

/** Views that are gone through in one test, on a shared server or on one of their own, since they write to it. */
export interface Walk {
  readonly name: string;
  readonly views: readonly View[];
  readonly ownServer?: true;
}

/** The region that shows the link which is open. */
const OPEN_LINK = 'The open link';

/** What a mechanism is made of, link by link: its address, and what is shown there. */
function linksOf(mechanism: Mechanism): readonly (readonly [link: string, shows: string])[] {
  const { drive, stages } = mechanism.choices.find(({ id }) => id === mechanism.current)!;
  const linked = drive.kind === 'servo' && drive.linkage && drive.linkage.kind !== 'direct';
  return [
    ['pack', 'pack'],
    ['branch', 'branch'],
    ...(drive.kind === 'servo'
      ? ([['rail', 'rail'], ...(linked ? [['linkage', 'linkage'] as const] : [])] as const)
      : ([['controller', `controller of ${drive.kind}`]] as const)),
    ['motor', `motor of ${drive.kind}`],
    ...stages.map(({ id, kind }) => [id, `stage ${kind}`] as const),
    ['output', `output of ${mechanism.kind}`],
    ['load', `load of ${mechanism.kind}`],
  ];
}

/** Every link of every mechanism of a robot, a walk a mechanism. */
export function mechanismWalks(plan: Plan): readonly Walk[] {
  const shown = new Set<string>();
  return plan.mechanisms.map((mechanism, at) => ({
    name: `${plan.name}, ${mechanism.name}`,
    views: linksOf(mechanism)
      // Pack and branch are the same for all.
      .filter(([link]) => at < 2 || (link !== 'pack' && link !== 'branch'))
      .map(([link, shows], i) => {
        const alike = shown.has(shows);
        shown.add(shows);
        const view = {
          name: `${mechanism.name}, ${link}`,
          path: `:${plan.name.toLowerCase()}/${mechanism.id}/${link}`,
        };
        // The page round the open link is the same for all links of a mechanism.
        if (i === 0) return view;
        return alike ? { ...view, alike } : { ...view, within: OPEN_LINK };
      }),
  }));
}

const at = (name: string, path: string, click: View['click'] = [], then?: View['then']): View => ({
  name,
  path,
  click,
  ...(then ? { then } : {}),
});
/** A view whose name is its address, and what is clicked there. */
const by = (path: string, ...click: (string | RegExp)[]): View => at([path, ...click].join(', '), path, click);

/** Views that change one region of a page whose rest is looked at elsewhere. */
const inside = (within: string, ...views: readonly View[]): readonly View[] =>
  views.map((view) => ({ ...view, within }));

const seen = (testId: string) => (page: Page) => page.getByTestId(testId).first().waitFor({ timeout: 60_000 });
const trial = (number: string, rest = ''): string => `/bench/7d2a0000-0000-4000-8000-0000000000${number}${rest}`;

export const PAGES: Walk = {
  name: 'pages of all robots',
  views: [
    by('/robots'),
    by('/data'),
    { ...by('/models'), asWritten: true },
    by('/sign-in'),
    by('/shelf/motor'),
    by('/shelf/motor/motor-brushed-64'),
    ...['servo', 'stepper', 'pack', 'series'].map((kind) => by(`/shelf/${kind}`)),
    by('/shelf/servo/servo-strong'),
    by('/shelf/motor', 'Import a file'),
    by('/shelf/motor', 'Earlier imports'),
    at('all alike, with musts', '/shelf/motor', ['all alike'], async (page) => {
      const add = page.getByRole('combobox', { name: 'another must' });
      for (const must of ['type', 'Kv']) await add.selectOption({ label: must });
    }),
    by('/shelf/motor/motor-brushed-64', 'New part'),
    at('a pasted sheet', '/shelf/motor', ['New part', 'Paste a data sheet'], async (page) => {
      await page.getByRole('dialog').getByRole('textbox').fill('Yard motor\nKv: 900\nWeight: 62\nRm 40 mΩ\nmade here');
      await page.getByTestId('sheet-read').getByRole('row').first().waitFor({ state: 'attached' });
    }),
    by('/shelf/servo', 'New part', 'Paste a data sheet'),
    at('report of an import', '/shelf/motor', ['Import a file'], async (page) => {
      await page.setInputFiles('input[type=file]', {
        name: 'own.csv',
        mimeType: 'text/csv',
        buffer: Buffer.from('name,type,figures by\na,brushed,sheet\nb,steam,sheet\n'),
      });
      await page.getByTestId('import-report').waitFor();
    }),
  ],
};

export const PAPER_AND_PIT: Walk = {
  name: 'paper and pit',
  views: [
    ...['order', 'cards', 'wiring', 'book'].map((sheet) =>
      at(`paper, ${sheet}`, `:heron/paper/${sheet}`, [], (page) => page.getByRole('article').first().waitFor()),
    ),
    by(':heron/paper/order', /64 mm can/),
    at('order, stand-ins', ':heron/paper/order', [/64 mm can/, /what else would do/], (page) =>
      page.getByRole('list', { name: 'Stand-ins' }).waitFor(),
    ),
    ...['checks', 'cards', 'wires', 'verdicts'].map((page) => by(`:heron/pit/${page}`)),
    by(':heron/pit', 'A fault found'),
    by(':heron/pit/cards', /^Mast lift/),
  ],
};

export const BENCH: Walk = {
  name: 'bench book',
  ownServer: true,
  views: [
    by('/bench'),
    by(':heron/bench'),
    ...['01', '03', '04', '06', '07', '08', '09', '10', '11', '12'].map((number) =>
      at(`trial ${number}`, trial(number), [], seen('found')),
    ),
    ...(['03', '05'] as const).flatMap((number) =>
      ['report', 'blank'].map((form) => by(trial(number, `/paper/${form}`))),
    ),
    by('/bench', 'New trial'),
    at('live line', '/bench', ['New trial', 'Begin', 'Read live', 'Start'], async (page) => {
      await page.getByRole('button', { name: 'Take this reading' }).waitFor();
      await page.getByRole('button', { name: 'Stop', exact: true }).click();
    }),
    at('pasted readings', '/bench', ['New trial', 'Begin', 'Paste columns, or a file'], (page) =>
      page.getByRole('dialog').getByRole('textbox').fill('V;A\n1;2\n3;4'),
    ),
  ],
};

export const WHOLE_ROBOT: Walk = {
  name: 'the whole robot',
  views: [
    at('robot', ':heron', [], seen('robot-answer')),
    at('a go', ':heron', [], async (page) => {
      await page.getByTestId('robot-answer').waitFor({ timeout: 60_000 });
      await page.getByTestId('lanes').getByRole('button').first().click();
    }),
    by(':heron', 'by mechanism'),
    at('event sheet', ':heron', ['event sheet'], seen('event-sheet')),
    at('replay and mends', ':heron', ['Replay', 'Look for changes that do it'], (page) =>
      page.getByTestId('robot-mends').getByRole('button').first().waitFor({ timeout: 60_000 }),
    ),
    by(':heron', 'Its parts, and others'),
    at('choose for all', ':heron?choose=all', [], seen('choose-all')),
  ],
};

const COMPARED = ['counts', 'windings', 'volts', 'brushes', 'mixed'];

export const PANELS: Walk = {
  name: 'pages of panels',
  views: [
    ...inside(
      OPEN_LINK,
      ...['Start, ramp', 'Brake', 'Heat'].map((page) => by(':heron/climb/controller', new RegExp(`^${page}`))),
      ...['Pulses', 'Signal', 'Limits'].map((page) => by(':heron/turntable/controller', page)),
      ...['Precision', 'Holding', 'Inside', 'Calibration'].map((page) => by(':heron/grip/motor', page)),
    ),
    at('at one speed', ':heron/climb/controller', ['At one speed'], seen('at-speed')),
    ...['hoist', 'turntable', 'grip'].map((mechanism) =>
      at(`wires of ${mechanism}`, `:heron/${mechanism}/motor?desk=wires`, [], seen('wires')),
    ),
    at('mends', ':heron/climb/output', [], (page) => page.getByTestId('mends').getByRole('button').first().waitFor()),
    by(':heron/lift/motor', 'table'),
    by(':heron/lift/motor', 'Demand'),
    by(':heron/lift/motor', 'what the rings mean'),
    at('working', ':heron/lift/motor', ['Working'], (page) => page.locator('.katex').first().waitFor()),
  ],
};

const ROBOT_MENU = /: other robots, book, revisions/;
const MECHANISM_MENU = /: rename, duplicate, remove/;

export const DIALOGS: Walk = {
  name: 'what opens over a mechanism',
  views: [
    ...['How far they vary', 'Help', 'Add a mechanism'].map((name) => by(':heron/lift/motor', name)),
    by(':heron/lift/motor', ROBOT_MENU),
    by(':heron/lift/motor', MECHANISM_MENU),
    ...['Revisions', 'Rename'].map((name) => by(':heron/lift/motor', ROBOT_MENU, name)),
    by(':heron/lift/motor?desk=side', 'Try another machine'),
    at('parts of the plan', ':heron/lift/motor', [/^Parts, 1 newer/], seen('plan-parts')),
    at('motors of the shelf', ':heron/lift/motor', [/^Change$/], seen('shelf-parts')),
    at('controllers of the shelf', ':heron/lift/controller', [/^Change$/], seen('shelf-parts')),
    by(':heron/lift/load', 'Add a job'),
    ...COMPARED.map((page) => by(`:heron/lift/motor?desk=compare&page=${page}`)),
    at('steppers compared', ':heron/turntable/motor?desk=compare', [], seen('step-machines')),
    at('servos compared', ':heron/grip/motor?desk=compare', [], seen('servo-scores')),
  ],
};

export const TRAIN: Walk = {
  name: 'pages of a train',
  views: inside(
    'Teeth',
    ...['stages', 'lengths', 'ways', 'layout'].map((train) => by(`:heron/lift/s2?desk=teeth&page=${train}`)),
    by(':heron/lift/s2?desk=teeth&page=layout', 'Side view'),
    by(':heron/lift/s2?desk=teeth&page=layout', 'Unfolded'),
    by(':heron/drive/s2?desk=teeth&page=layout'),
    by(':heron/drive/s2?desk=teeth&page=layout', 'Unfolded'),
    at('trains found', ':heron/lift/s2?desk=teeth&page=find', [], seen('trains')),
    at('a belt', ':heron/thrower/s1?desk=teeth&page=lengths', [], seen('belt-notes')),
  ),
};

/** A speed as it is typed: it stays in its field as it is, whatever units are shown around it. */
const WANTED = '0.7 m/s';

export const CHOOSING: Walk = {
  name: 'pages of choosing',
  views: [
    ...['ratio', 'speed', 'side', 'shortlist', 'reasons'].map((one) => by(`:heron/lift/motor?desk=${one}`)),
    by(':heron/turntable/motor?desk=side'),
    {
      ...at('for a speed', ':heron/lift/motor?desk=speed', [], async (page) => {
        await page.getByRole('textbox', { name: 'at full effort, under its load' }).fill(WANTED);
        await page.getByTestId('geared').waitFor({ timeout: 60_000 });
      }),
      typed: WANTED,
    },
    at('two ideas side by side', ':heron/lift/motor?desk=side', ['One or two motors?'], seen('differences')),
    {
      ...at('a reason', ':heron/lift/motor?desk=side', [], async (page) => {
        await page.getByRole('button', { name: 'Put in force' }).first().click();
        await page.getByRole('dialog').getByRole('button', { name: 'Put in force' }).click();
        await desk(page, 'Reasons').click();
      }),
      asWritten: true,
    },
    at('found', ':heron/intake/motor?desk=shortlist', ['Search'], async (page) => {
      await page.getByTestId('found').getByRole('button').first().click({ timeout: 60_000 });
      await page.getByTestId('fallen').getByText('tried:').waitFor({ timeout: 60_000 });
    }),
  ],
};

export const WALKS: readonly Walk[] = [PAGES, PAPER_AND_PIT, BENCH, WHOLE_ROBOT, PANELS, DIALOGS, TRAIN, CHOOSING];
