import { parameter, type ParameterId } from '../../parameters/index.ts';
import { formField } from '../../registers/index.ts';
import { always, onTheWay, question, stop, type BottleCheck } from './situation.ts';

/** The bottle itself and what is in it. */
export const sampleChecks: readonly BottleCheck[] = [
  {
    at: ['desk'],
    of: ({ bottle }, { conditions }) => {
      const condition = conditions[bottle.id] ?? 'good';
      return condition === 'good' ? [] : [stop(condition, bottle.id)];
    },
  },
  // Where nobody looks at labels nothing is asked; where others were looked at, one was forgotten.
  {
    at: onTheWay,
    of: ({ bottle }, { lines }) =>
      bottle.labelled === null && lines.some((line) => line.bottle.labelled !== null) ? [question('label-unseen', bottle.id)] : [],
  },
  { at: onTheWay, of: ({ bottle, sampleType }) => (sampleType === 'invalid' ? [stop('sample-spoilt', bottle.id)] : []) },
  { at: onTheWay, of: ({ bottle, residual }) => (residual === null ? [stop('residual-missing', bottle.id)] : []) },
  {
    at: always,
    of: ({ bottle, chlorine }, _, lab) => {
      const most = lab?.residualMost;
      if (most === undefined || chlorine === null || chlorine <= most || bottle.card.preservative?.name !== 'Sodium thiosulfate') return [];
      return [stop('residual-high', bottle.id, { is: chlorine, most })];
    },
  },
  {
    at: always,
    of: ({ bottle, stagnation }, { stage }, lab) => {
      const windows = lab?.stagnation ?? [];
      if (windows.length === 0 || stagnation === 'not-needed') return [];
      if (stagnation === null) return stage === 'tap' ? [] : [stop('stagnation-missing', bottle.id)];
      if (windows.some(({ least, most }) => stagnation >= least && stagnation <= most)) return [];
      // The next time that it would still fit, or else the last one that it has missed.
      const next = windows.filter(({ least }) => stagnation < least).sort((a, b) => a.least - b.least)[0];
      const last = [...windows].sort((a, b) => b.most - a.most)[0]!;
      return [stop(next ? 'stagnation-short' : 'stagnation-long', bottle.id, { is: stagnation, ...(next ?? last) })];
    },
  },
];

/** What this lab does, and what it does not. */
export const scopeChecks: readonly BottleCheck[] = [
  {
    at: always,
    of: ({ bottle, analyses }, _, lab) => {
      const not = lab?.takes ? analyses.filter((id) => !lab.takes!.includes(id)) : [];
      return not.length > 0 && not.length === analyses.length
        ? [stop('not-offered', bottle.id, { bottle: bottle.card.name.toLowerCase() })]
        : [];
    },
  },
  {
    at: always,
    of: ({ bottle, analyses, isForCompliance }, _, lab) => {
      const { accredited } = lab ?? {};
      if (!accredited || !isForCompliance || analyses.every((id) => accredited.includes(id))) return [];
      return [question('not-accredited', bottle.id, { bottle: bottle.card.name.toLowerCase() })];
    },
  },
  {
    at: always,
    of: ({ bottle, limits }, _, lab) =>
      (Object.entries(limits) as [ParameterId, number][]).flatMap(([id, limit]) => {
        const from = lab?.reportsFrom?.[id];
        if (from === undefined || from <= limit) return [];
        return [question('reports-too-high', bottle.id, { parameter: parameter(id).name, from, limit, unit: parameter(id).unit })];
      }),
  },
];

/** What must lie beside it: its parts, its blanks, its fields on the form. */
export const paperChecks: readonly BottleCheck[] = [
  {
    at: onTheWay,
    of: ({ bottle, copies }, { lines }) => {
      const there = lines.filter((line) => line.bottle.set === bottle.set).length;
      return there < copies ? [stop('set-broken', bottle.id, { there, copies })] : [];
    },
  },
  {
    at: onTheWay,
    of: ({ bottle, blanks }, _, lab) =>
      blanks
        .filter(({ isThere }) => !isThere)
        .map(({ name }) =>
          (lab?.asksForBlanks?.includes(bottle.rule) ? stop : question)('blank-missing', bottle.id, { name: name.toLowerCase() }),
        ),
  },
  {
    at: ['desk'],
    of: ({ bottle, fields }, _, lab) =>
      (lab?.form ?? [])
        .filter(({ field }) => formField(field).of === 'bottle' && !fields[field])
        .map(({ field }) => stop('field-missing', bottle.id, { name: formField(field).name })),
  },
];
