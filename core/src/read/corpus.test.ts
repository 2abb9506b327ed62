import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { bottleTables, cardOf, readOf, type RuleId } from '../bottles/index.ts';
import { parameter } from '../parameters/index.ts';
import { readReport, textTable, type BottleAtLab, type LabResult, type ReportDraft } from './index.ts';

const rules: Record<string, RuleId> = { N: 'nitrogen', M: 'metals', B: 'bacteria', G: 'general' };
/** Two points, each with four bottles: W1 was filled at 9:20, W2 at 10:40. */
const bottles = new Map(
  [
    ['W1', '09:20'],
    ['W2', '10:40'],
  ].flatMap(([visit, filledTime]) =>
    Object.entries(rules).map(([letter, rule]): [string, BottleAtLab] => {
      const card = cardOf(bottleTables.newest[0]!, rule);
      const own = { name: card.name, parameters: readOf(card), asked: card.parameters };
      return [`${visit}-${letter}`, { ...own, filledOn: '2026-11-05', filledTime: filledTime!, visit: visit! }];
    }),
  ),
);

/** Reports in five languages: after `###` its name, then the file, after `===` what must come of it. */
const folder = new URL('./corpus/', import.meta.url);
const reports = readdirSync(folder).flatMap((file) =>
  readFileSync(new URL(file, folder), 'utf8')
    .split(/^### /m)
    .slice(1)
    .map((block) => {
      const [name, ...rest] = block.split('\n');
      const [text, expected] = rest.join('\n').split(/^===\n/m);
      return { name: `${file.slice(0, 2)}: ${name}`, text: text!, expected: expected!.split('\n').filter((line) => line !== '') };
    }),
);

const digits = (value: number) => String(Number(value.toPrecision(5)));

function shown({ bottle, parameter: id, fraction, form, value, estimated, uncertainty }: LabResult): string {
  const sign = { below: '<', above: '>', value: '' }[form as 'value'];
  const number = sign === undefined ? form : `${sign}${value === null ? '' : digits(value)}`;
  return `${bottle} ${id}${fraction ? `/${fraction}` : ''} ${number}${estimated ? '~' : ''}${uncertainty ? `±${digits(uncertainty)}` : ''}`;
}

function told(draft: ReportDraft): string[] {
  return [
    ...draft.results.map(shown),
    ...draft.questions.map((one) => `? ${one.code}${one.about === 'thing' ? ` ${one.thing}` : ''}`),
    ...draft.unread.map((one) => `! ${one.line} ${one.code}`),
    ...(draft.doubts.length > 0 ? [`~ ${draft.doubts.length}`] : []),
    ...(draft.apartCount > 0 ? [`- ${draft.apartCount}`] : []),
  ];
}

const readText = (text: string) => {
  const read = readReport(textTable(new TextEncoder().encode(text)), bottles);
  if ('refusal' in read) throw new Error(`refused: ${read.refusal.code}`);
  return read.draft;
};

describe('reports as labs write them', () => {
  it('are sixty and more', () => expect(reports.length).toBeGreaterThanOrEqual(60));

  it.each(reports)('$name', ({ text, expected }) => {
    const draft = readText(text);
    expect(draft.refusal).toBeNull();
    const sorted = (lines: readonly string[]) => [...lines].sort();
    expect(sorted(told(draft))).toEqual(sorted(expected));
  });

  it('name only what is known, in its own unit', () => {
    for (const { bottle, parameter: id } of reports.flatMap(({ text }) => readText(text).results)) {
      expect(bottles.get(bottle)!.parameters).toContain(id);
      expect(parameter(id).unit).toBeTruthy();
    }
  });
});
