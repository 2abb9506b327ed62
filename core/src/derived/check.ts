import type { Finding } from '../findings/index.ts';
import { boundsOf, type Bounded } from '../limits/index.ts';
import type { Derived } from './derive.ts';
import { balance, hardnessMayDiffer, solidsRatio } from './tables/quantities.ts';

const middle = ({ low, high }: { low: number; high: number }) => (low + high) / 2;
const percent = (part: number) => Number((part * 100).toFixed(1));

/** Whether the ions balance: by how far they may be apart, at the sum of anions. Only a whole analysis can be asked. */
function balanceOf(derived: readonly Derived[]): Finding[] {
  const [cations, anions] = (['cations', 'anions'] as const).map((id) => derived.find(({ row }) => row.id === id));
  if (!cations || !anions) return [];
  const [c, a] = [middle(cations), middle(anions)];
  const { absolute, percent: most } = balance.find(({ upTo }) => a <= upTo)!;
  const apart = Math.abs(c - a);
  const share = apart / (c + a);
  if (absolute === undefined ? share * 100 <= most! : apart <= absolute) return [];
  return [
    { code: 'ions-apart', severity: 'question', data: { cations: c, anions: a, percent: percent(share) }, source: cations.row.source },
  ];
}

function against(id: 'hardness' | 'dissolved-solids', derived: readonly Derived[], results: readonly Bounded[]) {
  const one = derived.find(({ row }) => row.id === id);
  const reported = one && results.find(({ parameter, form }) => parameter === one.row.same && form === 'value');
  return one && reported ? { own: one, reported: middle(boundsOf(reported)) } : null;
}

/**
 * What in an analysis contradicts itself: sums of ions, hardness beside calcium and magnesium, dissolved solids beside what they are made of.
 * Source: Standard Methods 1030 E, checking the correctness of analyses (from memory).
 */
export function questionAnalysis(derived: readonly Derived[], results: readonly Bounded[]): Finding[] {
  const hardness = against('hardness', derived, results);
  const solids = against('dissolved-solids', derived, results);
  const findings = balanceOf(derived);
  if (hardness && Math.abs(hardness.reported - middle(hardness.own)) > hardnessMayDiffer * middle(hardness.own))
    findings.push({ code: 'hardness-apart', severity: 'question', data: { reported: hardness.reported, own: middle(hardness.own) } });
  const ratio = solids ? solids.reported / middle(solids.own) : 1;
  // A tenth to either side: what was not reported is missing from the sum.
  if (solids && (ratio < solidsRatio.least * 0.9 || ratio > solidsRatio.most * 1.1))
    findings.push({ code: 'solids-apart', severity: 'question', data: { reported: solids.reported, own: middle(solids.own) } });
  return findings;
}
