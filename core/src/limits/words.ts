import { inText, parameter, type ParameterId } from '../parameters/index.ts';
import { showExact, unitLabel, type UnitId } from '../units/index.ts';
import type { FindingWords } from '../findings/index.ts';
import type { Because, Weakness } from './judge.ts';
import type { SumVerdict } from './sums.ts';

export const limitFindings: FindingWords = {
  'far-from-published': [
    ({ parameter: name, value, usual, unit: of }) => {
      const shown = (number: unknown) => `${showExact(Number(Number(number).toPrecision(3)))} ${unitLabel(of as UnitId)}`.trim();
      return `${String(name)}: this is ${shown(value)}. Published values are about ${shown(usual)}.`;
    },
    'Is the unit right?',
  ],
};

/** Why a result of a parameter meets a value or not, as a sentence. */
export function sayBecause(id: ParameterId, { code, most, least, bound }: Because): string {
  const { unit } = parameter(id);
  // A pH has no unit beside its number. Four digits: a limit of 10 mg/L as nitrogen is 44.27 mg/L of nitrate.
  const digits = (value: number) => showExact(Number(value.toPrecision(4)));
  const shown = (value: number) => (unit === 'pH' ? digits(value) : `${digits(value)} ${unitLabel(unit)}`.trim());
  switch (code) {
    case 'no-value':
      return 'No value in this set.';
    case 'over':
      return `Over ${shown(most!)}.`;
    case 'under':
      return `Under ${shown(least!)}.`;
    case 'none-found':
      return 'None found.';
    case 'not-detected':
      return 'Not detected, but the lab does not say down to what.';
    case 'only-below':
      return `Only known to be below ${shown(bound!)}, and the limit is ${shown(most !== null && bound! > most ? most : (least ?? most)!)}.`;
    case 'only-above':
      return `Only known to be over ${shown(bound!)}.`;
    case 'guarded':
      return 'Meets the value by less than the uncertainty that the lab states: this set asks for more (guard band).';
    case 'within':
      return most === null
        ? `At least ${shown(least ?? 0)}.`
        : least === null
          ? `Up to ${shown(most)}.`
          : `${shown(least)} to ${shown(most)}.`;
  }
}

const weaknessWords: Readonly<Record<Weakness, string>> = {
  invalid: 'The sample was spoilt: it proves nothing. Take it again.',
  special: 'A special sample, not for compliance: a number under the value proves nothing.',
  contradicted: 'Something else was told than is reported. Ask the lab which of them holds; correct what was told if it was misheard.',
  duplicate: 'Inconclusive: the other bottle of the same water exceeds the value, and the two differ by more than duplicates normally do.',
  dissolved: 'Filtered: what hangs on particles is not in it, and people drink it. A number under the value proves nothing.',
  flushed: 'Only water that stood in the pipes tells what comes out of them. This was not taken so.',
  told: 'Told, not reported yet.',
  late: 'Measured too late or not quite in order, as the lab says: a number under the value proves nothing. Sample again where it counts.',
  'own-bench': 'Counted on the own bench: it tells how the water is, and counts for compliance only where your authority says so.',
  screened: 'Screened at the point: near a value or over it, or where it counts, an accredited lab decides.',
  brought: 'Under the value, of a sample that somebody else took: nothing here shows how, so it proves nothing.',
  doubted: 'In doubt, by how it was read: a number under the value proves nothing.',
};

/** Why a number under a value is no proof, as a sentence. */
export const sayWeakness = (weakness: Weakness): string => weaknessWords[weakness];

/** Against what a sum is held, and which of its parts have no result, as sentences. */
export function sayMissing({ of, missing, parts, rule }: Pick<SumVerdict, 'of' | 'missing' | 'parts' | 'rule'>): string {
  const limit = of ? `Limit ${showExact(of.most)} ${unitLabel(of.unit)}.` : 'Shares of their limits, together no more than 1.';
  if (missing.length === 0) return rule.isOpen ? `${limit} ${parts === 1 ? '1 part' : `${parts} parts`} reported.` : limit;
  const names = missing.slice(0, 4).map((id) => parameter(id).symbol ?? inText(id));
  const more = missing.length > names.length ? ` and ${missing.length - names.length} more` : '';
  return `${limit} No result of ${names.join(', ')}${more}.`;
}
