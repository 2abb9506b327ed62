import { handedOver, type BoxState, type FormLine } from '@fonte/core/custody';
import { expect, it } from 'vitest';
import { fieldFor, isAllScanned, parted, payloadOf, type Draft } from './draft.ts';

const line = (id: string, box = '') => ({ bottle: { id }, box }) as unknown as FormLine;
const lines = [line('A'), line('B', 'blue'), line('C', 'blue')];
const boxes = [
  { box: { id: '', name: 'Cooler' }, lines: [] },
  { box: { id: 'blue', name: 'Blue box' }, lines: [] },
] as unknown as BoxState[];
const draft: Draft = {
  to: { as: 'lab', name: 'Island lab' },
  takenBy: 'Desk',
  inBoxes: { loose: { temperature: { text: '4,2', unit: 'degC' }, cooling: false, seal: '', sealIs: 'whole' } },
  bottles: { B: 'leaking', C: 'missing' },
  counted: ' 2 ',
  scanned: [],
  said: { quote: ' ', notes: 'x' },
  signed: { name: 'Inês Faria', drawn: [[0, 0, 300, 100]] },
  received: { name: '' },
};
const context = { lines, boxes, from: { as: 'person' as const, name: 'Inês Faria' }, zone: 'UTC', foretold: [] };

it('makes a payload of what goes along, with the boxes that still hold something, and names what stays', () => {
  const payload = handedOver.payload.parse(payloadOf(draft, context));
  expect(payload).toMatchObject({
    boxes: [
      { box: '', temperature: { text: '4,2' } },
      { box: 'blue', seal: '' },
    ],
    bottles: [
      { bottle: 'A', condition: 'good' },
      { bottle: 'B', box: 'blue', condition: 'leaking' },
    ],
    left: [{ bottle: 'C', why: 'missing' }],
    counted: 2,
    said: { notes: 'x' },
  });
  expect([payload.received, payload.boxes[1]!.temperature]).toEqual([undefined, undefined]);
  const none = handedOver.payload.parse(payloadOf({ ...draft, bottles: { B: 'missing', C: 'not-taken' }, counted: '1' }, context));
  expect(none.boxes.map(({ box }) => box)).toEqual(['']);
});

it('takes no half count for one', () => {
  const counted = (text: string) => handedOver.payload.safeParse(payloadOf({ ...draft, counted: text }, context)).error?.issues[0]?.path;
  expect([counted('2.5'), counted('two'), counted('')]).toEqual([['counted'], ['counted'], ['counted']]);
});

it('counts no bottle that was scanned and stays behind for one that was not', () => {
  // A and B go; C was scanned before it was found to be missing.
  const { goes } = parted(lines, draft);
  expect([isAllScanned(goes, ['A', 'C']), isAllScanned(goes, ['A', 'B', 'C'])]).toEqual([false, true]);
});

it('shows what is wrong with a box at the fields of that box', () => {
  expect(fieldFor('boxes.1.temperature.text', boxes)).toBe('inBoxes.blue.temperature.text');
  expect(fieldFor('boxes.0.seal', boxes)).toBe('inBoxes.loose.seal');
  expect(fieldFor('signed.name', boxes)).toBe('signed.name');
});

it('parts what goes from what stays', () => {
  expect(parted(lines, draft).stays.map(({ bottle }) => bottle.id)).toEqual(['C']);
});
