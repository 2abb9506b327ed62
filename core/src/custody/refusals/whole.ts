import { formField } from '../../registers/index.ts';
import { labsIn } from '../line.ts';
import { bandOf } from './cold.ts';
import { stop, type Refusal, type Situation } from './situation.ts';

/** What is wrong with the form as a whole, and with each of its boxes. */
export function wholeChecks(situation: Situation): Refusal[] {
  const { lines, boxes, said, counted, stage } = situation;
  if (stage === 'tap') return [];
  if (lines.length === 0) return stage === 'desk' ? [{ ...stop('no-bottles', 'form'), field: 'form', bottles: [] }] : [];
  const all = lines.map(({ bottle }) => bottle.id);
  const inBox = (id: string) => lines.filter((line) => line.box === id).map(({ bottle }) => bottle.id);
  const ofBox = [...boxes.values()].flatMap((box): Refusal[] => {
    const bottles = inBox(box.id);
    if (bottles.length === 0) return [];
    const field = `box ${box.id}`;
    // What its lab says nothing of it takes at any; without a lab, what wants cold is asked about.
    const cold = lines.filter((line) => line.box === box.id && (line.lab ? bandOf(line) !== null : line.bottle.card.temperature !== 'any'));
    const asksForSeal = lines.some((line) => line.box === box.id && line.lab?.asksForSeal);
    return [
      ...(box.temperature === null && cold.length > 0
        ? [{ ...stop('no-temperature', field, { box: box.name }), field, bottles: cold.map(({ bottle }) => bottle.id) }]
        : []),
      ...(stage === 'desk' && asksForSeal && box.seal.trim() === ''
        ? [{ ...stop('no-seal', field, { box: box.name }), field, bottles }]
        : []),
      ...(stage === 'desk' && box.sealIs !== 'whole' ? [{ ...stop(`seal-${box.sealIs}`, field, { box: box.name }), field, bottles }] : []),
    ];
  });
  if (stage !== 'desk') return ofBox;
  const ofForm = labsIn(lines).flatMap((lab) =>
    (lab.form ?? [])
      .filter(({ field, always }) => formField(field).isTyped && !always && !said[field]?.trim())
      .map(({ field }): Refusal => {
        const bottles = lines.filter((line) => line.lab?.id === lab.id).map(({ bottle }) => bottle.id);
        return { ...stop('form-incomplete', `said.${field}`, { name: formField(field).name }), field: `said.${field}`, bottles };
      }),
  );
  const count = counted !== null && counted !== lines.length;
  return [
    ...(count ? [{ ...stop('count-differs', 'counted', { counted, form: lines.length }), field: 'counted', bottles: all }] : []),
    ...ofBox,
    ...ofForm,
  ];
}
