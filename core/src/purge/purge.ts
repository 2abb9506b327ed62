import type { Entry } from '../book/index.ts';
import type { Finding } from '../findings/index.ts';
import type { LevelState } from '../level/index.ts';
import { inOwnUnit, type ParameterId } from '../parameters/index.ts';
import { bottomBelow, type WellPoint } from '../registers/index.ts';
import { millis } from '../time/index.ts';
import { base, showNumber, type Typed } from '../units/index.ts';
import type { Computed } from '../working/index.ts';
import { criterion, type CriterionId } from './criteria.ts';
import { purgeEnded, purgeReading, purgeSetUp, type ProbeParameter } from './entries.ts';
import { judgeStability, type ReadingSet, type Stability } from './stability.ts';
import { casingVolume, waterColumn } from './volume.ts';

export interface PurgeSet {
  entry: string;
  at: number;
  /** m³ since the purge began. */
  pumped: number;
  pumpedTyped: Typed;
  values: Partial<Record<ProbeParameter, Typed>>;
  /** m below the mark while pumping. */
  level: number | null;
  note?: string;
}

export interface PurgeSetUp {
  entry: string;
  at: number;
  insideDiameter: number;
  insideDiameterTyped: Typed;
  pipe?: string;
  volumes: number;
  criterion: CriterionId;
  parameters: ProbeParameter[];
  column: Computed;
  oneVolume: Computed;
  target: Computed;
}

export interface PurgeState {
  setUp: PurgeSetUp | null;
  sets: PurgeSet[];
  /** m³. */
  pumped: number;
  /** Volumes removed so far. */
  volumesDone: number;
  /** Lowest level while pumping against the level before, in m; null when none was read. */
  drawdown: number | null;
  stability: Stability | null;
  findings: Finding[];
  /** Volume target reached and readings stable. */
  ready: boolean;
  ended: { at: number; reason?: string } | null;
}

/** `volumes` times one volume, in m³. */
export function purgeTarget(one: Computed, volumes: number): Computed {
  const value = one.value * volumes;
  return {
    value,
    unit: 'm3',
    working: {
      formula: 'to remove = volumes · one volume',
      inputs: [
        { symbol: 'n', name: 'volumes', value: volumes, unit: '1', decimals: 0 },
        { symbol: 'V', name: 'one volume', value: one.value * 1000, unit: 'L', decimals: 2 },
      ],
      steps: [...one.working.steps, `${volumes} · ${showNumber(one.value * 1000, 2)} L = ${showNumber(value * 1000, 1)} L`],
      source: 'Three or more casing volumes: US EPA Region 4, groundwater sampling procedure; common practice',
    },
  };
}

function foldSetUp(entries: readonly Entry[], point: WellPoint, level: LevelState): PurgeSetUp | null {
  const entry = entries.filter(purgeSetUp.is).at(-1);
  const mark = point.well.measuringPoints.find((candidate) => candidate.name === level.agreed?.measuringPoint);
  if (!entry || !level.agreed || !mark) return null;
  const { insideDiameter: typed, volumes, criterion: rule, parameters, pipe } = entry.payload;
  const column = waterColumn({ bottom: bottomBelow(mark, point.well), depth: level.agreed.depth });
  const oneVolume = casingVolume({ insideDiameter: base(typed), column: Math.max(0, column.value) });
  return {
    entry: entry.id,
    at: millis(entry.at),
    insideDiameter: base(typed),
    insideDiameterTyped: typed,
    ...(pipe ? { pipe } : {}),
    volumes,
    criterion: rule,
    parameters,
    column,
    oneVolume,
    target: purgeTarget(oneVolume, volumes),
  };
}

function questionSets(sets: readonly PurgeSet[], setUp: PurgeSetUp | null, stability: Stability | null): Finding[] {
  const findings: Finding[] = [];
  sets.forEach((set, index) => {
    const before = sets[index - 1];
    if (before && set.pumped < before.pumped) {
      findings.push({
        code: 'total-fell',
        severity: 'question',
        about: set.entry,
        message: 'The pumped total is less than at the reading before.',
        advice: 'The total counts from the start of the purge. Correct the one that is wrong.',
      });
    }
  });
  const over = setUp && setUp.oneVolume.value > 0 && (sets.at(-1)?.pumped ?? 0) / setUp.oneVolume.value >= 5;
  if (over && !stability?.stable) {
    findings.push({
      code: 'five-volumes',
      severity: 'question',
      message: 'Five volumes are out and the readings still move.',
      advice: 'Decide whether to sample, and say so when you end the purge.',
      source: 'Common practice',
    });
  }
  return findings;
}

function readingSets(sets: readonly PurgeSet[]): ReadingSet[] {
  return sets.map(
    (set) => Object.fromEntries(Object.entries(set.values).map(([id, typed]) => [id, inOwnUnit(id as ParameterId, typed)])) as ReadingSet,
  );
}

/** The purge of one visit by casing volumes. `entries` are corrected ones of the visit. */
export function foldPurge(entries: readonly Entry[], point: WellPoint, level: LevelState): PurgeState {
  const setUp = foldSetUp(entries, point, level);
  const sets = entries.filter(purgeReading.is).map((entry): PurgeSet => ({
    entry: entry.id,
    at: millis(entry.at),
    pumped: base(entry.payload.pumped),
    pumpedTyped: entry.payload.pumped,
    values: entry.payload.values,
    level: entry.payload.level ? base(entry.payload.level) : null,
    ...(entry.payload.note ? { note: entry.payload.note } : {}),
  }));
  const pumped = Math.max(0, ...sets.map((set) => set.pumped));
  const levels = sets.flatMap((set) => (set.level === null ? [] : [set.level]));
  const rule = setUp && criterion(setUp.criterion);
  const stability = rule && judgeStability(rule, readingSets(sets.slice(-rule.sets)), setUp.parameters);
  const end = entries.filter(purgeEnded.is).at(-1);
  return {
    setUp,
    sets,
    pumped,
    stability,
    volumesDone: setUp && setUp.oneVolume.value > 0 ? pumped / setUp.oneVolume.value : 0,
    drawdown: level.agreed && levels.length > 0 ? Math.max(...levels) - level.agreed.depth : null,
    findings: questionSets(sets, setUp, stability),
    ready: setUp !== null && pumped >= setUp.target.value - 1e-9 && stability?.stable === true,
    ended: end ? { at: millis(end.at), ...(end.payload.reason ? { reason: end.payload.reason } : {}) } : null,
  };
}
