import { clusterContradictions } from '@brackenfell/core/catalogue-audit/cluster-contradictions';
import { CLUSTER_RULES, type OtherRuleId } from '@brackenfell/core/catalogue-audit/rules';
import { supersessionRings } from '@brackenfell/core/interchange/supersession';
import type { Database } from '../db/database.ts';
import {
  disagreeingFigures,
  filledByTwo,
  gaugedOtherwise,
  leadingToDiscontinued,
  leadingToNothing,
  readAllRenamings,
  readSuspects,
  readTouched,
  sharedNumbers,
  shorterThanInterval,
  suspectClusters,
  type PartSuspect,
  type SuspectMember,
  readRatings,
} from './suspect-store.ts';

/** One contradiction as the audit found it, before it is stored. */
export interface Contradiction {
  readonly rule: string;
  /** The same in every run for the same parts, so that a decision about it stands. */
  readonly subject: string;
  readonly parts: readonly [string, ...string[]];
  readonly edgeIds: readonly string[];
  /** Parts in the order of the evidence, each with the reference that leads on from it. */
  readonly trail: readonly { readonly partId: string; readonly edgeId: string | null }[];
  readonly says: readonly string[];
}

export interface AuditProgress {
  /** Told before each step with the share done; may throw to end the audit. */
  step(share: number, doing: string): Promise<void>;
  found(contradictions: readonly (Contradiction & { engines: number; stock: number })[]): Promise<void>;
}

/** Clusters and suspects looked at in one go: bounds the memory whatever the catalogue's size. */
const BATCH = 200;

/** Looks through the whole catalogue for contradictions. Everything is handed on in batches; nothing is kept. */
export async function runAudit(db: Database, progress: AuditProgress): Promise<void> {
  await progress.step(0, 'comparing clusters');
  await auditClusters(db, progress);
  await progress.step(0.45, 'following renamings');
  await auditRenamings(db, progress);
  const steps: readonly [number, string, OtherRuleId, (from: Database) => Promise<PartSuspect[]>][] = [
    [0.55, 'looking for discontinued parts', 'leads-to-discontinued', leadingToDiscontinued],
    [0.6, 'looking for numbers nobody holds', 'leads-to-nothing', leadingToNothing],
    [0.65, 'looking for numbers filled by two makers', 'filled-by-two', filledByTwo],
    [0.7, 'looking for shared numbers', 'number-shared', sharedNumbers],
    [0.8, 'comparing sources', 'figures-disagree', disagreeingFigures],
    [0.85, 'looking at what was gauged here', 'gauged-otherwise', gaugedOtherwise],
    [0.9, 'comparing lives with intervals', 'interval-outlives-plug', shorterThanInterval],
  ];
  for (const [share, doing, rule, find] of steps) {
    await progress.step(share, doing);
    await handOn(
      db,
      progress,
      (await find(db)).map((suspect) => partContradiction(rule, suspect)),
    );
  }
  await progress.step(1, 'done');
}

function partContradiction(rule: OtherRuleId, { partId, otherId, edgeIds, says }: PartSuspect): Contradiction {
  const parts: [string, ...string[]] = otherId === null ? [partId] : [partId, otherId];
  const of = rule === 'figures-disagree' ? ` ${says[0] ?? ''}` : '';
  return {
    rule,
    subject: `${rule} ${parts.join(' ')}${of}`,
    parts,
    edgeIds,
    trail: [{ partId, edgeId: null }],
    says,
  };
}

async function handOn(db: Database, progress: AuditProgress, all: readonly Contradiction[]): Promise<void> {
  for (let i = 0; i < all.length; i += BATCH) {
    const batch = all.slice(i, i + BATCH);
    const touched = await readTouched(db, batch);
    await progress.found(batch.map((contradiction, j) => ({ ...contradiction, ...touched[j]! })));
  }
}

const grouped = <T extends { readonly clusterId: string }>(rows: readonly T[]): Map<string, T[]> => {
  const groups = new Map<string, T[]>();
  for (const row of rows) {
    const own = groups.get(row.clusterId);
    if (own) own.push(row);
    else groups.set(row.clusterId, [row]);
  }
  return groups;
};

async function auditClusters(db: Database, progress: AuditProgress): Promise<void> {
  const ratings = await readRatings(db);
  const steps = ratings.flatMap((rating, i) =>
    ratings[i - 1]?.maker_id === rating.maker_id ? [rating.index_bar - ratings[i - 1]!.index_bar] : [],
  );
  const suspects = await suspectClusters(db, Math.min(...steps));
  for (let i = 0; i < suspects.length; i += BATCH) {
    await progress.step(0.1 + (0.35 * i) / suspects.length, 'comparing clusters');
    const { members, edges } = await readSuspects(db, suspects.slice(i, i + BATCH));
    const edgesOf = grouped(edges);
    const found = [...grouped(members)].flatMap(([clusterId, own]) =>
      CLUSTER_RULES.flatMap((rule) => contradictionsOf(rule, own, edgesOf.get(clusterId) ?? [])),
    );
    await handOn(db, progress, found);
  }
}

function contradictionsOf(
  rule: (typeof CLUSTER_RULES)[number],
  members: readonly SuspectMember[],
  edges: Parameters<typeof clusterContradictions>[1],
): Contradiction[] {
  const plugs = new Map(members.map(({ id, plug }) => [id, plug]));
  const found = clusterContradictions(
    members.map(({ id }) => id),
    edges,
    (id) => rule.isKnown(plugs.get(id)!),
    (a, b) => rule.differs(plugs.get(a)!, plugs.get(b)!),
  );
  return found.map(({ a, b, path, edges: guilty }) => ({
    rule: rule.id,
    subject: `${rule.id} ${[a, b].sort().join(' ')}`,
    parts: [a, b],
    edgeIds: guilty,
    trail: [
      ...path.map(({ edge }, i) => ({ partId: i === 0 ? a : path[i - 1]!.to, edgeId: edge.id })),
      { partId: b, edgeId: null },
    ],
    says: [rule.say(plugs.get(a)!), rule.say(plugs.get(b)!)],
  }));
}

async function auditRenamings(db: Database, progress: AuditProgress): Promise<void> {
  const renamings: { id: string; from: string; to: string }[] = [];
  const undecided = new Map<string, { id: string; to: string; condition: string | null }[]>();
  for await (const stride of readAllRenamings(db)) {
    for (const { id, from, to, condition } of stride) {
      renamings.push({ id, from, to });
      undecided.set(from, [...(undecided.get(from) ?? []), { id, to, condition }]);
    }
  }
  const rings = supersessionRings(renamings).map((ring): Contradiction => {
    const [first] = ring as [string, ...string[]];
    const edges = ring.map((from, i) => {
      const to = ring[(i + 1) % ring.length];
      return renamings.find((renaming) => renaming.from === from && renaming.to === to)!.id;
    });
    return {
      rule: 'renamed-in-a-ring',
      subject: `renamed-in-a-ring ${ring.join(' ')}`,
      parts: ring as [string, ...string[]],
      edgeIds: edges,
      trail: [...ring.map((partId, i) => ({ partId, edgeId: edges[i]! })), { partId: first, edgeId: null }],
      says: [],
    };
  });
  const splits = [...undecided].flatMap(([from, into]): Contradiction[] => {
    const successors = new Set(into.map(({ to }) => to));
    if (successors.size < 2 || into.every(({ condition }) => condition !== null)) return [];
    return [
      {
        rule: 'split-undecided',
        subject: `split-undecided ${from}`,
        parts: [from, ...successors],
        edgeIds: into.map(({ id }) => id),
        trail: [{ partId: from, edgeId: null }],
        says: [],
      },
    ];
  });
  await handOn(db, progress, [...rings, ...splits]);
}
