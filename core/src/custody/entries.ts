import { z } from 'zod';
import { entryKind, Id } from '../book/index.ts';
import { carriers, field } from '../roles/index.ts';
import { Instant } from '../time/index.ts';
import { typedOf } from '../units/index.ts';
import { FirstHandOver, fromFirst } from './earlier.ts';
import { Party, partyKind, plainName } from './party.ts';
import { Signature } from './signature.ts';
import { colds, type ColdRow } from './tables/colds.ts';
import { bottleConditions } from './tables/conditions.ts';
import { typedFieldIds } from '../registers/index.ts';

export { bottleConditions };
export type BottleCondition = keyof typeof bottleConditions;
const conditions = Object.keys(bottleConditions) as [BottleCondition, ...BottleCondition[]];

export type ColdId = keyof typeof colds;
const coldIds = Object.keys(colds) as [ColdId, ...ColdId[]];
export const cold = (id: ColdId): ColdRow => colds[id];

const bottle = z.string().min(1).max(60);
/** A box of the register; the empty id is that of bottles which stand in none. */
const box = z.string().max(60);
const temperature = typedOf('temperature', { title: 'In the box now', units: ['degC', 'degF'], min: -30, max: 60 });

/** How a seal is found. */
export const sealStates = { whole: 'Whole', broken: 'Broken', other: 'Another number' } as const;

/** A box as it changes hands. */
export const HandedBox = z.object({
  box,
  name: z.string().trim().min(1).max(120),
  temperature: temperature.optional(),
  /** It lies on ice, and its cooling had begun when it was closed. */
  cooling: z.boolean().default(false),
  seal: z.string().trim().max(40).meta({ title: 'Seal number' }).default(''),
  sealIs: z
    .enum(Object.keys(sealStates) as [keyof typeof sealStates])
    .meta({ title: 'The seal is' })
    .default('whole'),
});
export type HandedBox = z.infer<typeof HandedBox>;

/** Why a bottle that stood on the form did not change hands. */
export const leftReasons = { missing: 'Not found', 'not-taken': 'Not taken' } as const;

/**
 * Bottles change hands: one leg of the chain of custody. Who lets go and who takes them each sign with their name, and by hand where
 * they can; a place that is locked signs nothing. The entry's place in the chain seals both.
 */
export const handedOver = entryKind(
  'handed-over',
  'Handed over',
  z
    .object({
      from: Party,
      to: Party,
      /** Who stands at the lab's desk. */
      takenBy: z.string().trim().max(120).meta({ title: 'Taken by' }).default(''),
      boxes: z.array(HandedBox).max(60),
      bottles: z
        .array(z.object({ bottle, box: box.default(''), condition: z.enum(conditions) }))
        .max(2000)
        .min(1, { error: 'No bottle changes hands.' }),
      left: z
        .array(z.object({ bottle, why: z.enum(Object.keys(leftReasons) as [keyof typeof leftReasons]) }))
        .max(2000)
        .default([]),
      /** So many the one who takes them has counted. */
      counted: z
        .number({ error: 'Count the bottles.' })
        .int()
        .min(1, { error: 'Count the bottles.' })
        .max(2000)
        .meta({ title: 'Bottles counted' }),
      signed: Signature.optional(),
      received: Signature.optional(),
      /** When they should be at the lab, where somebody else brings them. */
      arrives: Instant.optional().meta({ title: 'Expected at the lab' }),
      /** What stands on the form and in no book. */
      said: z.partialRecord(z.enum(typedFieldIds), z.string().trim().max(300)).optional(),
      /** What was foretold that the lab would refuse, as it was shown to whoever signed. */
      foretold: z
        .array(z.object({ bottle, code: z.string().max(40) }))
        .max(20_000)
        .default([]),
    })
    .superRefine((form, issues) => {
      const refuse = (path: (string | number)[], message: string) => issues.addIssue({ code: 'custom', path, message });
      if (form.from.name === '') refuse(['from', 'name'], 'Who hands over?');
      if (form.to.name === '' && form.to.lab === undefined) refuse(['to', 'name'], 'To whom?');
      if (form.to.as === 'lab' && form.takenBy === '') refuse(['takenBy'], 'Who takes it?');
      if (form.counted !== form.bottles.length)
        refuse(['counted'], `${form.bottles.length} are on the form. Count again, and mark what is not there as not found.`);
      if (partyKind(form.from.as).signs) {
        if (!form.signed) refuse(['signed', 'name'], 'Sign with your name.');
        else if (plainName(form.signed.name) !== plainName(form.from.name))
          refuse(['signed', 'name'], 'Sign with the name of the person who hands over.');
      }
      // A lab's desk may sign; whoever else takes bottles does.
      const taker = form.to.as === 'lab' ? form.takenBy : form.to.name;
      if (form.received && plainName(form.received.name) !== plainName(taker))
        refuse(['received', 'name'], 'Sign with the name of the person who takes them.');
      if (!form.received && form.to.as !== 'lab' && partyKind(form.to.as).signs) refuse(['received', 'name'], 'Who takes them signs, too.');
    }),
  {
    stands: 'in-book',
    by: carriers,
    correction: 'replace',
    earlier: [{ payload: FirstHandOver, upgrade: fromFirst }],
  },
);

/** When a box was read. */
export const readingTimes = { packing: 'At packing', way: 'On the way', arrival: 'On arrival' } as const;
/** What was read. */
export const readingWays = { bottle: 'The temperature bottle', air: 'The air in the box', surface: 'The outside of a bottle' } as const;

/** A box was packed or looked into: what keeps it cold, and how cold it is. */
export const boxRead = entryKind(
  'box-read',
  'Box read',
  z
    .object({
      box: z.object({ box, name: z.string().trim().min(1).max(120) }),
      when: z.enum(Object.keys(readingTimes) as [keyof typeof readingTimes]).meta({ title: 'When' }),
      cold: z.enum(coldIds).meta({ title: 'What keeps it cold' }).optional(),
      temperature: temperature.optional(),
      by: z
        .enum(Object.keys(readingWays) as [keyof typeof readingWays])
        .meta({ title: 'What was read' })
        .default('bottle'),
    })
    .refine((read) => read.cold !== undefined || read.temperature !== undefined, {
      path: ['temperature', 'text'],
      error: 'Enter a temperature, or what keeps it cold.',
    }),
  { stands: 'in-book', by: carriers, correction: 'replace' },
);

const AnsweredBottle = z.object({ bottle, accepted: z.boolean(), reason: z.string().max(300).optional() });
const answered = {
  handOver: Id,
  reference: z.string().trim().min(1, { error: 'Enter the lab’s reference.' }).max(60).meta({ title: 'The lab’s reference' }),
  bottles: z.array(AnsweredBottle).max(2000),
};

/** What the lab's intake desk answered to one hand-over, bottle by bottle; what it says later takes the place of it. Written by the server only. */
export const labAnswered = entryKind('lab-answered', 'Lab answered', z.object(answered), {
  stands: 'in-book',
  by: ['server'],
  madeBy: 'server',
});

export const answerWays = { phone: 'By phone', mail: 'By mail', paper: 'On paper' } as const;

/** What a lab without a desk that can be asked said of a hand-over, or what it said afterwards by phone: as a person heard it. */
export const answerTaken = entryKind(
  'answer-taken',
  'Lab’s answer taken',
  z.object({
    ...answered,
    bottles: answered.bottles.min(1, { error: 'Say of which bottle.' }),
    how: z.enum(Object.keys(answerWays) as [keyof typeof answerWays]).meta({ title: 'How it came' }),
    whom: z.string().trim().min(1, { error: 'Who said so?' }).max(120).meta({ title: 'Who said so' }),
  }),
  { stands: 'in-book', by: field, correction: 'replace' },
);
