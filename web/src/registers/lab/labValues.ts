import type { CutOff, DropOff, Lab } from '@fonte/core/registers';
import type { Typed } from '@fonte/core/units';
import { inBase, typedOf, type Read } from '../../form/values.ts';
import { siteZone } from '../../time/show.ts';
import { freshId } from '../useRegister.ts';

/** Temperature classes of bottles that a lab has a band for. */
export const classes = { bacteria: 'Bacteria', chilled: 'Chemistry, chilled', cool: 'Legionella, without ice' } as const;
export type TemperatureClass = keyof typeof classes;

interface Band {
  least: Typed;
  most: Typed;
}
/** What a lab refuses, as the form shows it: what hangs on a bottle or a parameter is a row. */
export interface RefusalValues {
  startsAfter: { rule: string; hours: string }[];
  resultsAfter: { rule: string; hours: string }[];
  codes: { rule: string; code: string }[];
  reportsFrom: { parameter: string; from: string }[];
  stagnation: { least: Typed; most: Typed }[];
  coolingWithin: string;
  residualMost: Typed;
}
export interface LabValues extends Omit<Lab, 'temperature' | 'holding' | 'position' | 'dropOffs' | keyof RefusalValues>, RefusalValues {
  position: { latitude: Typed; longitude: Typed };
  temperature: Record<TemperatureClass, Band>;
  dropOffs: DropOffValues[];
  holding: { rule: string; hours: string }[];
}

/** A place where bottles are left, with the hours that the form shows; other hours stay as they were. */
export interface DropOffValues {
  name: string;
  position: { latitude: Typed; longitude: Typed };
  weekdays: number[];
  opens: string;
  closes: string;
  toLab: Typed;
  more?: DropOff['hours'];
}

const degreesOf = (position: Lab['position']) => ({
  latitude: typedOf(position?.latitude, 'deg'),
  longitude: typedOf(position?.longitude, 'deg'),
});

const fiveDays = [1, 2, 3, 4, 5];

export const emptyDropOff = (): DropOffValues => ({
  name: '',
  position: degreesOf(undefined),
  weekdays: fiveDays,
  opens: '',
  closes: '',
  toLab: typedOf(undefined, 'min'),
});
export const emptyCutOff = (): CutOff => ({ bottles: ['bacteria'], weekdays: [], closes: null });

const dropOffValues = ({ name, position, hours, toLab }: DropOff): DropOffValues => {
  const { opens, closes } = hours[0]!;
  const isShown = (row: DropOff['hours'][number]) => row.opens === opens && row.closes === closes;
  const more = hours.filter((row) => !isShown(row));
  return {
    name,
    position: degreesOf(position),
    weekdays: hours.filter(isShown).map(({ weekday }) => weekday),
    opens,
    closes,
    toLab: typedOf(toLab, 'min'),
    ...(more.length > 0 ? { more } : {}),
  };
};

const degrees = (value: number | undefined): Typed => ({ text: value === undefined ? '' : String(value), unit: 'degC' });

const rows = <K extends string, V extends string>(of: Record<string, unknown> | undefined, key: K, value: V) =>
  Object.entries(of ?? {}).map(([name, one]) => ({ [key]: name, [value]: String(one) }) as Record<K | V, string>);

const refusalValues = (lab: Partial<Lab>): RefusalValues => ({
  startsAfter: rows(lab.startsAfter, 'rule', 'hours'),
  resultsAfter: rows(lab.resultsAfter, 'rule', 'hours'),
  codes: rows(lab.codes, 'rule', 'code'),
  reportsFrom: rows(lab.reportsFrom, 'parameter', 'from'),
  stagnation: (lab.stagnation ?? []).map(({ least, most }) => ({ least: typedOf(least, 'min'), most: typedOf(most, 'min') })),
  coolingWithin: lab.coolingWithin === undefined ? '' : String(lab.coolingWithin),
  residualMost: typedOf(lab.residualMost, 'mg/L'),
});

/** What is no number is told at its field, and stands in no record. */
const known = <T>(all: readonly { key?: string | undefined; value: T }[]) =>
  Object.fromEntries(all.flatMap(({ key, value }) => (value === undefined ? [] : [[key, value]])));
const record = <T>(all: readonly { key?: string | undefined; value: T }[]) => (all.length > 0 ? known(all) : undefined);

/** What a lab refuses, as the register has it: what nobody said is left out. */
function refusalsOf(values: Partial<Record<keyof RefusalValues | 'accredited' | 'asksForBlanks' | 'form', unknown>>): object {
  const { startsAfter, resultsAfter, codes, reportsFrom, stagnation, coolingWithin, residualMost, accredited, asksForBlanks, form } =
    values as {
      startsAfter?: { rule?: string; hours?: number }[];
      resultsAfter?: { rule?: string; hours?: number }[];
      codes?: { rule?: string; code?: string }[];
      reportsFrom?: { parameter?: string; from?: number }[];
      stagnation?: object[];
      coolingWithin?: number;
      residualMost?: number;
      accredited?: string[];
      asksForBlanks?: string[];
      form?: object[];
    };
  const said = {
    startsAfter: record((startsAfter ?? []).map(({ rule, hours }) => ({ key: rule, value: hours }))),
    resultsAfter: record((resultsAfter ?? []).map(({ rule, hours }) => ({ key: rule, value: hours }))),
    codes: record((codes ?? []).map(({ rule, code }) => ({ key: rule, value: code ?? '' }))),
    reportsFrom: record((reportsFrom ?? []).map(({ parameter, from }) => ({ key: parameter, value: from }))),
    stagnation: stagnation?.length ? stagnation : undefined,
    coolingWithin,
    residualMost,
    accredited: accredited?.length ? accredited : undefined,
    asksForBlanks: asksForBlanks?.length ? asksForBlanks : undefined,
    form: form?.length ? form : undefined,
  };
  return Object.fromEntries(Object.entries(said).filter(([, value]) => value !== undefined));
}

export function labValues(lab: Lab | null): LabValues {
  const known = lab ?? {
    id: freshId(),
    name: '',
    zone: siteZone(),
    source: '',
    asksForSeal: false,
    intake: fiveDays.map((weekday) => ({ weekday, opens: '', closes: '' })),
    temperature: {},
    cutOffs: [],
    holding: {},
    closedDays: [],
    dropOffs: [],
    paper: '',
    position: undefined,
  };
  const { temperature, holding, position, dropOffs, ...rest } = known;
  const band = (name: TemperatureClass): Band => ({ least: degrees(temperature[name]?.least), most: degrees(temperature[name]?.most) });
  return {
    ...rest,
    ...refusalValues(known),
    position: degreesOf(position),
    dropOffs: dropOffs.map(dropOffValues),
    temperature: { bacteria: band('bacteria'), chilled: band('chilled'), cool: band('cool') },
    holding: Object.entries(holding).map(([rule, hours]) => ({ rule, hours: String(hours) })),
  };
}

/** Where the form has a number as a text. */
const isNumber = /^(coolingWithin|(holding|startsAfter|resultsAfter)\.\d+\.hours|reportsFrom\.\d+\.from)$/;

/** The lab that a form holds, and what in it is no number. */
export function readLab(values: LabValues, before: Lab | null): Read {
  const { value, problems } = inBase(values, isNumber);
  const empty = (list: string, name: string, rows: readonly object[]) =>
    rows.forEach((row, place) => {
      if (String((row as Record<string, unknown>)[name] ?? '').trim() === '')
        problems.push({ path: `${list}.${place}.${name}`, message: 'Enter a number.' });
    });
  empty('holding', 'hours', values.holding);
  empty('startsAfter', 'hours', values.startsAfter);
  empty('resultsAfter', 'hours', values.resultsAfter);
  empty('reportsFrom', 'from', values.reportsFrom);
  return { value: labOf(value as object, before), problems };
}

/** The lab as the register has it. Bands of classes that this form does not show stay as they were. */
function labOf(values: object, before: Lab | null): object {
  const {
    cutOffs = [],
    dropOffs = [],
    takes = [],
    labels = '',
    paper = '',
    holding = [],
    temperature = {},
    intake = [],
    position = {},
    closedDays = [],
    startsAfter,
    resultsAfter,
    codes,
    reportsFrom,
    stagnation,
    coolingWithin,
    residualMost,
    accredited,
    asksForBlanks,
    form,
    ...rest
  } = values as Partial<Record<keyof RefusalValues | 'accredited' | 'asksForBlanks' | 'form', unknown>> & {
    position?: object;
    closedDays?: { date: string }[];
    cutOffs?: { bottles?: string[]; weekdays?: number[]; closes?: string | null }[];
    dropOffs?: {
      name?: string;
      position?: object;
      weekdays?: number[];
      opens?: string;
      closes?: string;
      toLab?: number;
      more?: object[];
    }[];
    takes?: string[];
    labels?: string;
    paper?: string;
    holding?: { rule?: string; hours?: number }[];
    temperature?: Record<string, { least?: number; most?: number }>;
    intake?: { opens?: string; closes?: string }[];
  };
  const bands = Object.entries(temperature).filter(([, { least, most }]) => least !== undefined || most !== undefined);
  return {
    ...rest,
    ...refusalsOf({
      startsAfter,
      resultsAfter,
      codes,
      reportsFrom,
      stagnation,
      coolingWithin,
      residualMost,
      accredited,
      asksForBlanks,
      form,
    }),
    ...(Object.keys(position).length > 0 ? { position } : {}),
    closedDays: [...closedDays].sort((a, b) => (a.date < b.date ? -1 : 1)),
    // A day without hours is a day on which the lab is shut.
    intake: intake.filter(({ opens, closes }) => opens || closes),
    temperature: { ...before?.temperature, ...Object.fromEntries(bands) },
    cutOffs: cutOffs.map(({ bottles = [], weekdays = [], closes }) => ({ bottles, weekdays, closes: closes ?? null })),
    dropOffs: dropOffs.map(({ position: where = {}, weekdays = [], opens, closes, more = [], ...place }) => ({
      ...place,
      ...(Object.keys(where).length > 0 ? { position: where } : {}),
      hours: [...weekdays.map((weekday) => ({ weekday, opens, closes })), ...more],
    })),
    ...(takes.length > 0 ? { takes } : {}),
    ...(labels.trim() === '' ? {} : { labels }),
    paper,
    holding: known(holding.map(({ rule, hours }) => ({ key: rule, value: hours }))),
  };
}

/** Where the form shows what is wrong with a lab. */
export const fieldOfLab = (path: string): string =>
  path.replace(/^(dropOffs\.\d+)\.hours(?:\.\d+)?/, '$1').replace(/^(dropOffs\.\d+)$/, '$1.weekdays');
