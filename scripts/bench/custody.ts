import { chained, findBreaks, newId, sha256Hex, writeEntry, type BookEntry } from '@fonte/core/book';
import { coldRecord, readRecording } from '@fonte/core/logger';
import { foretell, atDesk, outOfBand, type CustodyForm, type FormLine } from '@fonte/core/custody';
import { bottleTables, cardOf } from '@fonte/core/bottles';
import { levelRead } from '@fonte/core/level';
import { formSheets } from '../../web/src/custody/print/form.ts';
import { plainRecording } from '../../core/test/recording.ts';
import { lab } from '../../core/test/script.ts';
import { median, record, timed } from './measure.ts';

const bottles = 300;
const entries = 10_000;
/** A reading each quarter of a minute for more than two weeks. */
const readings = 100_000;
const at = Date.UTC(2026, 10, 23, 10);

const line = (index: number): FormLine => {
  const rule = (['bacteria', 'nitrogen', 'metals'] as const)[index % 3]!;
  const id = `261123A-P${index}-${rule}`;
  return {
    bottle: {
      id,
      visit: 'v',
      rule,
      purpose: 'sample',
      supply: null,
      supplyWentWith: null,
      set: id,
      blind: null,
      card: cardOf(bottleTables.newest[0]!, rule),
      place: id,
      spare: false,
      state: 'filled',
      filledAt: at - 3_600_000,
      discarded: null,
      entry: null,
      labelled: null,
      code: null,
      facts: [],
      unfiltered: null,
    },
    pointName: `Point ${index % 60}`,
    lab,
    box: `box-${index % 4}`,
    analyses: ['coliforms'],
    requests: ['Coliforms + E. coli'],
    sampleType: 'routine',
    type: 'Routine',
    occasion: null,
    reasons: [],
    residual: '0.4 mg/L',
    chlorine: 0.4,
    stagnation: 'not-needed',
    fields: { point: `Point ${index % 60}` },
    limits: {},
    isForCompliance: true,
    copies: 1,
    blanks: [],
  };
};

const form = (count: number): CustodyForm => ({
  format: 'fonte-custody-form',
  version: 1,
  handOver: newId(at),
  lab: lab.name,
  round: '261123A',
  head: { book: newId(at), count: 4711, hash: '0123456789abcdef'.repeat(4) },
  fields: [{ field: 'system', name: 'System', value: 'Marenta' }],
  columns: [
    { field: 'point', name: 'Point' },
    { field: 'collectedAt', name: 'Collected at' },
    { field: 'analyses', name: 'Analyses' },
    { field: 'preservative', name: 'Preservative' },
  ],
  bottles: Array.from({ length: count }, (_, index) => ({
    bottle: `261123A-P${index}-N`,
    box: `Box ${index % 4}`,
    condition: 'Good',
    values: { point: `Point ${index % 60}`, collectedAt: '10:20', analyses: 'Nutrients', preservative: 'None' },
    legs: [1],
  })),
  legs: [
    {
      leg: 1,
      entry: newId(at),
      at: new Date(at).toISOString(),
      from: 'Inês Faria',
      to: lab.name,
      takenBy: 'Desk',
      counted: count,
      notFound: [],
      boxes: [{ name: 'Box 0', temperature: '4.2 °C', onIce: true, seal: '0431', sealIs: 'Whole' }],
      signed: { name: 'Inês Faria' },
      received: null,
    },
  ],
});

/** A book of so many entries on one chain. */
function chain(): BookEntry[] {
  const book = newId(at);
  const made: BookEntry[] = [];
  const payload = { measuringPoint: 'North rim', depth: { text: '7.40', unit: 'm' as const }, water: 'static' as const };
  for (let index = 0; index < entries; index += 1) {
    const entry = writeEntry({ book, author: newId(at), device: newId(at), now: at + index, offset: 0 }, levelRead, payload, {
      visit: book,
    });
    const last = made.at(-1);
    const stamp = { sentAt: entry.at.utc, receivedAt: entry.at.utc };
    made.push(chained(entry, last ? { count: last.seq, hash: last.hash } : null, stamp, sha256Hex));
  }
  return made;
}

/** A form of 300 bottles: what the lab would refuse, what a logger recorded in their box, and the PDF; the chain of a book of 10,000 entries. */
export async function custody(): Promise<void> {
  const lines = Array.from({ length: bottles }, (_, index) => line(index));
  const boxes = [0, 1, 2, 3].map((box) => ({
    box: `box-${box}`,
    name: `Box ${box}`,
    cooling: false,
    seal: '',
    sealIs: 'whole' as const,
    temperature: { text: '8.2', unit: 'degC' as const },
  }));
  const foretold: number[] = [];
  for (let run = 0; run < 5; run += 1) foretold.push(await timed(() => foretell(atDesk({ lines, boxes, now: at, counted: bottles }))));
  record(`foretelling what a lab refuses of ${bottles} bottles in 4 boxes`, median(foretold), 'ms', 100);
  const rows = Array.from(
    { length: readings },
    (_, index) => `${new Date(at + index * 15_000).toISOString().slice(0, 19)},${(4 + (index % 50) / 10).toFixed(1)}`,
  );
  const text = `Date,Temperature [°C]\n${rows.join('\n')}\n`;
  const recording = { ...plainRecording, unit: 'degC' } as const;
  const boxed: number[] = [];
  for (let run = 0; run < 3; run += 1)
    boxed.push(
      await timed(() => {
        const read = readRecording(text, recording, 'cold');
        if ('refusal' in read) throw new Error(read.refusal.code);
        const { course, gaps } = coldRecord(read.recorded, at, at + readings * 15_000);
        for (let bottle = 0; bottle < bottles; bottle += 1)
          outOfBand(course, gaps, { least: 1, most: 6 }, at + bottle * 60_000, at + readings * 15_000);
      }),
    );
  record(`a box's record of ${readings} readings, held against ${bottles} bottles`, median(boxed), 'ms', 1500);
  const [{ default: pdfMake }, { default: fonts }] = await Promise.all([
    import('pdfmake/build/pdfmake.js'),
    import('pdfmake/build/vfs_fonts.js'),
  ]);
  const sheets: number[] = [];
  let size = 0;
  for (let run = 0; run < 3; run += 1)
    sheets.push(
      await timed(
        () =>
          new Promise<void>((resolve) => {
            pdfMake
              .createPdf(formSheets(form(bottles), 'Atlantic/Azores'), undefined, undefined, fonts as never)
              .getBuffer((made: Uint8Array) => {
                size = made.length;
                resolve();
              });
          }),
      ),
    );
  record(`the form of ${bottles} bottles as a PDF`, median(sheets), 'ms', 5000);
  record('the form of many bottles as a PDF: its size', size / 1024, 'kB');
  const book = chain();
  const verified: number[] = [];
  for (let run = 0; run < 3; run += 1)
    verified.push(
      await timed(() => {
        if ([...findBreaks(book)].length > 0) throw new Error('The chain of the bench is broken.');
      }),
    );
  record(`verifying the chain of a book of ${entries} entries`, median(verified), 'ms', 3000);
}
