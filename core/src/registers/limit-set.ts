import { z } from 'zod';
import { canonicalJson, entryKind, Id, sha256Hex } from '../book/index.ts';
import { EditionRef } from '../editions/index.ts';
import { parameter, ParameterId } from '../parameters/index.ts';
import { unit, UnitId } from '../units/index.ts';

/**
 * What a value is for. `health`: over it the water is not safe to drink. `action`: from it on the operator must act, judged
 * over a round of samples. `operational`: over it crops, animals or plant suffer. `indicator`: over it something is to be looked into.
 * `aesthetic`: over it people object to taste, colour or stains.
 */
export const limitKinds = ['health', 'action', 'operational', 'indicator', 'aesthetic'] as const;
export type LimitKind = (typeof limitKinds)[number];

const value = (title: string) => z.number().min(0, { error: 'Cannot be negative.' }).max(1e9).meta({ title });
const day = (title: string) => z.iso.date({ error: 'A date such as 2026-11-23.' }).meta({ title });

/** One value of a limit set of the house. */
export const OwnLimit = z
  .object({
    parameter: ParameterId.meta({ title: 'Parameter' }),
    kind: z.enum(limitKinds).meta({ title: 'What it protects' }),
    most: value('At most').optional(),
    least: value('At least').optional(),
    unit: UnitId.meta({ title: 'Unit' }),
    /** What it is expressed as, such as `N`: a key of the parameter's ways; its own way where it is left out. */
    as: z.string().max(10).meta({ title: 'Expressed as' }).optional(),
    place: z.string().trim().max(120).meta({ title: 'Where it stands' }).optional(),
    says: z.string().trim().max(300).meta({ title: 'What a number over it means' }).optional(),
    /** First and last day of sampling on which it holds. */
    from: day('From').optional(),
    until: day('Until').optional(),
  })
  .superRefine(({ parameter: id, most, least, unit: of, as, from, until }, issues) => {
    const refuse = (path: string, message: string) => issues.addIssue({ code: 'custom', path: [path], message });
    if (most === undefined && least === undefined) refuse('most', 'Give the highest value, the lowest, or both.');
    if (most !== undefined && least !== undefined && least >= most) refuse('least', 'Must be less than the highest value.');
    if (unit(of).dimension !== unit(parameter(id).unit).dimension) refuse('unit', `Not a unit of ${parameter(id).name}.`);
    if (as !== undefined && !Object.hasOwn(parameter(id).expressedAs ?? {}, as)) refuse('as', `${parameter(id).name} is not expressed so.`);
    if (from && until && until < from) refuse('until', 'Ends before it begins.');
  });
export type OwnLimit = z.infer<typeof OwnLimit>;

/** A limit set of the house: values of a permit, a plan or a local rule, alone or beside those of a published set. */
export const OwnLimitSet = z
  .object({
    /** Its own book. */
    id: Id,
    name: z.string().trim().min(1, { error: 'Give it a name.' }).max(120).meta({ title: 'Name' }),
    /** A published set of which all values hold as well, but for those of `without`. */
    base: EditionRef.meta({ title: 'Adds to' }).optional(),
    /** Parameters of which the published values do not hold here. */
    without: z.array(ParameterId).max(300).meta({ title: 'Except for' }).optional(),
    rows: z
      .array(OwnLimit)
      .max(300)
      .superRefine((rows, issues) => {
        const key = ({ parameter: id, kind, from = '', until = '' }: OwnLimit) => [id, kind, from, until].join(' ');
        for (const [row, one] of rows.entries())
          if (rows.findIndex((other) => key(other) === key(one)) < row)
            issues.addIssue({ code: 'custom', path: [row, 'parameter'], message: 'This value is already in the list.' });
      }),
    /** A number meets a value only with the lab's uncertainty on top of it. */
    isGuarded: z.boolean().meta({ title: 'Guard band' }).optional(),
    source: z.string().trim().min(3, { error: 'Say where it is written.' }).max(300).meta({ title: 'Where it is written' }),
    outOfUse: z.string().trim().max(300).meta({ title: 'Out of use, and why' }).optional(),
  })
  .refine(({ rows, base }) => rows.length > 0 || base !== undefined, { path: ['rows'], error: 'Give at least one value.' })
  .refine(({ without = [], base }) => without.length === 0 || base !== undefined, {
    path: ['without'],
    error: 'Choose the published set first.',
  });
export type OwnLimitSet = z.infer<typeof OwnLimitSet>;

export const limitSetRegistered = entryKind('limit-set-registered', 'Limit set registered', OwnLimitSet, {
  stands: 'in-book',
  by: ['coordinator'],
});

/** Whether an edition is one of the house. */
export const isOwnEdition = (ref: string): boolean => /@own-/.test(ref);

/** Asked for with every point that is judged, and a digest each time. */
const editions = new WeakMap<OwnLimitSet, { id: string; edition: string }>();

/**
 * The id and edition under which a set of the house judges: an edition of the published set that it adds to. The edition follows from what
 * it says, so that a set that was changed is another edition.
 */
export function ownEdition(own: OwnLimitSet): { id: string; edition: string } {
  const known = editions.get(own);
  if (known) return known;
  const { outOfUse: _, ...said } = own;
  const made = {
    id: said.base?.split('@')[0] ?? 'own',
    edition: `own-${said.id.slice(-12)}-${sha256Hex(canonicalJson(said)).slice(0, 8)}`,
  };
  editions.set(own, made);
  return made;
}

/** `us-40-cfr@own-…`: what a round records of it. */
export function refOfOwnSet(own: OwnLimitSet): string {
  const { id, edition } = ownEdition(own);
  return `${id}@${edition}`;
}

/** The sets of the house that a list of editions names and that do not come with it. */
export function missingOwnSets(refs: readonly string[], own: readonly OwnLimitSet[] = []): string[] {
  const there = new Set(own.map(refOfOwnSet));
  return refs.filter((ref) => isOwnEdition(ref) && !there.has(ref));
}
