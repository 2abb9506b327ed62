import { bottleConditions, sealStates, type CustodyForm, type HandOver, type Party } from '../custody/index.ts';
import type { Head } from '../book/index.ts';
import { formField, type FormFieldId, type Lab } from '../registers/index.ts';
import { showTyped } from '../units/index.ts';
import type { RoundState } from './fold.ts';
import { formLine } from './form.ts';

/** What a form has for a lab that does not say what it wants (common practice). */
const usualColumns: readonly FormFieldId[] = [
  'point',
  'pointCode',
  'collectedOn',
  'collectedAt',
  'sampleType',
  'analyses',
  'preservative',
  'filtered',
  'residualFree',
];
const usualFields: readonly FormFieldId[] = ['system', 'sampler'];

/** The labs of a round, its own first. */
export const labsOf = ({ plan, labs }: Pick<RoundState, 'plan' | 'labs'>): Lab[] => [
  ...(plan.lab ? [plan.lab] : []),
  ...labs.map(({ lab }) => lab),
];

/** What a party is called: labs of the register by their name there. */
export const partyName = (round: Pick<RoundState, 'plan' | 'labs'>, { name, lab }: Party): string =>
  name || (labsOf(round).find(({ id }) => id === lab)?.name ?? 'the lab');

/** The columns of a lab's form, and its fields. */
function layoutOf(lab: Lab | undefined): { columns: readonly FormFieldId[]; fields: readonly FormFieldId[] } {
  const asked = (lab?.form ?? []).map(({ field }) => field);
  if (asked.length === 0) return { columns: usualColumns, fields: usualFields };
  return {
    columns: asked.filter((field) => formField(field).of === 'bottle'),
    fields: asked.filter((field) => formField(field).of === 'form'),
  };
}

/**
 * The form of a hand-over for machines and for print, by the lab's own table of fields: filled from the book, with every change of hands
 * of its bottles. `head` is that of the book with the hand-over in it; null while it is on a device alone.
 */
export function custodyForm(round: RoundState, handOver: HandOver, head: (Head & { book: string }) | null): CustodyForm {
  const { form } = handOver;
  const lab = labsOf(round).find(({ id }) => id === form.to.lab);
  const { columns, fields } = layoutOf(lab);
  const own = new Set(form.bottles.map(({ bottle }) => bottle));
  const legs = round.custody.legs.filter(
    (leg) =>
      leg.at <= handOver.at &&
      leg.form.bottles.some(({ bottle }) => own.has(bottle)) &&
      (leg.entry === handOver.entry || leg.form.to.as !== 'lab'),
  );
  const legsOf = (bottle: string) => legs.flatMap((leg, at) => (leg.form.bottles.some((line) => line.bottle === bottle) ? [at + 1] : []));
  const always = new Map((lab?.form ?? []).map(({ field, always: said }) => [field, said]));
  const values: Partial<Record<FormFieldId, string>> = {
    system: round.plan.system,
    round: round.plan.code,
    sampler: samplersOf(round, handOver),
  };
  return {
    format: 'fonte-custody-form',
    version: 1,
    handOver: handOver.entry,
    lab: partyName(round, form.to),
    round: round.plan.code,
    head,
    fields: fields.map((field) => ({
      field,
      name: formField(field).name,
      value: values[field] ?? form.said?.[field] ?? always.get(field) ?? '',
    })),
    columns: columns.map((field) => ({ field, name: formField(field).name })),
    bottles: form.bottles.map(({ bottle: id, box, condition }) => {
      const visit = round.visits.find(({ bottles }) => bottles.some((one) => one.id === id))!;
      const bottle = visit.bottles.find((one) => one.id === id)!;
      return {
        bottle: id,
        box: form.boxes.find((one) => one.box === box)?.name ?? '',
        condition: bottleConditions[condition],
        values: formLine(round, visit, bottle, handOver.at).fields,
        legs: legsOf(id),
      };
    }),
    legs: legs.map(({ entry, at, form: leg }, index) => ({
      leg: index + 1,
      entry,
      at: new Date(at).toISOString(),
      from: leg.from.name,
      to: partyName(round, leg.to),
      takenBy: leg.takenBy,
      counted: leg.counted,
      notFound: leg.left.filter(({ why }) => why === 'missing').map(({ bottle }) => bottle),
      boxes: leg.boxes.map(({ name, temperature, cooling, seal, sealIs }) => ({
        name,
        temperature: temperature ? showTyped(temperature) : '',
        onIce: cooling,
        seal,
        sealIs: sealStates[sealIs],
      })),
      signed: leg.signed ?? null,
      received: leg.received ?? null,
    })),
  };
}

/** Whoever let go of these bottles first: it was they who took them, as far as the form is concerned. */
function samplersOf({ custody }: RoundState, { form }: HandOver): string {
  const first = form.bottles.map(
    ({ bottle }) => custody.legs.find((leg) => leg.form.bottles.some((line) => line.bottle === bottle))?.form.from.name,
  );
  return [...new Set(first.filter((name) => name !== undefined))].join(', ');
}
