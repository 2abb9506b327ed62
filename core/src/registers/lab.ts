import { z } from 'zod';
import { entryKind, Id } from '../book/index.ts';
import { AnalysisId } from '../bottles/index.ts';
import { isZone } from '../time/index.ts';
import { LabelPattern } from './label-pattern.ts';
import { Position } from './position.ts';
import { formFields, type FormFieldRow } from './tables/form-fields.ts';

const time = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, { error: 'A time such as 16:30.' });

const degrees = z.number().meta({ units: ['degC'] });

/** Hours in which a lab takes samples in; `weekday` 1 is Monday (ISO 8601). */
export const IntakeHours = z.object({
  weekday: z.number().int().min(1).max(7).meta({ title: 'Day' }),
  opens: time.meta({ title: 'Opens' }),
  closes: time.meta({ title: 'Closes' }),
});

/** Hours of a lab's door or of a place where its courier calls: each ends after it begins, and no two of a weekday overlap. */
const hours = z
  .array(IntakeHours)
  .max(50)
  .superRefine((rows, issues) => {
    const refuse = (row: number, name: 'opens' | 'closes', message: string) =>
      issues.addIssue({ code: 'custom', path: [row, name], message });
    for (const [row, { weekday, opens, closes }] of rows.entries()) {
      // What is no time is refused as such.
      if (opens.length !== 5 || closes.length !== 5) continue;
      if (closes <= opens) refuse(row, 'closes', 'It closes before it opens.');
      const other = rows.findIndex((one, at) => at < row && one.weekday === weekday && one.opens < closes && opens < one.closes);
      if (other >= 0) refuse(row, 'opens', `These hours overlap with ${rows[other]!.opens} to ${rows[other]!.closes} of the same day.`);
    }
  });

const common = {
  /** The lab's own book. */
  id: Id,
  name: z.string().trim().min(1).max(120).meta({ title: 'Name' }),
  zone: z.string().refine(isZone, { error: 'Not a time zone this device knows.' }).meta({ title: 'Time zone of its clock' }),
  /** Warmest and coldest cooler in °C per temperature class of bottle, or per bottle rule where the lab tells one from the others. */
  temperature: z.record(z.string().max(40), z.object({ least: degrees, most: degrees })),
  /** Hours from collection to receipt per bottle rule, where the lab is stricter than the rule. */
  holding: z.record(z.string().max(40), z.number().positive()).default({}),
  asksForSeal: z.boolean().default(false),
  source: z.string().max(300).meta({ title: 'Where these rules stand' }).default(''),
};

/** A day on which it takes nothing in, whatever the weekday. */
export const ClosedDay = z.object({
  date: z.iso.date({ error: 'A date such as 2026-12-25.' }).meta({ title: 'Day' }),
  name: z.string().trim().min(1, { error: 'Say why.' }).max(80).meta({ title: 'Why' }),
});
export type ClosedDay = z.infer<typeof ClosedDay>;

/** Some bottles are taken in for a shorter time: on these weekdays, every day where none is named, until a time; or not at all. */
export const CutOff = z.object({
  bottles: z.array(z.string().max(40)).min(1, { error: 'Say for which bottles.' }).max(100).meta({ title: 'Bottles' }),
  weekdays: z.array(z.number().int().min(1).max(7)).max(7).meta({ title: 'Days, or every day' }),
  closes: time.nullable().meta({ title: 'Until, or not at all' }),
});
export type CutOff = z.infer<typeof CutOff>;

/** A place where bottles are left for the lab, or where a courier fetches them. */
export const DropOff = z.object({
  name: z.string().trim().min(1, { error: 'Give it a name.' }).max(120).meta({ title: 'Where' }),
  position: Position.optional(),
  /** When bottles may be left; at the end of the last hours of a day they are fetched. */
  hours: hours.min(1, { error: 'Say when bottles may be left there.' }),
  /** From when they are fetched until they are at the lab's door, in s. */
  toLab: z
    .number()
    .min(0, { error: 'Cannot be negative.' })
    .max(172_800, { error: 'Cannot be more than 48 hours.' })
    .meta({ title: 'Then at the lab after', units: ['min', 'h'] }),
});
export type DropOff = z.infer<typeof DropOff>;

const withDoor = {
  ...common,
  /** Where its door is. */
  position: Position.optional(),
  /** Holidays and days of its own. */
  closedDays: z.array(ClosedDay).max(400).default([]),
  /** Labs that take its samples where it is shut, the first to be asked first. */
  backUps: z.array(Id).max(5).meta({ title: 'Where it is shut' }).optional(),
};

export type FormFieldId = keyof typeof formFields;
export const formFieldIds = Object.keys(formFields) as [FormFieldId, ...FormFieldId[]];
export const formField = (id: FormFieldId): FormFieldRow => formFields[id];
/** Fields of a form that no book fills. */
export const typedFieldIds = formFieldIds.filter((id) => formField(id).isTyped) as [FormFieldId, ...FormFieldId[]];

/** A field that a lab asks for on its form, with what stands there on every form of this house. */
export const LabField = z.object({
  field: z.enum(formFieldIds).meta({ title: 'Field' }),
  always: z.string().trim().max(300).meta({ title: 'Always' }).optional(),
});

const hoursPer = (title: string) =>
  z.record(z.string().max(40), z.number().min(0, { error: 'Cannot be negative.' }).max(8760)).meta({ title, units: ['h'] });

/** What a lab refuses beside the door, the cold and the time; nothing of it where nobody has said so. */
const refusals = {
  /** Hours from receipt to its report per bottle rule. */
  resultsAfter: hoursPer('Results after').optional(),
  /** Hours from receipt to the start of the analysis per bottle rule: the rule's own time runs to the start. */
  startsAfter: hoursPer('Starts after').optional(),
  /** Bottles filled less than these hours ago are taken although they are warm, where they lie on ice. */
  coolingWithin: z
    .number()
    .positive({ error: 'Must be more than 0.' })
    .max(48, { error: 'Cannot be more than 48 hours.' })
    .meta({ title: 'Takes warm bottles on ice if filled within', units: ['h'] })
    .optional(),
  /** Most free chlorine in mg/L that its bottles for bacteria take up. */
  residualMost: z
    .number()
    .positive({ error: 'Must be more than 0.' })
    .max(200)
    .meta({ title: 'Most free chlorine its bottles take up', units: ['mg/L'] })
    .optional(),
  /** How long the water of a sample of standing water may have stood, in s: within one of these times. */
  stagnation: z
    .array(
      z
        .object({
          least: z
            .number()
            .min(0)
            .meta({ title: 'From', units: ['min', 'h'] }),
          most: z
            .number()
            .positive()
            .meta({ title: 'To', units: ['min', 'h'] }),
        })
        .refine(({ least, most }) => least < most, { path: ['most'], error: 'It ends before it begins.' }),
    )
    .max(6)
    .optional(),
  /** Bottles that it refuses without the blank that belongs to them. */
  asksForBlanks: z.array(z.string().max(40)).max(100).meta({ title: 'Refuses without their blank' }).optional(),
  /** For which of its analyses it is accredited. */
  accredited: z.array(AnalysisId).max(100).meta({ title: 'Accredited for' }).optional(),
  /** What it reports down to, by parameter, in the parameter's own unit. */
  reportsFrom: z.record(z.string().max(40), z.number().positive()).meta({ title: 'Reports from' }).optional(),
  /** What stands on its form. */
  form: z.array(LabField).max(formFieldIds.length).meta({ title: 'Its form asks for' }).optional(),
  /** How it calls bottles and analyses, by our names of them. */
  codes: z.record(z.string().max(40), z.string().trim().min(1).max(40)).meta({ title: 'Its own codes' }).optional(),
};

/** A lab's own acceptance rules. They are the lab's data, never constants of the product. */
export const Lab = z.object({
  ...withDoor,
  intake: hours,
  cutOffs: z.array(CutOff).max(60).default([]),
  /** What it is asked for; anything where nothing is said. */
  takes: z.array(AnalysisId).max(100).meta({ title: 'Analyses it takes' }).optional(),
  dropOffs: z.array(DropOff).max(20).default([]),
  /** How it wants bottles to be labelled. */
  labels: LabelPattern.optional(),
  ...refusals,
  /** What must lie in the box on paper. */
  paper: z.string().trim().max(300).meta({ title: 'On paper, with the samples' }).default(''),
});
export type Lab = z.infer<typeof Lab>;

const byWeekday = {
  intake: z.array(IntakeHours).max(50),
  /** Earlier closing for bacteria, by weekday; a weekday with null takes none. */
  bacteriaCloses: z.record(z.string().max(20), time.nullable()).default({}),
};

/** A lab as it was registered before it had a place and holidays. */
export const FirstLab = z.object({ ...common, ...byWeekday });
/** Before it had cut-offs for anything but bacteria, and places where bottles are left for it. */
export const SecondLab = z.object({ ...withDoor, ...byWeekday });
export const labFromFirst = (lab: z.infer<typeof FirstLab>): z.infer<typeof SecondLab> => ({ ...lab, closedDays: [] });
export const labFromSecond = ({ bacteriaCloses, ...lab }: z.infer<typeof SecondLab>): Lab => ({
  ...lab,
  cutOffs: Object.entries(bacteriaCloses).map(([weekday, closes]) => ({ bottles: ['bacteria'], weekdays: [Number(weekday)], closes })),
  dropOffs: [],
  paper: '',
});

export const labRegistered = entryKind('lab-registered', 'Lab registered', Lab, {
  stands: 'in-book',
  by: ['coordinator'],
  earlier: [
    { payload: FirstLab, upgrade: labFromFirst },
    { payload: SecondLab, upgrade: labFromSecond },
    // It said less of what it refuses, which may be left out; then nothing of when it reports.
    { payload: Lab, upgrade: (lab: Lab) => lab },
    { payload: Lab, upgrade: (lab: Lab) => lab },
  ],
});
