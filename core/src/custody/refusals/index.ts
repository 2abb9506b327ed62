import { gravestFirst } from '../../findings/index.ts';
import { coldChecks } from './cold.ts';
import { paperChecks, sampleChecks, scopeChecks } from './sample.ts';
import type { BottleCheck, Refusal, Situation } from './situation.ts';
import { timeChecks } from './time.ts';
import { wholeChecks } from './whole.ts';

export { bandOf } from './cold.ts';
export { atDesk, type DeskForm } from './desk.ts';
export type { BoxNow, Refusal, Situation, Stage } from './situation.ts';

const checks: readonly BottleCheck[] = [...sampleChecks, ...timeChecks, ...coldChecks, ...scopeChecks, ...paperChecks];

/** What is said of a bottle's box is said once for all of its bottles. */
const ofBox = new Set(['too-warm', 'too-cold', 'cooling-begun', 'cold-harms', 'cold-against']);

/**
 * Everything a lab would refuse, found before it does: at the tap, while boxes are packed, and when bottles change hands. What is the
 * same for several bottles is one refusal that names them; what comes of a box stands at the box. Nothing here blocks: who works decides,
 * knowing. Without a registered lab only what holds anywhere is known.
 */
export function foretell(situation: Situation): Refusal[] {
  const found = new Map<string, Refusal>();
  for (const line of situation.lines)
    for (const { at, of } of checks) {
      if (!at.includes(situation.stage)) continue;
      for (const finding of of(line, situation, line.lab)) {
        const field = ofBox.has(finding.code) ? `box ${line.box}` : line.bottle.id;
        // The same words at the same place, or of the same kind of thing: once.
        const key = JSON.stringify([finding.code, finding.data, ofBox.has(finding.code) ? field : '']);
        const known = found.get(key);
        found.set(key, { ...finding, field: known?.field ?? field, bottles: [...(known?.bottles ?? []), line.bottle.id] });
      }
    }
  return gravestFirst([...wholeChecks(situation), ...found.values()]);
}

/** What was foretold of each bottle, for the book: what a lab is expected to send back, and why. */
export const foretoldOf = (refusals: readonly Refusal[]): { bottle: string; code: string }[] =>
  refusals.filter(({ severity }) => severity === 'stop').flatMap(({ code, bottles }) => bottles.map((bottle) => ({ bottle, code })));
