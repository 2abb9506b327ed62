import { misfit, Trail, type Ask, type Room } from '../book/index.ts';
import type { MeasuringPoint, Point, WellPoint } from '../registers/index.ts';
import { millis } from '../time/index.ts';
import { base, type Typed } from '../units/index.ts';
import type { Computed } from '../working/index.ts';
import { agree } from './agreement.ts';
import { depthBelowGround, waterLevelElevation } from './depth.ts';
import { levelLeftOut, levelRead, loggerCompared, type LevelTool, type WaterState } from './entries.ts';
import { questionLevel } from './question.ts';
import type { Tolerances } from './tables/tolerances.ts';
import type { z } from 'zod';

export interface LevelReading {
  entry: string;
  at: number;
  measuringPoint: string;
  typed: Typed;
  /** m below the mark. */
  depth: number;
  water: WaterState;
  by?: LevelTool;
  kept?: string;
}

/** The level two readings agree on. */
export interface AgreedLevel {
  at: number;
  measuringPoint: string;
  depth: number;
  typed: Typed;
  water: WaterState;
  /** Null where the height of the mark is not known. */
  belowGround: Computed | null;
  /** Null where the elevation of the mark is not known. */
  elevation: Computed | null;
}

/** What a logger showed beside the level by hand. */
export interface LoggerCompared {
  entry: string;
  at: number;
  logger: string;
  typed: Typed;
  /** m below the mark as it shows it. */
  shows: number;
}

export interface LevelState {
  readonly readings: LevelReading[];
  readonly loggers: LoggerCompared[];
  agreed: AgreedLevel | null;
  /** Why it could not be read; null where that was not said. */
  leftOut: LevelBook['leftOut'];
}

/** What a book says of the level of one visit. */
export interface LevelBook {
  readings: Trail<LevelReading>;
  /** The later of the last two readings at one mark that agree; later ones that agree with nothing do not unmake it. */
  agreed: LevelReading | null;
  leftOut: ({ entry: string } & z.infer<typeof levelLeftOut.payload>) | null;
  loggers: Trail<LoggerCompared>;
}

export interface LevelAround {
  point: Point;
  /** Null where the round's edition is not known here: then nothing agrees. */
  tolerances: Tolerances | null;
}

export const levelRoom: Room<LevelBook, LevelAround, { level: LevelState | null }> = {
  next: { level: ({ level }) => level && askLevel(level) },
  kinds: [levelRead, levelLeftOut, loggerCompared],
  empty: { readings: Trail.of(), agreed: null, leftOut: null, loggers: Trail.of() },
  fits: (_, entry, { point, tolerances }) => {
    if (point.type !== 'well') return misfit('no-level', 'visit');
    if (!levelRead.is(entry)) return null;
    const { measuringPoint, depth, kept } = entry.payload;
    const mark = point.well.measuringPoints.find((candidate) => candidate.name === measuringPoint);
    if (!mark) return misfit('no-such-mark', 'payload.measuringPoint');
    if (kept || !tolerances) return null;
    const asked = questionLevel({ depth: base(depth), mark, well: point.well, record: [], tolerances })[0];
    return asked ? misfit('unexplained', 'payload.kept', { ...asked.data, finding: asked.code }) : null;
  },
  advance: (book, entry, { tolerances }) => {
    if (levelLeftOut.is(entry)) return { ...book, leftOut: { entry: entry.id, ...entry.payload } };
    if (loggerCompared.is(entry)) {
      const { logger, shows } = entry.payload;
      return { ...book, loggers: book.loggers.with({ entry: entry.id, at: millis(entry.at), logger, typed: shows, shows: base(shows) }) };
    }
    if (!levelRead.is(entry)) return book;
    const { readings, agreed } = book;
    const { depth: typed, measuringPoint, by, water, kept } = entry.payload;
    const reading: LevelReading = {
      entry: entry.id,
      at: millis(entry.at),
      measuringPoint,
      typed,
      depth: base(typed),
      water,
      ...(by ? { by } : {}),
      ...(kept ? { kept } : {}),
    };
    const before = readings.at(-1);
    // A level at rest and one while pumping are two levels, however near; and the one at rest is the level of the visit.
    const isSame = before?.measuringPoint === measuringPoint && before.water === water;
    const agrees = isSame && tolerances && agree(before.typed, typed, tolerances) && (water === 'static' || agreed?.water !== 'static');
    return { ...book, readings: readings.with(reading), agreed: agrees ? reading : agreed };
  },
};

/** The level of a well at one visit, with what follows from it. */
export function levelState({ readings, agreed: found, leftOut, loggers }: LevelBook, point: WellPoint): LevelState {
  const mark = point.well.measuringPoints.find((candidate) => candidate.name === found?.measuringPoint);
  return {
    get readings() {
      return readings.all();
    },
    get loggers() {
      return loggers.all();
    },
    agreed: found && mark ? agreedAt(found, mark) : null,
    leftOut,
  };
}

function agreedAt({ at, measuringPoint, depth, typed, water }: LevelReading, { stickUp, elevation }: MeasuringPoint): AgreedLevel {
  return {
    at,
    measuringPoint,
    depth,
    typed,
    water,
    belowGround: stickUp === undefined ? null : depthBelowGround({ depth, stickUp }),
    elevation: elevation === undefined ? null : waterLevelElevation({ depth, elevation }),
  };
}

/** What is asked for next of a level, or null when two readings agree. */
function askLevel({ agreed, readings, leftOut }: LevelState): Ask | null {
  return agreed || leftOut ? null : { code: readings.length === 0 ? 'measure-level' : 'read-again' };
}
