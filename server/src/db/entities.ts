import { EntitySchema } from 'typeorm';

export interface PlanRow {
  id: string;
  name: string;
  revision: number;
  savedAt: string;
  deletedAt: string | null;
}

/** One saved state of a plan: the document as text. */
export interface RevisionRow {
  planId: string;
  revision: number;
  savedAt: string;
  document: string;
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
  },
});

export const RevisionEntity = new EntitySchema<RevisionRow>({
  name: 'revision',
  columns: {
    planId: { type: 'text', primary: true },
    revision: { type: 'integer', primary: true },
    savedAt: { type: 'text' },
    document: { type: 'text' },
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

export const HealthEntity = new EntitySchema<HealthRow>({
  name: 'health',
  columns: {
    id: { type: 'integer', primary: true },
    asked: { type: 'integer' },
  },
});
