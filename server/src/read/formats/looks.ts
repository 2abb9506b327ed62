import { strFromU8, unzipSync } from 'fflate';

/** What a person sees at a cell of a sheet beside the value that is stored in it. */
export interface Looks {
  /** How its number is shown, in the language of number formats; null for as it is. */
  format: string | null;
  isStruck: boolean;
  /** Its row or its column is not shown. */
  isHidden: boolean;
  /** A note that is attached to it. */
  note: string | null;
}

/** How a sheet looks. */
export interface SheetLooks {
  isHidden: boolean;
  /** The looks of a cell by its row and column, both from 0; undefined for a plain one. */
  at: (row: number, column: number) => Looks | undefined;
}

/** Number formats that are not written into the file. Source: ECMA-376 part 1, 18.8.30 (those of numbers). */
const builtIn: Readonly<Record<number, string>> = { 1: '0', 2: '0.00', 3: '#,##0', 4: '#,##0.00', 9: '0%', 10: '0.00%', 11: '0.00E+00' };

const entities: Readonly<Record<string, string>> = { lt: '<', gt: '>', amp: '&', quot: '"', apos: "'" };
const decoded = (text: string): string =>
  text.replace(/&(?:#(\d+)|#x([0-9a-f]+)|(lt|gt|amp|quot|apos));/gi, (_, decimal, hex, name) =>
    name ? entities[String(name).toLowerCase()]! : String.fromCodePoint(decimal ? Number(decimal) : parseInt(String(hex), 16)),
  );

/** The attributes of a tag by their names, without prefix. */
function attributes(tag: string): Record<string, string> {
  const all = [...tag.matchAll(/([\w:]+)\s*=\s*(?:"([^"]*)"|'([^']*)')/g)];
  return Object.fromEntries(all.map(([, name, double, single]) => [name!, decoded(double ?? single ?? '')]));
}
const tags = (xml: string, name: string): { of: Record<string, string>; within: string }[] =>
  [...xml.matchAll(new RegExp(`<(?:\\w+:)?${name}\\b([^>]*?)(?:/>|>([\\s\\S]*?)</(?:\\w+:)?${name}>)`, 'g'))].map(([, head, within]) => ({
    of: attributes(head ?? ''),
    within: within ?? '',
  }));
const isOn = (value: string | undefined) => value !== undefined && value !== '0' && value !== 'false';

/** Row and column of `C12`, both from 0. */
function placeOf(reference: string): [number, number] | null {
  const [, letters, row] = /^([A-Z]{1,3})(\d{1,7})$/.exec(reference) ?? [];
  if (!letters || !row) return null;
  return [Number(row) - 1, [...letters].reduce((sum, letter) => sum * 26 + letter.charCodeAt(0) - 64, 0) - 1];
}

/** What a style makes of a cell, by its number in the file. */
function stylesOf(xml: string): { format: string | null; isStruck: boolean }[] {
  const own = new Map(tags(xml, 'numFmt').map(({ of }) => [Number(of['numFmtId']), of['formatCode'] ?? '']));
  const fonts = tags(tags(xml, 'fonts')[0]?.within ?? '', 'font').map(({ within }) => {
    const [strike] = tags(within, 'strike');
    return strike !== undefined && (strike.of['val'] === undefined || isOn(strike.of['val']));
  });
  return tags(tags(xml, 'cellXfs')[0]?.within ?? '', 'xf').map(({ of }) => {
    const id = Number(of['numFmtId'] ?? 0);
    return { format: own.get(id) ?? builtIn[id] ?? null, isStruck: fonts[Number(of['fontId'] ?? 0)] ?? false };
  });
}

const within = (folder: string, target: string) =>
  target.startsWith('/') ? target.slice(1) : new URL(target, `file:///${folder}/`).pathname.slice(1);

/**
 * How the sheets of a workbook (.xlsx) look, by their names: number formats, struck-through cells, hidden rows and columns, notes. What a
 * person sees there is what the lab says; the stored value alone may say something else.
 * @param packed a file that unpacks within bounds
 * @throws where it is no packed file
 */
export function looksOf(packed: Uint8Array): Map<string, SheetLooks> {
  const wanted = /^xl\/(?:workbook\.xml|_rels\/workbook\.xml\.rels|styles\.xml|worksheets\/.*|comments.*)$/;
  const parts = unzipSync(packed, { filter: ({ name }) => wanted.test(name) });
  const text = (name: string) => (Object.hasOwn(parts, name) ? strFromU8(parts[name]!) : '');
  const styles = stylesOf(text('xl/styles.xml'));
  const targets = new Map(tags(text('xl/_rels/workbook.xml.rels'), 'Relationship').map(({ of }) => [of['Id'], of['Target'] ?? '']));
  return new Map(
    tags(text('xl/workbook.xml'), 'sheet').map(({ of }) => {
      const file = within('xl', targets.get(of['r:id'] ?? of['id']) ?? '');
      return [of['name'] ?? '', { isHidden: /hidden$/i.test(of['state'] ?? ''), at: looksIn(text(file), styles, notesOf(file, text)) }];
    }),
  );
}

/** The notes of a sheet by the cell that they are attached to. */
function notesOf(file: string, text: (name: string) => string): Map<string, string> {
  const [folder, name] = [file.slice(0, file.lastIndexOf('/')), file.slice(file.lastIndexOf('/') + 1)];
  const notes = tags(text(`${folder}/_rels/${name}.rels`), 'Relationship').filter(({ of }) => /\/comments$/.test(of['Type'] ?? ''));
  return new Map(
    notes.flatMap(({ of }) =>
      tags(text(within(folder, of['Target'] ?? '')), 'comment').map(({ of: { ref = '' }, within: said }): [string, string] => [
        ref,
        tags(said, 't')
          .map((one) => decoded(one.within))
          .join('')
          .trim(),
      ]),
    ),
  );
}

function looksIn(sheet: string, styles: ReturnType<typeof stylesOf>, notes: ReadonlyMap<string, string>): SheetLooks['at'] {
  const found = new Map<string, Looks>();
  const hidden = tags(tags(sheet, 'cols')[0]?.within ?? '', 'col')
    .filter(({ of }) => isOn(of['hidden']))
    .map(({ of }) => [Number(of['min']) - 1, Number(of['max']) - 1] as const);
  let isRowHidden = false;
  for (const [, name, head] of sheet.matchAll(/<(row|c)\b([^>]*)>/g)) {
    const of = attributes(head!);
    if (name === 'row') {
      isRowHidden = isOn(of['hidden']);
      continue;
    }
    const place = placeOf(of['r'] ?? '');
    if (!place) continue;
    const style = styles[Number(of['s'] ?? 0)];
    const looks: Looks = {
      format: style?.format ?? null,
      isStruck: style?.isStruck ?? false,
      isHidden: isRowHidden || hidden.some(([from, to]) => place[1] >= from && place[1] <= to),
      note: notes.get(of['r']!) ?? null,
    };
    if (looks.format !== null || looks.isStruck || looks.isHidden || looks.note) found.set(place.join(), looks);
  }
  return (row, column) => found.get(`${row},${column}`);
}
