import type { ParameterId } from '../parameters/index.ts';
import type { GearId } from './tables/gear.ts';
import { orderRows } from './tables/order.ts';
import type { purposes } from './tables/purposes.ts';

/** Temperature class of a bottle: the lab says what the cooler may have; `any` needs no cooling and takes no harm from it. */
export type TemperatureClass = 'bacteria' | 'chilled' | 'cool' | 'any';

/** How often a duplicate or blank of a kind belongs to a bottle: once a round, once for each building or site, or one in so many samples. */
export type ExtraEvery = 'round' | 'building' | number;

export interface BottleRule {
  name: string;
  /** Letters on the label. */
  letter: string;
  /** Place in the filling order; bacteria first, at a tap right after disinfection. */
  order: number;
  container: string;
  /** Nominal volume in mL, of one bottle. */
  volume: number;
  /** So many bottles make one sample; one where it is left out. */
  copies?: number;
  preservative: { name: string; hazard: string } | null;
  rinse: string;
  fill: string;
  /** Where the fill mark is drawn, as a part of the bottle's height up to the neck. */
  mark: number;
  headspace: string;
  filter: string | null;
  /** The only kind of point at which it is filtered; at every one where this is left out. */
  filterAt?: 'well' | 'tap';
  mix: string | null;
  temperature: TemperatureClass;
  temperatureText: string;
  /** Hours from collection to the start of analysis. */
  holdingHours: number;
  holdingFor: string;
  /** What is waited for of its report, read and judged. */
  parameters: readonly ParameterId[];
  /** One of them is enough: labs report some of a long list, or one of two ways to say the same. */
  isAnyOf?: true;
  /** What is read and judged as well where the report has it. */
  also?: readonly ParameterId[];
  /** What is measured in it where no parameter stands for it: then a person compares the report with the limits. */
  measures?: string;
  /** Blanks and duplicates that belong with it. */
  extras?: readonly { purpose: Exclude<keyof typeof purposes, 'sample'>; every: ExtraEvery }[];
  /** A spare for each so many bottles, at least one; ten where it is left out. */
  spareEach?: number;
  /** What would spoil it and must not be about. */
  gear?: readonly GearId[];
  /** A swab of a surface: nothing is filled. */
  isSwab?: true;
  /** What is different at some kinds of points, by their names in the register. */
  at?: Readonly<Record<string, Partial<BottleRule>>>;
  source: string;
}

/** All that may be read of the report of a bottle. */
export const readOf = ({ parameters, also = [] }: Pick<BottleRule, 'parameters' | 'also'>): readonly ParameterId[] => [
  ...parameters,
  ...also,
];

/** Whether a bottle is filled without air: what it is for leaves the water with it. Its mark stands at the brim. */
const bearsNoAir = ({ mark }: Pick<BottleRule, 'mark'>): boolean => mark >= 0.98;

/** Bottles of an order below this are for what escapes: they come before all that stays in the water. */
const firstThatStays = 1;

/**
 * Whether what a bottle is for leaves the water with bubbles, suction and falling water: volatiles and gases. Not so of one that is full only
 * because air would change what stays in it, such as alkalinity.
 */
export const losesGas = (card: Pick<BottleRule, 'mark' | 'order'>): boolean => bearsNoAir(card) && card.order < firstThatStays;

/** Why it stands where it does in the order of filling. */
export const whyHere = ({ order }: Pick<BottleRule, 'order'>): string => orderRows.find(({ upTo }) => order <= upTo)!.why;

const numbers: Readonly<Record<string, number>> = { twice: 2, three: 3, four: 4, five: 5, ten: 10, fifteen: 15, twenty: 20 };

/** How often it is turned over or shaken, as its rule says in words; null where it says no number. */
export function mixTimes({ mix }: Pick<BottleRule, 'mix'>): number | null {
  const found = mix && /\b(?:(twice)|(\w+) times)\b/.exec(mix.toLowerCase());
  if (!found) return null;
  const word = found[1] ?? found[2]!;
  return numbers[word] ?? (Number(word) || null);
}

export interface AnalysisRow {
  name: string;
  /** Under which heading it is offered. */
  group?: AnalysisGroup;
  /** Bottle rules that this analysis needs, one bottle of each; what is measured follows from them. */
  bottles: readonly string[];
}

export const analysisGroups = [
  'Germs',
  'Metals',
  'Salts and nutrients',
  'Look and solids',
  'Organics',
  'PFAS',
  'Disinfection',
  'Radioactivity',
] as const;
export type AnalysisGroup = (typeof analysisGroups)[number];
