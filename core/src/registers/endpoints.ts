import { z } from 'zod';
import { reading } from '../endpoints/index.ts';
import { Programme } from '../due/index.ts';
import { BroughtReport } from './brought.ts';
import { OwnCriterion } from './criterion.ts';
import { Device } from './device.ts';
import { Box, Instrument, Lot } from './gear.ts';
import { Lab } from './lab.ts';
import { OwnLimitSet } from './limit-set.ts';
import { LoggerRecord } from './logger.ts';
import { Person } from './people.ts';
import { Point } from './point.ts';
import { members } from '../roles/index.ts';

/** The most that one page of a register holds. */
export const largestPage = 500;

const query = z.object({
  /** A part of the name or code. */
  search: z.string().max(80).optional(),
  /** The thing after which the page begins. */
  after: z.string().max(60).optional(),
  limit: z.coerce.number().int().min(1).max(largestPage).default(200),
});

const list = <N extends string, S extends z.ZodType>(name: N, thing: S) =>
  reading(`/api/${name}`, { summary: `The register of ${name}, by name`, by: members, query, answer: z.array(thing) });
const one = <N extends string, S extends z.ZodType>(name: N, thing: S) =>
  reading(`/api/${name}/:id`, { summary: `One of the ${name} as registered now`, by: members, answer: thing });

/** A page of each register. */
export const registerLists = {
  points: list('points', Point),
  labs: list('labs', Lab),
  instruments: list('instruments', Instrument),
  lots: list('lots', Lot),
  boxes: list('boxes', Box),
  programmes: list('programmes', Programme),
  criteria: list('criteria', OwnCriterion),
  limits: list('limits', OwnLimitSet),
  loggers: list('loggers', LoggerRecord),
  reports: list('reports', BroughtReport),
  people: list('people', Person),
  devices: list('devices', Device),
} as const;
/** One thing of each register. */
export const registered = {
  points: one('points', Point),
  labs: one('labs', Lab),
  instruments: one('instruments', Instrument),
  lots: one('lots', Lot),
  boxes: one('boxes', Box),
  programmes: one('programmes', Programme),
  criteria: one('criteria', OwnCriterion),
  limits: one('limits', OwnLimitSet),
  loggers: one('loggers', LoggerRecord),
  reports: one('reports', BroughtReport),
  people: one('people', Person),
  devices: one('devices', Device),
} as const;
