import {
  etagOf,
  type Access,
  type ArchiveReport,
  type Backup,
  type DataState,
  type DiaryLength,
  type DiaryNews,
  type PlanPage,
  type PlanQuery,
  type PlanSaved,
  type ProblemDetails,
  type RevisionSummary,
  type RobotFault,
  type ShelfImport,
  type ShelfMarks,
  type ShelfPart,
  type StoredPlan,
  type StoredTrial,
  type TakenBack,
  type TrialsBrought,
  type TrialSummary,
} from '@rough-gear/contract/api';
import type { ImportReport } from '@rough-gear/contract/shelf-files';
import type { DiaryEntry, Part, PartKind, Plan, Taking, Trial } from '@rough-gear/core';

/** The server cannot be reached: the network or the server is away. */
export class Unreachable extends Error {}

/** The server answered with a problem. */
export class Refused extends Error {
  constructor(readonly problem: ProblemDetails) {
    super(
      problem.problems?.map(({ field, reason }) => `${field}: ${reason}`).join('; ') ?? problem.detail ?? problem.title,
    );
  }
}

/** A file to send as it is; anything else goes as JSON. */
class SentFile {
  constructor(
    readonly type: string,
    readonly content: string | Blob,
  ) {}
}

let signedOut: () => void = () => undefined;
/** What is done when the server wants to know who asks. */
export const whenSignedOut = (work: () => void): void => {
  signedOut = work;
};

async function call<T>(method: string, path: string, body?: unknown, basedOn?: number): Promise<T> {
  const headers: Record<string, string> = {};
  const file = body instanceof SentFile ? body : undefined;
  if (body !== undefined) headers['Content-Type'] = file ? file.type : 'application/json';
  if (basedOn !== undefined) headers['If-Match'] = etagOf(basedOn);
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      headers,
      body: body === undefined ? undefined : file ? file.content : JSON.stringify(body),
    });
  } catch {
    throw new Unreachable('the server cannot be reached');
  }
  if (response.ok) return (response.status === 204 ? undefined : await response.json()) as T;
  if (response.status === 401) signedOut();
  // A proxy in front of a server that is away answers without a problem document.
  if (!response.headers.get('Content-Type')?.includes('problem+json'))
    throw new Unreachable(`the server answered ${response.status}`);
  throw new Refused((await response.json()) as ProblemDetails);
}

const asked = (query: Readonly<Record<string, unknown>>): string =>
  new URLSearchParams(
    Object.entries(query).flatMap(([key, value]) => (value === undefined ? [] : [[key, String(value)]])),
  ).toString();

export const api = {
  plans: (query: PlanQuery) => call<PlanPage>('GET', `/plans?${asked({ ...query })}`),
  emptyBin: () => call<{ removed: number }>('DELETE', '/plans/bin'),
  open: (id: string) => call<StoredPlan>('GET', `/plans/${id}`),
  create: (body: { name: string } | { document: unknown }) => call<StoredPlan>('POST', '/plans', body),
  save: (id: string, basedOn: number, document: Plan) => call<PlanSaved>('PUT', `/plans/${id}`, document, basedOn),
  rename: (id: string, basedOn: number, name: string) => call<StoredPlan>('PATCH', `/plans/${id}`, { name }, basedOn),
  duplicate: (id: string) => call<StoredPlan>('POST', `/plans/${id}/duplicate`),
  remove: (id: string) => call<undefined>('DELETE', `/plans/${id}`),
  restore: (id: string) => call<undefined>('POST', `/plans/${id}/restore`),
  /** Where a plan lies as it is in the file, readable or not. */
  rawAddress: (id: string) => `/api/plans/${id}/raw`,
  revisions: (id: string) => call<RevisionSummary[]>('GET', `/plans/${id}/revisions`),
  revision: (id: string, revision: number) => call<StoredPlan>('GET', `/plans/${id}/revisions/${revision}`),
  shelf: (kind: string) => call<ShelfPart[]>('GET', `/shelf?kind=${kind}`),
  /** Every part of every kind, those retired too. */
  wholeShelf: () => call<ShelfPart[]>('GET', '/shelf?retired=true'),
  addPart: (part: Part) => call<ShelfPart>('POST', '/shelf', part),
  savePart: (id: string, basedOn: number, part: Part) => call<ShelfPart>('PUT', `/shelf/${id}`, part, basedOn),
  markPart: (id: string, marks: ShelfMarks) => call<ShelfPart>('PATCH', `/shelf/${id}`, marks),
  importParts: (kind: PartKind, text: string, dry: boolean) =>
    call<ImportReport & { taken: boolean }>(
      'POST',
      `/shelf/file?kind=${kind}&dry=${dry}`,
      new SentFile('text/csv', text),
    ),
  shelfImports: () => call<ShelfImport[]>('GET', '/shelf/imports'),
  takeImportBack: (id: number) => call<TakenBack>('DELETE', `/shelf/imports/${id}`),
  trials: () => call<TrialSummary[]>('GET', '/trials'),
  openTrial: (id: string) => call<StoredTrial>('GET', `/trials/${id}`),
  /** Nothing where it is still of that revision. */
  newerTrial: (id: string, than: number) => call<StoredTrial | undefined>('GET', `/trials/${id}?than=${than}`),
  addTrial: (trial: Trial) => call<StoredTrial>('POST', '/trials', trial),
  /** `from`: which window writes; `anyway`: it is closed though another one is writing. */
  saveTrial: (id: string, basedOn: number, trial: Trial, by: { readonly from: string; readonly anyway?: boolean }) =>
    call<Pick<StoredTrial, 'id' | 'revision' | 'savedAt'>>('PUT', `/trials/${id}?${asked(by)}`, trial, basedOn),
  removeTrial: (id: string, basedOn: number) => call<undefined>('DELETE', `/trials/${id}`, undefined, basedOn),
  addTaking: (id: string, taking: Taking) => call<Taking[]>('POST', `/trials/${id}/takings`, taking),
  faults: () => call<{ faults: RobotFault[] }>('GET', '/diary/faults'),
  diary: (planId: string, since?: string) => call<DiaryNews>('GET', `/diary/${planId}?${asked({ since })}`),
  addToDiary: (planId: string, entries: readonly DiaryEntry[], since?: string) =>
    call<DiaryNews>('POST', `/diary/${planId}?${asked({ since })}`, { entries }),
  diaries: () => call<DiaryLength[]>('GET', '/diary'),
  /** Puts lines away that later ones have overtaken. */
  putLinesAway: (planId: string) => call<{ putAway: number }>('POST', `/diary/${planId}/put-away`),
  putAwayAddress: (planId: string) => `/api/diary/${planId}/put-away`,
  bookAddress: '/api/trials/book',
  bringBook: (book: unknown) => call<TrialsBrought>('POST', '/trials/book', book),
  /** Lines of a rig on the server's machine, as they come. */
  rigLines: (signal: AbortSignal) => fetch('/api/rig/lines', { signal }),
  data: () => call<DataState>('GET', '/data'),
  makeBackup: () => call<Backup>('POST', '/data/backups'),
  backupAddress: (name: string) => `/api/data/backups/${name}`,
  archiveAddress: '/api/archive',
  bringArchive: (archive: Blob) => call<ArchiveReport>('POST', '/archive', new SentFile('application/zip', archive)),
  access: () => call<{ access: Access }>('GET', '/access'),
  signIn: (passphrase: string) => call<{ access: Access }>('POST', '/access/sign-in', { passphrase }),
  signOut: (everywhere: boolean) =>
    call<{ access: Access }>('POST', everywhere ? '/access/sign-out-everywhere' : '/access/sign-out'),
};
