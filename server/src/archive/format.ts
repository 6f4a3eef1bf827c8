import { takingSchema, trialSchema } from '@rough-gear/contract/bench';
import { diarySchema, putAwaySchema } from '@rough-gear/contract/diary';
import type { DiaryEntry, Taking, Trial } from '@rough-gear/core';
import Joi from 'joi';

export const ARCHIVE_FORMAT = 'rough-gear-archive';
export const ARCHIVE_VERSION = 1;

/** The first file of an archive: what it is. */
export const MANIFEST = 'archive.json';
/** A file for each plan: its row and all its revisions, each as it lies in the database. */
export const planPath = (id: string): string => `plans/${id}.json`;
/** A file for each trial of the bench book. */
export const trialPath = (id: string): string => `trials/${id}.json`;
/** A file for each robot's diary. */
export const diaryPath = (planId: string): string => `diaries/${planId}.json`;
/** The whole shelf in one file. */
export const SHELF = 'shelf.json';

export interface ArchivedPlan {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
  readonly savedAt: string;
  readonly deletedAt: string | null;
  readonly revisions: readonly { readonly revision: number; readonly savedAt: string; readonly document: string }[];
}

export interface ArchivedTrial {
  readonly id: string;
  readonly trial: Trial;
  readonly takings: readonly Taking[];
}

export interface ArchivedDiary {
  readonly planId: string;
  readonly entries: readonly DiaryEntry[];
  /** Lines that later ones have overtaken; absent in an archive of an earlier version. */
  readonly putAway?: readonly DiaryEntry[];
}

export interface ArchivedPart {
  readonly id: string;
  readonly revision: number;
  readonly part: unknown;
  readonly shipped: number | null;
  readonly common: boolean;
  readonly retired: boolean;
}

const when = Joi.string().isoDate().required();
const count = Joi.number().integer().min(1).required();

export const manifestSchema = Joi.object({
  format: Joi.string().valid(ARCHIVE_FORMAT).required(),
  version: Joi.number().valid(ARCHIVE_VERSION).required(),
  madeAt: when,
  program: Joi.string().max(40).required(),
});

export const planFileSchema = Joi.object<ArchivedPlan>({
  id: Joi.string().guid().required(),
  name: Joi.string().max(200).required(),
  revision: count,
  savedAt: when,
  deletedAt: when.allow(null),
  revisions: Joi.array()
    .items(Joi.object({ revision: count, savedAt: when, document: Joi.string().max(4e6).required() }))
    .min(1)
    .required(),
});

export const trialFileSchema = Joi.object<ArchivedTrial>({
  id: Joi.string().guid().required(),
  trial: trialSchema.required(),
  takings: Joi.array().items(takingSchema).max(1000).required(),
}).unknown();

export const diaryFileSchema = Joi.object<ArchivedDiary>({
  planId: Joi.string().guid().required(),
  entries: diarySchema.required(),
  putAway: putAwaySchema,
});

export const shelfFileSchema = Joi.array<ArchivedPart[]>().items(
  Joi.object({
    id: Joi.string().max(80).required(),
    revision: count,
    part: Joi.object().required(),
    shipped: Joi.number().integer().allow(null).required(),
    common: Joi.boolean().required(),
    retired: Joi.boolean().required(),
  }),
);
