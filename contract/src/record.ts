import { z } from 'zod';
import { RECORDED_FACT_IDS, type RecordedFactId } from '@brackenfell/core/facts/facts';
import { formNode, type FormNode } from '@brackenfell/core/record/form-node';
import { shapeOf } from './catalogue-file.ts';
import { Consequences } from './consequences.ts';
import { EDITORS, endpoint, Id } from './endpoint.ts';
import { RECORD_KINDS } from './record-kinds.ts';
import { RECORD_LINES, type OpenLineOf } from './open-catalogue.ts';

export type RecordKind = (typeof RECORD_KINDS)[number];

export type RecordLine = OpenLineOf<'engine' | 'heat-scale' | 'numbering'>;
const RecordLine: z.ZodType<RecordLine, RecordLine> = z.discriminatedUnion('line', [
  RECORD_LINES.engine,
  RECORD_LINES['heat-scale'],
  RECORD_LINES.numbering,
]) as unknown as z.ZodType<RecordLine, RecordLine>;

const schemaOf = (shape: z.ZodType): unknown =>
  z.toJSONSchema(shape, { io: 'input', unrepresentable: 'any', reused: 'inline' });

/** What is filled in of a record. */
export const formOfRecord = (kind: RecordKind): FormNode => formNode(schemaOf(RECORD_LINES[kind]));

/** What is filled in of a fact. */
export const formOfFact = (fact: RecordedFactId): FormNode => formNode(schemaOf(shapeOf(fact)));

/** What is filled in of each fact that an engine’s places ask. */
export const formsOfAsked = (): Partial<Record<RecordedFactId, FormNode>> =>
  Object.fromEntries(
    RECORDED_FACT_IDS.filter((fact) => /^(position|\w+Asked)\./.test(fact)).map((fact) => [fact, formOfFact(fact)]),
  );

const Key = z
  .string()
  .max(60)
  .regex(/^[a-z0-9-]+$/, 'must be a key such as skerrow-sc20');
const params = z.object({ kind: z.enum(RECORD_KINDS), key: Key });

/** A record as it stands, and what was changed of it by hand. */
export const CatalogueRecord = z
  .object({
    kind: z.enum(RECORD_KINDS),
    key: Key,
    title: z.string(),
    /** Null where there is none yet. */
    line: RecordLine.nullable(),
    /** Of which state it is; told back with a change, so that nobody writes over what they have not seen. */
    seen: z.string(),
    /** The latest first. */
    history: z.array(
      z.object({
        entryId: Id,
        at: z.iso.datetime(),
        by: z.string(),
        says: z.array(z.string()),
        canUndo: z.boolean(),
      }),
    ),
  })
  .meta({ id: 'CatalogueRecord' });
export type CatalogueRecord = z.infer<typeof CatalogueRecord>;

export const RecordPreview = z
  .object({
    /** What differs from what stands, in words. */
    says: z.array(z.string()),
    verdicts: Consequences,
    /** Of a numbering: the maker’s numbers that it reads, now and then. */
    reads: z.object({ of: z.number().int(), before: z.number().int(), after: z.number().int() }).nullable(),
  })
  .meta({ id: 'RecordPreview' });
export type RecordPreview = z.infer<typeof RecordPreview>;

export const getRecordForm = endpoint('getRecordForm', {
  summary: 'What is filled in of a kind of record: a form made from the open format’s schema.',
  roles: EDITORS,
  params: z.object({ kind: z.enum(RECORD_KINDS) }),
  response: z.object({
    form: z.unknown() as unknown as z.ZodType<FormNode>,
    /** By fact, for figures in it. */
    figures: z.record(z.string(), z.object({ label: z.string(), form: z.unknown() as unknown as z.ZodType<FormNode> })),
  }),
});

export const getRecord = endpoint('getRecord', {
  summary: 'A record of the catalogue as a line of the open format, with its history.',
  roles: EDITORS,
  params,
  response: CatalogueRecord,
});

export const previewRecord = endpoint('previewRecord', {
  summary: 'What a changed record would make of verdicts; nothing is written.',
  roles: EDITORS,
  params,
  body: z.object({ line: RecordLine }).strict(),
  response: RecordPreview,
});

export const writeRecord = endpoint('writeRecord', {
  summary: 'Put a record in the place of the one that was seen, or a new one where there was none.',
  roles: EDITORS,
  params,
  body: z.object({ line: RecordLine, seen: z.string().max(100) }).strict(),
  response: CatalogueRecord,
  idempotent: true,
});

export const undoRecord = endpoint('undoRecord', {
  summary: 'Take the last change of a record back.',
  roles: EDITORS,
  params,
  body: z.object({ entryId: Id }).strict(),
  response: CatalogueRecord,
  idempotent: true,
});

export const listMakers = endpoint('listMakers', {
  summary: 'The makers of the catalogue, with what is recorded of how they rate and number.',
  roles: EDITORS,
  response: z.object({
    makers: z.array(
      z.object({
        makerId: z.string(),
        name: z.string(),
        parts: z.number().int(),
        ratings: z.number().int(),
        /** What its numbering is called; null where there is none. */
        numbering: z.string().nullable(),
      }),
    ),
  }),
});
