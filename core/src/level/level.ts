import { misfit, Trail, type Ask, type Room } from '../book/index.ts';
import type { MeasuringPoint, Point, WellPoint } from '../registers/index.ts';
import { millis } from '../time/index.ts';
import { base, type Typed } from '../units/index.ts';
import type { Computed } from '../working/index.ts';
import { agree } from './agreement.ts';
import { isDryTape } from './tools.ts';
import { againstRest, questionWater, type PumpNow } from './contradiction.ts';
import { depthBelowGround, waterLevelElevation } from './depth.ts';
import { levelLeftOut, levelRead, loggerCompared, type WaterState } from './entries.ts';
import { questionLevel } from './question.ts';
import type { LevelReading } from './reading.ts';
import type { Tolerances } from './tables/tolerances.ts';
import type { z } from 'zod';

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
  /** Another level at rest on which two readings agree, and which contradicts this one; null where there is none. */
  contested: LevelReading | null;
  /** Why it could not be read; null where that was not said. */
  leftOut: LevelBook['leftOut'];
}

/** What a book says of the level of one visit. */
export interface LevelBook {
  readings: Trail<LevelReading>;
  /**
   * The later of the last two readings at one mark that agree; later ones that agree with nothing do not unmake it. One at rest is
   * unmade by none that was read after the well was pumped.
   */
  agreed: LevelReading | null;
  contested: LevelReading | null;
  leftOut: ({ entry: string; at: number } & z.infer<typeof levelLeftOut.payload>) | null;
  loggers: Trail<LoggerCompared>;
}

export interface LevelAround {
  point: Point;
  /** Null where the round's edition is not known here: then nothing agrees. */
  tolerances: Tolerances | null;
  /** Null where nobody said anything of a pump. */
  pump: PumpNow | null;
}

/** The reading before that one is held against: of the same device and mark, as it was of the water. */
const partnerOf = (readings: Trail<LevelReading>, { device, measuringPoint, water }: LevelReading): LevelReading | undefined => {
  const before = readings.all().findLast((one) => one.device === device && one.measuringPoint === measuringPoint);
  return before?.water === water ? before : undefined;
};

/** The level of the visit once a reading was added, and what contradicts it. */
function settled(
  { readings, agreed, contested }: LevelBook,
  reading: LevelReading,
  { tolerances, pump }: LevelAround,
): Pick<LevelBook, 'agreed' | 'contested'> {
  const partner = partnerOf(readings, reading);
  if (!partner || !tolerances || !agree(partner.typed, reading.typed, tolerances)) return { agreed, contested };
  // A level at rest and one while pumping are two levels, however near; and the one at rest is the level of the visit.
  if (agreed?.water !== 'static') return { agreed: reading, contested };
  if (reading.water !== 'static') return { agreed, contested };
  const other = againstRest(agreed, reading, { readings: readings.all(), pump });
  if (other === 'contradicts') return { agreed, contested: reading };
  return other === 'same' ? { agreed: reading, contested } : { agreed, contested };
}

export const levelRoom: Room<LevelBook, LevelAround, { level: LevelState | null }> = {
  next: { level: ({ level }) => level && askLevel(level) },
  kinds: [levelRead, levelLeftOut, loggerCompared],
  empty: { readings: Trail.of(), agreed: null, contested: null, leftOut: null, loggers: Trail.of() },
  fits: ({ readings }, entry, { point, tolerances, pump }) => {
    if (point.type !== 'well') return misfit('no-level', 'visit');
    if (!levelRead.is(entry)) return null;
    const { measuringPoint, depth, by, water, kept } = entry.payload;
    if (by?.tool === 'steel' && isDryTape(by)) return misfit('dry-tape', 'payload.by.cut', { hold: base(by.hold) });
    const mark = point.well.measuringPoints.find((candidate) => candidate.name === measuringPoint);
    if (!mark) return misfit('no-such-mark', 'payload.measuringPoint');
    if (kept || !tolerances) return null;
    const [asked] = [
      ...questionLevel({ depth: base(depth), mark, well: point.well, record: [], tolerances }),
      ...questionWater(water, { readings: readings.all(), pump, at: millis(entry.at), tolerances }),
    ];
    return asked ? misfit('unexplained', 'payload.kept', { ...asked.data, finding: asked.code }) : null;
  },
  advance: (book, entry, around) => {
    if (levelLeftOut.is(entry)) return { ...book, leftOut: { entry: entry.id, at: millis(entry.at), ...entry.payload } };
    if (loggerCompared.is(entry)) {
      const { logger, shows } = entry.payload;
      return { ...book, loggers: book.loggers.with({ entry: entry.id, at: millis(entry.at), logger, typed: shows, shows: base(shows) }) };
    }
    if (!levelRead.is(entry)) return book;
    const { depth: typed, measuringPoint, by, water, kept } = entry.payload;
    const reading: LevelReading = {
      entry: entry.id,
      at: millis(entry.at),
      device: entry.device,
      measuringPoint,
      typed,
      depth: base(typed),
      water,
      ...(by ? { by } : {}),
      ...(kept ? { kept } : {}),
    };
    return { ...book, readings: book.readings.with(reading), ...settled(book, reading, around) };
  },
};

/** The level of a well at one visit, with what follows from it. */
export function levelState({ readings, agreed: found, contested, leftOut, loggers }: LevelBook, point: WellPoint): LevelState {
  const mark = point.well.measuringPoints.find((candidate) => candidate.name === found?.measuringPoint);
  return {
    get readings() {
      return readings.all();
    },
    get loggers() {
      return loggers.all();
    },
    agreed: found && mark ? agreedAt(found, mark) : null,
    contested,
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
function askLevel({ agreed, contested, readings, leftOut }: LevelState): Ask | null {
  if (contested) return { code: 'settle-level' };
  return agreed || leftOut ? null : { code: readings.length === 0 ? 'measure-level' : 'read-again' };
}
