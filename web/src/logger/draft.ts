import type { LoggerLookAnswer } from '@fonte/core/logger';
import { LoggerRecord, recordedUnits, type LoggerClock, type RecordedAs, type Recording, type SeriesKind } from '@fonte/core/registers';
import { unit, type Typed, type UnitId } from '@fonte/core/units';
import { inBase, typedOf, type Read } from '../form/values.ts';

/** How one file is read, as far as it was said. */
export interface FileDraft {
  sha256: string;
  name: string;
  date?: number | undefined;
  time?: number | undefined;
  order?: Recording['order'] | undefined;
  clock: { goes?: LoggerClock['goes'] | undefined; offset?: number | undefined; zone?: string | undefined };
  ahead: Typed;
  value?: number | undefined;
  decimals?: Recording['decimals'] | undefined;
  unit?: UnitId | undefined;
  /** What was seen in it; null for one that was brought in before. */
  look: LoggerLookAnswer | null;
}

export interface LoggerDraft {
  id: string;
  name: string;
  point?: string | undefined;
  mark?: string | undefined;
  shows?: RecordedAs | undefined;
  water: FileDraft | null;
  air: FileDraft | null;
  density: Typed;
  line?: LoggerRecord['line'] | undefined;
  hangs: Typed;
  /** ms. */
  from?: number | undefined;
  to?: number | undefined;
  without: { at: number; why: string }[];
  outOfUse: string;
}

/** What a file shows of how it is read; what could be two things stays open. */
export function draftOfFile(name: string, look: LoggerLookAnswer, of: SeriesKind | undefined): FileDraft {
  const dimension = of && recordedUnits(of);
  const fits = look.columns.filter(({ unit: id, shows }) => (of && shows === of) || (id !== null && dimension === unit(id).dimension));
  const column = fits.length === 1 ? fits[0]! : look.columns.length === 1 ? look.columns[0]! : null;
  return {
    sha256: look.sha256,
    name,
    date: look.date ?? undefined,
    time: look.time ?? undefined,
    order: look.orders.length === 1 ? look.orders[0] : undefined,
    clock: look.isWritten ? { goes: 'written' } : {},
    ahead: { text: '0', unit: 's' },
    value: column?.place,
    ...ofColumn(look, column?.place),
    look,
  };
}

/** What the column of a reading says of its numbers. */
export function ofColumn(look: LoggerLookAnswer | null, place: number | undefined): Pick<FileDraft, 'decimals' | 'unit'> {
  const column = look?.columns.find((one) => one.place === place);
  return { decimals: column?.decimals ?? undefined, unit: column?.unit ?? undefined };
}

const draftOfRecording = ({ ahead, clock, ...recording }: Recording): FileDraft => ({
  ...recording,
  clock,
  ahead: typedOf(ahead, 's'),
  look: null,
});

export function draftOf(record: LoggerRecord | null, id: string, point: string | undefined): LoggerDraft {
  const moment = (text: string | undefined) => (text === undefined ? undefined : Date.parse(text));
  return {
    id: record?.id ?? id,
    name: record?.name ?? '',
    point: record?.point ?? point,
    mark: record?.mark,
    shows: record?.shows,
    water: record ? draftOfRecording(record.water) : null,
    air: record?.air ? draftOfRecording(record.air) : null,
    density: typedOf(record?.density ?? 999.7, 'kg/m3'),
    line: record?.line,
    hangs: typedOf(record?.hangs, 'm'),
    from: moment(record?.from),
    to: moment(record?.to),
    without: record?.without ?? [],
    outOfUse: record?.outOfUse ?? '',
  };
}

/** What was said of a file, ready for its schema. */
export function fileOf(draft: FileDraft | null): Omit<FileDraft, 'look'> | undefined {
  if (!draft) return undefined;
  const { look: _, clock, ...file } = draft;
  const { goes, offset, zone } = clock;
  return { ...file, clock: goes === 'fixed' ? { goes, offset } : goes === 'wall' ? { goes, zone } : { goes } };
}

/** The record that a draft says. */
export function readDraft({ water, air, from, to, ...said }: LoggerDraft): Read {
  const iso = (at: number | undefined) => (at === undefined ? undefined : new Date(at).toISOString());
  return inBase({
    ...said,
    water: fileOf(water),
    air: said.shows === 'absolute' ? fileOf(air) : undefined,
    from: iso(from),
    to: iso(to),
  });
}

/** What its levels do not hang on. */
const later = 'said later';
const asTried = <T extends Pick<LoggerDraft, 'name' | 'without' | 'outOfUse'>>(said: T): T => ({
  ...said,
  name: later,
  without: said.without.map(({ at }) => ({ at, why: later })),
  outOfUse: '',
});

/** The record of a draft that can be tried, or null while something is missing that its levels hang on. */
export function toTry(draft: LoggerDraft): LoggerRecord | null {
  const { value, problems } = readDraft(asTried(draft));
  const parsed = LoggerRecord.safeParse(value);
  return problems.length === 0 && parsed.success ? parsed.data : null;
}

/** All that the levels of a record hang on. */
export const keyOf = ({ outOfUse: _, ...record }: LoggerRecord): string => JSON.stringify({ ...asTried({ ...record, outOfUse: '' }) });
