import { type BottlesByLabel } from './at-lab.ts';
import { distance } from 'fastest-levenshtein';
import { fold } from './cells/fold.ts';
import { qualityKinds, qualityNames, qualitySamples } from './tables/quality.ts';

/** A name that differs from a label by so many letters may be a slip of it. */
const slip = 2;
/** A label is compared with slips only from so many letters on. */
const leastLetters = 3;

/** What the name of a sample is: a bottle of ours; one that may be; a sample of the lab's own quality control; or another client's. */
export type Whose =
  | { is: 'ours'; label: string }
  | { is: 'near'; labels: string[] }
  | { is: 'quality' }
  | { is: 'other' }
  | { is: 'unknown' }
  | { is: 'none' };

/** Tells whose the samples of a file are. Where no name in it is a label of ours, nobody knows. */
export function whoseSamples(
  bottles: BottlesByLabel,
  said: Readonly<Record<string, string>>,
  names: Iterable<string>,
): (name: string) => Whose {
  const labels = [...bottles.keys()];
  const folded = labels.map((label) => ({ label, text: fold(label) }));
  const byCode = new Map([...bottles].flatMap(([label, { code }]) => (code === undefined ? [] : [[code, label] as const])));
  // A sample in several vials may be reported under the label of the sample: the first that the lab has stands for it.
  const bySample = new Map(
    [...bottles].reverse().flatMap(([label, { set, isElsewhere }]) => (set === undefined || isElsewhere ? [] : [[set, label] as const])),
  );
  /** The label of a name that is one, or is the lab's own for it. */
  const labelOf = (name: string) => (bottles.has(name) ? name : (byCode.get(name) ?? bySample.get(name)));
  const tell = (name: string): Whose => {
    if (name === '') return { is: 'none' };
    if (Object.hasOwn(said, name)) return bottles.has(said[name]!) ? { is: 'ours', label: said[name]! } : { is: 'other' };
    const label = labelOf(name);
    if (label !== undefined) return { is: 'ours', label };
    if (qualitySamples.test(fold(name))) return { is: 'quality' };
    const text = fold(name);
    const isSlip = (one: string) =>
      text.length >= leastLetters && Math.abs(one.length - text.length) <= slip && distance(one, text) <= slip;
    // A label with something behind it, `-dup` or `(total)`, may be a portion of that bottle, or another one.
    const near = folded.filter(
      (one) => one.text === text || isSlip(one.text) || (one.text.length >= leastLetters && text.startsWith(one.text)),
    );
    const same = near.filter((one) => one.text === text);
    if (near.length > 0) return { is: 'near', labels: (same.length > 0 ? same : near).map((one) => one.label) };
    return hasOurs ? { is: 'other' } : { is: 'unknown' };
  };
  let hasOurs = false;
  const all = new Set(names);
  for (const name of all) if (labelOf(name) !== undefined || (Object.hasOwn(said, name) && bottles.has(said[name]!))) hasOurs = true;
  const known = new Map<string, Whose>();
  for (const name of all) known.set(name, tell(name));
  return (name) => known.get(name) ?? tell(name);
}

/** Whether a row is a number that the lab took for its own quality control, by the kind of sample or by what was measured. */
export const isQuality = (kind: string, name: string): boolean => qualityKinds.test(fold(kind)) || qualityNames.test(name.toLowerCase());
