/** The desks of a mechanism, in the order of its work. */
export const DESKS = {
  figures: 'Figures',
  ratio: 'Ratio',
  speed: 'Speed',
  teeth: 'Teeth',
  compare: 'Compare',
  shortlist: 'Shortlist',
  side: 'Side by side',
  wires: 'Wires',
  reasons: 'Reasons',
} as const;
export type DeskId = keyof typeof DESKS;

export const DESK_IDS = Object.keys(DESKS) as readonly DeskId[];

export const isDesk = (text: unknown): text is DeskId => DESK_IDS.some((id) => id === text);

/** What each desk answers, beside its name. */
export const DESK_ANSWERS: Readonly<Record<DeskId, string>> = {
  figures: 'what is typed of each link',
  ratio: 'what each total reduction does',
  speed: 'what to gear for a speed',
  teeth: 'the reduction in real teeth, chains and belts',
  compare: 'one motor or two, which winding, which machine',
  shortlist: 'what on the shelf does the job',
  side: 'ideas beside each other',
  wires: 'what is connected to what',
  reasons: 'why it was chosen',
};
