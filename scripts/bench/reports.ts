import { judgeResult, limitSets } from '@fonte/core/limits';
import { readReport, textTable, type BottlesByLabel } from '@fonte/core/read';
import Papa from 'papaparse';
import { inTurn, median, record } from './measure.ts';

/** A lab's report of so many rows, and the bottles it is about. */
function longReport(rows: number): { bytes: Uint8Array; text: string; bottles: BottlesByLabel } {
  const bottles: BottlesByLabel = new Map(
    Array.from({ length: rows / 2 }, (_, index) => [
      `261123A-P${index}-N`,
      { name: 'Nutrients', parameters: ['nitrate', 'nitrite'] as const, filledOn: '2026-11-23' },
    ]),
  );
  const body = [...bottles.keys()].flatMap((bottle) => [
    `${bottle};23/11/2026;Nitratos;0,10;12,9;mg/L N;PT-12`,
    `${bottle};23/11/2026;Nitritos;0,010;<0,010;mg/L N;PT-13`,
  ]);
  const text = ['Amostra;Data de colheita;Ensaio;Limite de quantificação;Resultado;Unidade;Método', ...body].join('\r\n');
  return { bytes: new TextEncoder().encode(text), text, bottles };
}

/** As many rows, one for each sample, with ten metals in columns, units below the header, and a column of flags beside each. */
function wideReport(rows: number): { bytes: Uint8Array; text: string; bottles: BottlesByLabel; results: number } {
  const metals = { Ferro: 'iron', Chumbo: 'lead', Níquel: 'nickel', Arsénio: 'arsenic', Cádmio: 'cadmium' } as const;
  const names = Object.keys(metals);
  const bottles: BottlesByLabel = new Map(
    Array.from({ length: rows }, (_, index) => [
      `261123A-P${index}-M`,
      { name: 'Metals', parameters: Object.values(metals), filledOn: '2026-11-23', visit: String(index) },
    ]),
  );
  const body = [...bottles.keys()].map((bottle, index) =>
    [bottle, ...names.flatMap((_, column) => [`${(index % 89) + 1},${column}`, ''])].join(';'),
  );
  const head = ['Amostra', ...names.flatMap((name) => [name, `${name} flag`])].join(';');
  const units = ['', ...names.flatMap(() => ['µg/L', ''])].join(';');
  const text = [head, units, ...body].join('\r\n');
  return { bytes: new TextEncoder().encode(text), text, bottles, results: rows * names.length };
}

export async function reports(): Promise<void> {
  const rows = 10_000;
  await measure(`a report of ${rows} rows`, { ...longReport(rows), results: rows });
  await measure(`a wide report of ${rows} rows with 5 results each`, wideReport(rows));
}

async function measure(what: string, { bytes, text, bottles, results }: ReturnType<typeof wideReport>): Promise<void> {
  const limits = limitSets.newest[0]!;
  const read = () => {
    const found = readReport(textTable(bytes), bottles);
    if (!('draft' in found) || found.draft.results.length !== results) throw new Error('The report was not read whole.');
    for (const result of found.draft.results) judgeResult(result, limits, '2026-11-23');
  };
  const parse = () => Papa.parse(text, { delimitersToGuess: [';', ',', '\t', '|'] });
  for (let warm = 0; warm < 3; warm += 1) {
    read();
    parse();
  }
  const { a, b } = await inTurn(15, read, parse);
  record(`read and judge ${what}, ${(bytes.length / 1024).toFixed(0)} kB, median of 15`, median(a), 'ms', 1000);
  // One line of a wide report holds many results: the parser is no measure for it.
  if (results === bottles.size * 2) record(`${what} against the CSV parser alone`, median(a) / median(b), '×', 8);
}
