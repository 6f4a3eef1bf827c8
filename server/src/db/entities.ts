import { EntitySchema } from 'typeorm';

export interface PlanRow {
  id: string;
  name: string;
  revision: number;
  savedAt: string;
  deletedAt: string | null;
  /** Names of the robot and its mechanisms in small letters: what a search looks through. */
  sought: string;
  /** The worst verdict as a number; 0 where it has no mechanism or is not judged. */
  worst: number;
  /** What a list says of it, as JSON; of an earlier revision where `judgedBy` is null. */
  judged: string | null;
  /** The program that judged this revision; null where none has yet. */
  judgedBy: string | null;
}

/** One saved state of a plan: the document as text. */
export interface RevisionRow {
  planId: string;
  revision: number;
  savedAt: string;
  document: string;
  /** What was done since the save before it that is kept, as JSON; null where it is not worked out yet. */
  changed: string | null;
}

export interface ShelfRow {
  id: string;
  kind: string;
  revision: number;
  part: string;
  /** Revision of the shipped part it was last made from; null for a part of the team's own. */
  shipped: number | null;
  common: boolean;
  retired: boolean;
}

/** A trial of the bench book: what a list says of it beside the whole. */
export interface TrialRow {
  id: string;
  revision: number;
  savedAt: string;
  startedAt: string;
  /** Null while it is gone on with; nothing is changed in it from then on. */
  closedAt: string | null;
  /** All of it but its readings, with what it found, as JSON. */
  head: string;
  document: string;
  /** What was taken from it into parts, one after the other, as JSON. */
  takings: string;
}

/** One line of a robot's diary; never changed. */
export interface DiaryRow {
  /** In the order in which the server received them. */
  seq: number;
  id: string;
  planId: string;
  at: string;
  entry: string;
  /** When it was put away, as one that later ones have overtaken; null where it is told. */
  putAwayAt: string | null;
}

/** The one row behind the health answer. */
export interface HealthRow {
  id: number;
  asked: number;
}

export const PlanEntity = new EntitySchema<PlanRow>({
  name: 'plan',
  columns: {
    id: { type: 'text', primary: true },
    name: { type: 'text' },
    revision: { type: 'integer' },
    savedAt: { type: 'text' },
    deletedAt: { type: 'text', nullable: true },
    sought: { type: 'text' },
    worst: { type: 'integer' },
    judged: { type: 'text', nullable: true },
    judgedBy: { type: 'text', nullable: true },
  },
});

export const RevisionEntity = new EntitySchema<RevisionRow>({
  name: 'revision',
  columns: {
    planId: { type: 'text', primary: true },
    revision: { type: 'integer', primary: true },
    savedAt: { type: 'text' },
    document: { type: 'text' },
    changed: { type: 'text', nullable: true },
  },
});

export const ShelfEntity = new EntitySchema<ShelfRow>({
  name: 'shelf_part',
  columns: {
    id: { type: 'text', primary: true },
    kind: { type: 'text' },
    revision: { type: 'integer' },
    part: { type: 'text' },
    shipped: { type: 'integer', nullable: true },
    common: { type: 'boolean' },
    retired: { type: 'boolean' },
  },
});

/** An import into the shelf, and what it replaced: the rows as they were, those it made as their id alone. */
export interface ShelfImportRow {
  id: number;
  takenAt: string;
  kind: string;
  replaced: string;
}

export const ShelfImportEntity = new EntitySchema<ShelfImportRow>({
  name: 'shelf_import',
  columns: {
    id: { type: 'integer', primary: true, generated: 'increment' },
    takenAt: { type: 'text' },
    kind: { type: 'text' },
    replaced: { type: 'text' },
  },
});

export const TrialEntity = new EntitySchema<TrialRow>({
  name: 'trial',
  columns: {
    id: { type: 'text', primary: true },
    revision: { type: 'integer' },
    savedAt: { type: 'text' },
    startedAt: { type: 'text' },
    closedAt: { type: 'text', nullable: true },
    head: { type: 'text' },
    document: { type: 'text' },
    takings: { type: 'text' },
  },
});

export const DiaryEntity = new EntitySchema<DiaryRow>({
  name: 'diary',
  columns: {
    seq: { type: 'integer', primary: true, generated: 'increment' },
    id: { type: 'text', unique: true },
    planId: { type: 'text' },
    at: { type: 'text' },
    entry: { type: 'text' },
    putAwayAt: { type: 'text', nullable: true },
  },
});

export const HealthEntity = new EntitySchema<HealthRow>({
  name: 'health',
  columns: {
    id: { type: 'integer', primary: true },
    asked: { type: 'integer' },
  },
});
