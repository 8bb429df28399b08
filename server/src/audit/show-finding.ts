import { FACTS, knowFact, type FactId } from '@brackenfell/core/facts/facts';
import { ruleOf } from '@brackenfell/core/catalogue-audit/rules';
import { sayIn } from '@brackenfell/core/fitment/say';
import type { AuditFinding } from '@brackenfell/contract/audit';
import { readHeatScales, readPartSheets } from '../catalogue/fact-store.ts';
import type { Database } from '../db/database.ts';
import { printFact } from '../part/print-fact.ts';
import { plugShape } from '../tray/shapes.ts';
import { readPartRows } from '../catalogue/part-store.ts';
import { readDecisions, readEvidence, readRivalFigures, readTouchedEngines, type FindingRow } from './store.ts';

/** The parts a finding is about. */
const partsOf = (row: FindingRow): string[] => (row.figures as { parts: string[] }).parts;
/** What its sides say, or the attribute sources disagree about. */
export const saysOf = (row: FindingRow): string[] => (row.figures as { says: string[] }).says;

/** A contradiction with everything needed to decide about it. */
export async function showFinding(db: Database, row: FindingRow): Promise<AuditFinding> {
  const partIds = partsOf(row);
  const trail = row.trail as { partId: string; edgeId: string | null }[];
  const scales = await readHeatScales(db);
  const parts = await readPartRows(db, [...new Set([...partIds, ...trail.map(({ partId }) => partId)])]);
  const byId = new Map(parts.map((part) => [part.id, part]));
  const sheets = await readPartSheets(
    db,
    scales,
    parts.filter(({ kind }) => kind === 'plug').map(({ id }) => id),
  );
  const evidence = await readEvidence(db, [
    ...new Set([...row.edge_ids, ...trail.flatMap(({ edgeId }) => edgeId ?? [])]),
  ]);
  const edgeById = new Map(evidence.map((edge) => [edge.edgeId, edge]));
  const attribute = row.rule === 'figures-disagree' ? (saysOf(row)[0] as FactId) : undefined;
  const rivals = attribute ? await readRivalFigures(db, row.part_id, attribute) : [];
  const say = sayIn('metric');
  const rule = ruleOf(row.rule);
  return {
    findingId: row.id,
    rule: row.rule,
    title: rule?.title ?? row.rule,
    consequence: rule?.consequence ?? '',
    engines: await readTouchedEngines(db, partIds),
    stock: row.stock,
    says: attribute ? [FACTS[attribute].label] : saysOf(row),
    parts: partIds.flatMap((id) => {
      const part = byId.get(id);
      if (!part) return [];
      const shape = part.kind === 'plug' ? plugShape(sheets.get(id) ?? {}) : null;
      return [{ partId: id, printed: part.printed, maker: part.maker, onHand: part.on_hand, bin: part.bin, shape }];
    }),
    trail: trail.map(({ partId, edgeId }) => ({
      partId,
      printed: byId.get(partId)?.printed ?? partId,
      onward: (edgeId === null ? undefined : edgeById.get(edgeId)) ?? null,
    })),
    edges: row.edge_ids.flatMap((id) => edgeById.get(id) ?? []),
    figures: rivals.map((figure) => ({
      figureId: figure.id,
      label: figure.label,
      value: printFact(figure.attribute as FactId, knowFact(figure.attribute as FactId, figure.value, scales), say),
      source: { rank: figure.source_rank, name: figure.source_name },
      readings: figure.readings,
    })),
    decisions: (await readDecisions(db, row.subject)).map((decision) => ({
      decisionId: decision.id,
      action: decision.action,
      note: decision.note,
      by: decision.by,
      at: decision.at.toISOString(),
    })),
  };
}
