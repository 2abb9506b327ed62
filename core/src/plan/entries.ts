import { z } from 'zod';
import { AnalysisId, extraPurposes, purpose, RuleId } from '../bottles/index.ts';
import { entryKind, Id } from '../book/index.ts';
import { Because } from '../due/index.ts';
import { field } from '../roles/index.ts';
import { EditionRef } from '../editions/index.ts';
import {
  FirstLab,
  FirstPoint,
  fromFirst,
  Lab,
  labFromFirst,
  labFromSecond,
  missingOwnSets,
  OwnLimitSet,
  Point,
  SecondLab,
} from '../registers/index.ts';
import { isZone } from '../time/index.ts';

/** Limit sets that results are compared with; the first one leads: follow-ups come of it. */
const Limits = z
  .array(EditionRef)
  .min(1, { error: 'Choose at least one set of limits.' })
  .max(6)
  .meta({ title: 'Limits, the first one leads' });

/** Sets of the house among them, whole, so that the book can be judged alone. */
const ownLimits = z.array(OwnLimitSet).max(12).optional();
const notCarried = 'A limit set of the house goes along with what names it.';

const visitOf = <P extends z.ZodType>(point: P) =>
  z.object({
    id: Id,
    point,
    analyses: z.array(AnalysisId).max(60),
    /** Limits of this point alone, where they are others than the round's: a well on another law, water that nobody drinks. */
    limits: Limits.optional(),
    /** What asks for it, where it is no sample of the usual programme. */
    because: Because.optional(),
  });
/** One point of a round, with the register's row as it stood when the round was planned. */
export const PlannedVisit = visitOf(Point);
export type PlannedVisit = z.infer<typeof PlannedVisit>;

const editions = { bottles: EditionRef, tolerances: EditionRef, followUps: EditionRef };

/** The editions of the tables that judge a round, as they held on its day. */
export const RoundEditions = z.object({ ...editions, limits: Limits });
export type RoundEditions = z.infer<typeof RoundEditions>;

const planOf = <V extends z.ZodType<{ id: string }>, L extends z.ZodType, E extends z.ZodType>(visit: V, lab: L, judgedBy: E) =>
  z.object({
    name: z.string().trim().min(1, { error: 'Give the round a name.' }).max(120).meta({ title: 'Name' }),
    /** Part of every label, unique among rounds. */
    code: z.string().regex(/^[A-Z0-9]{3,10}$/, { error: '3 to 10 capital letters or digits.' }),
    /** The supply system or site the round belongs to, as the form states it. */
    system: z.string().trim().min(1, { error: 'Name the system.' }).max(120).meta({ title: 'System or site' }),
    date: z.iso.date({ error: 'A date such as 2026-11-23.' }).meta({ title: 'Day' }),
    zone: z.string().refine(isZone, { error: 'Not a time zone this device knows.' }),
    lab: lab.nullable().meta({ title: 'Lab' }),
    /** In the order of the day; a point may be visited more than once. */
    visits: z
      .array(visit)
      .min(1, { error: 'Choose at least one point.' })
      .max(200)
      .refine((visits) => new Set(visits.map(({ id }) => id)).size === visits.length, { error: 'Two visits have one id.' }),
    editions: judgedBy,
  });

const FirstVisit = visitOf(FirstPoint);
const visitFromFirst = (visit: z.infer<typeof FirstVisit>): PlannedVisit => ({ ...visit, point: fromFirst(visit.point) });

/** At first one set of limits judged a round. */
const withOneSet = planOf(FirstVisit, FirstLab, z.object({ ...editions, limits: EditionRef }));
/** Then points and labs had no place on the map yet. */
const withoutPlaces = planOf(FirstVisit, FirstLab, RoundEditions);
/** Then labs had no cut-offs but for bacteria; what came to a point since may be left out. */
const withoutCutOffs = planOf(PlannedVisit, SecondLab, RoundEditions);
const present = planOf(PlannedVisit, Lab, RoundEditions)
  .extend({ ownLimits })
  .refine(({ editions: { limits }, ownLimits: own }) => missingOwnSets(limits, own).length === 0, {
    path: ['editions', 'limits'],
    error: notCarried,
  })
  .refine(({ visits, ownLimits: own }) => visits.every(({ limits = [] }) => missingOwnSets(limits, own).length === 0), {
    path: ['visits'],
    error: notCarried,
  });

/**
 * The first entry of a round's book. It carries the points and the lab's rules with it, so that the book can be handed
 * on and verified alone.
 */
export const roundPlanned = entryKind('round-planned', 'Round planned', present, {
  stands: 'in-book',
  by: field,
  earlier: [
    {
      payload: withOneSet,
      upgrade: (before: z.infer<typeof withOneSet>): z.infer<typeof withoutPlaces> => ({
        ...before,
        editions: { ...before.editions, limits: [before.editions.limits] },
      }),
    },
    {
      payload: withoutPlaces,
      upgrade: (before: z.infer<typeof withoutPlaces>): z.infer<typeof withoutCutOffs> => ({
        ...before,
        lab: before.lab && labFromFirst(before.lab),
        visits: before.visits.map(visitFromFirst),
      }),
    },
    {
      payload: withoutCutOffs,
      upgrade: (before: z.infer<typeof withoutCutOffs>): z.infer<typeof present> => ({
        ...before,
        lab: before.lab && labFromSecond(before.lab),
      }),
    },
    // Points had no layers yet, and then no traits, which may be left out.
    { payload: present, upgrade: (before: z.infer<typeof present>) => before },
    { payload: present, upgrade: (before: z.infer<typeof present>) => before },
    // Labs said less of what they refuse, which may be left out.
    { payload: present, upgrade: (before: z.infer<typeof present>) => before },
    // The house had no limit sets of its own.
    { payload: present, upgrade: (before: z.infer<typeof present>) => before },
  ],
});

/** A point is visited that the plan did not have: one that was forgotten, or found on the way. It comes last. */
const AddedVisit = PlannedVisit.extend({ ownLimits }).refine(
  ({ limits = [], ownLimits: own }) => missingOwnSets(limits, own).length === 0,
  {
    path: ['limits'],
    error: notCarried,
  },
);
export const visitAdded = entryKind('visit-added', 'Point added', AddedVisit, {
  stands: 'in-book',
  by: field,
  correction: 'strike',
  earlier: [
    { payload: FirstVisit, upgrade: visitFromFirst },
    { payload: PlannedVisit, upgrade: (visit: PlannedVisit) => visit },
    { payload: PlannedVisit, upgrade: (visit: PlannedVisit) => visit },
    { payload: PlannedVisit, upgrade: (visit: PlannedVisit) => visit },
    // The house had no limit sets of its own.
    { payload: PlannedVisit, upgrade: (visit: PlannedVisit) => visit },
  ],
});

const change = z.object({ analysis: AnalysisId });
const changed = { stands: 'at-visit', by: field, correction: 'strike' } as const;
export const analysisAdded = entryKind('analysis-added', 'Analysis added', change, changed);
export const analysisRemoved = entryKind('analysis-removed', 'Analysis taken away', change, changed);

/** The point under which a blind duplicate goes to its lab: made up, and known to the book alone. */
export const MadeUpPoint = z.object({
  code: z
    .string()
    .trim()
    .regex(/^[A-Z0-9]{2,8}$/, { error: '2 to 8 capital letters or digits.' })
    .meta({ title: 'Made-up code' }),
  name: z.string().trim().min(1, { error: 'Give it a name.' }).max(120).meta({ title: 'Made-up name' }),
});
export type MadeUpPoint = z.infer<typeof MadeUpPoint>;

/** A duplicate, a split or a blank is taken along for an analysis at a visit. */
const Extra = z
  .object({
    analysis: AnalysisId,
    purpose: z.enum(extraPurposes as [(typeof extraPurposes)[number], ...typeof extraPurposes]),
    as: MadeUpPoint.optional(),
  })
  .refine(({ purpose: id, as }) => (purpose(id).isBlind === true) === (as !== undefined), {
    path: ['as', 'code'],
    error: 'A blind duplicate, and nothing else, goes under a made-up point.',
  });
export const extraPlanned = entryKind('extra-planned', 'Duplicate or blank planned', Extra, {
  ...changed,
  // None went blind, and none was split off.
  earlier: [{ payload: Extra, upgrade: (extra: z.infer<typeof Extra>) => extra }],
});

/**
 * Some of the bottles go to another lab than the round's: all of these kinds, or those that were split off for it. It carries the lab's
 * rules with it, as the plan does.
 */
export const labAdded = entryKind(
  'lab-added',
  'Another lab',
  z
    .object({
      lab: Lab,
      bottles: z.array(RuleId).max(100).meta({ title: 'Bottles that go there' }),
      splits: z.boolean().meta({ title: 'Splits go there' }).default(false),
    })
    .refine(({ bottles, splits }) => splits || bottles.length > 0, { path: ['bottles'], error: 'Say which bottles go there.' }),
  { stands: 'in-book', by: field, correction: 'strike' },
);

/** Bottles that stand labelled in the kit. */
export const bottlesPacked = entryKind(
  'bottles-packed',
  'Bottles packed',
  z.object({
    bottles: z.array(z.string().min(1).max(60)).max(2000).min(1, { error: 'There is no bottle to pack.' }),
  }),
  { stands: 'in-book', by: field, correction: 'strike' },
);

/**
 * A round is judged anew by other editions of limits or follow-ups than those it was planned with: an act of a person,
 * with a reason. Nothing else changes the verdict of finished work.
 */
const reason = z.string().trim().min(3, { error: 'Say why, in a few words.' }).max(500).meta({ title: 'Why' });
const FirstAnew = z.object({ limits: EditionRef.optional(), followUps: EditionRef.optional(), reason });
const Anew = z
  .object({ limits: Limits.optional(), ownLimits, followUps: EditionRef.optional(), reason })
  .refine((payload) => payload.limits !== undefined || payload.followUps !== undefined, {
    path: ['limits'],
    error: 'Choose an edition.',
  })
  .refine(({ limits = [], ownLimits: own }) => missingOwnSets(limits, own).length === 0, { path: ['limits'], error: notCarried });

export const judgedAnew = entryKind('judged-anew', 'Judged by another edition', Anew, {
  stands: 'in-book',
  by: ['coordinator'],
  correction: 'strike',
  earlier: [
    {
      payload: FirstAnew,
      upgrade: ({ limits, ...before }: z.infer<typeof FirstAnew>): z.infer<typeof Anew> => ({
        ...before,
        ...(limits ? { limits: [limits] } : {}),
      }),
    },
    // The house had no limit sets of its own.
    { payload: Anew, upgrade: (before: z.infer<typeof Anew>) => before },
  ],
});

/** The rest of a round will not be done, and why. What was taken so far stays as it is, and keeps its clocks. */
export const roundGivenUp = entryKind('round-given-up', 'Round abandoned', z.object({ reason }), {
  stands: 'in-book',
  by: field,
  correction: 'strike',
});
