import { type BottlesByLabel } from '../at-lab.ts';
import { distance } from 'fastest-levenshtein';
import { fold } from '../cells/fold.ts';
import { qualityKinds, qualityNames, qualitySamples } from '../tables/quality.ts';

/** A name that differs from a label by so many letters may be a slip of it. */
const slip = 2;
/** A label is compared with slips only from so many letters on. */
const leastLetters = 3;

/** What the name of a sample is: a bottle of ours; a point of ours, by its bottles; one that may be; a sample of the lab's own quality control; or another client's. */
export type Whose =
  | { is: 'ours'; label: string }
  | { is: 'point'; labels: string[] }
  | { is: 'near'; labels: string[] }
  | { is: 'quality' }
  | { is: 'other' }
  | { is: 'unknown' }
  | { is: 'none' };

/** A label without what differs by habit alone: capitals and blanks. */
export const tight = (name: string) => name.replace(/\s+/g, '').toLowerCase();

/** Labels by what a lab may print for all bottles of a point: the part that they have in common, up to the last stroke. */
function byPoint(bottles: BottlesByLabel): ReadonlyMap<string, string[]> {
  const found = new Map<string, { visit: string | undefined; labels: string[] } | null>();
  for (const [label, { visit }] of bottles) {
    const [, stem] = /^(.+)[-_./ ][^-_./ ]+$/.exec(label) ?? [];
    if (stem === undefined || visit === undefined) continue;
    const there = found.get(tight(stem));
    if (there === undefined) found.set(tight(stem), { visit, labels: [label] });
    else if (there?.visit === visit) there.labels.push(label);
    // Of two visits nobody knows which is meant.
    else found.set(tight(stem), null);
  }
  return new Map([...found].flatMap(([stem, one]) => (one ? [[stem, one.labels] as const] : [])));
}

const codesOf = new WeakMap<BottlesByLabel, ReadonlyMap<string, string>>();

/** The visit that a point's own code stands for: the last part that the labels of a point have in common, `PT4` of `261201A-PT4-G`. */
export function visitsByCode(bottles: BottlesByLabel): ReadonlyMap<string, string> {
  const known = codesOf.get(bottles);
  if (known) return known;
  const found = new Map<string, string | null>();
  for (const [stem, labels] of byPoint(bottles)) {
    const code = /[^-_./ ]+$/.exec(stem)?.[0];
    const visit = bottles.get(labels[0]!)!.visit;
    if (code !== undefined && visit !== undefined && code !== stem)
      found.set(code, found.has(code) && found.get(code) !== visit ? null : visit);
  }
  const codes = new Map([...found].flatMap(([code, visit]) => (visit === null ? [] : [[code, visit] as const])));
  codesOf.set(bottles, codes);
  return codes;
}

/** What of a name is the same whatever its writer's habits; null where two are. */
function unique(labels: readonly string[]): ReadonlyMap<string, string> {
  const found = new Map<string, string | null>();
  for (const label of labels) found.set(tight(label), found.has(tight(label)) ? null : label);
  return new Map([...found].flatMap(([key, label]) => (label === null ? [] : [[key, label] as const])));
}

/** What a name stands for that is ours: a bottle, by its label, its set or the lab's code for it; or all bottles of a point. */
export type LabelsKnown = (name: string) => { is: 'ours'; label: string } | { is: 'point'; labels: string[] } | null;

const knownOf = new WeakMap<BottlesByLabel, LabelsKnown>();

/** Tells labels of ours from other names, whatever their writer's habits. */
export function labelsKnown(bottles: BottlesByLabel): LabelsKnown {
  const known = knownOf.get(bottles) ?? makeKnown(bottles);
  knownOf.set(bottles, known);
  return known;
}

function makeKnown(bottles: BottlesByLabel): LabelsKnown {
  const byCode = new Map([...bottles].flatMap(([label, { code }]) => (code === undefined ? [] : [[code, label] as const])));
  // A sample in several vials may be reported under the label of the sample: the first that the lab has stands for it.
  const bySample = new Map(
    [...bottles].reverse().flatMap(([label, { set, isElsewhere }]) => (set === undefined || isElsewhere ? [] : [[set, label] as const])),
  );
  const byTight = unique([...bottles.keys()]);
  const points = byPoint(bottles);
  return (name) => {
    const label = bottles.has(name) ? name : (byCode.get(name) ?? bySample.get(name) ?? byTight.get(tight(name)));
    if (label !== undefined) return { is: 'ours', label };
    const labels = points.get(tight(name));
    return labels ? { is: 'point', labels } : null;
  };
}

/** Tells whose the samples of a file are. Where no name in it is a label of ours, nobody knows. */
export function whoseSamples(
  bottles: BottlesByLabel,
  said: Readonly<Record<string, string>>,
  names: Iterable<string>,
): (name: string) => Whose {
  const labels = [...bottles.keys()];
  const folded = labels.map((label) => ({ label, text: fold(label) }));
  const known = labelsKnown(bottles);
  const tell = (name: string): Whose => {
    if (name === '') return { is: 'none' };
    if (Object.hasOwn(said, name)) return bottles.has(said[name]!) ? { is: 'ours', label: said[name]! } : { is: 'other' };
    const own = known(name);
    if (own) return own;
    if (isQualitySample(name)) return { is: 'quality' };
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
  for (const name of all) if (known(name) !== null || (Object.hasOwn(said, name) && bottles.has(said[name]!))) hasOurs = true;
  const told = new Map<string, Whose>();
  for (const name of all) told.set(name, tell(name));
  return (name) => told.get(name) ?? tell(name);
}

/** Whether the name of a sample is one that labs give to their own quality control. */
export const isQualitySample = (name: string): boolean => qualitySamples.test(fold(name));

/** Whether a row is a number that the lab took for its own quality control, by the kind of sample or by what was measured. */
export const isQuality = (kind: string, name: string): boolean => qualityKinds.test(fold(kind)) || qualityNames.test(name.toLowerCase());
