import { Lab, Person, Point } from '@fonte/core/registers';
import type { DataSource } from 'typeorm';
import { RegisterTable } from '../store/index.ts';

const schemas = { points: Point, labs: Lab, people: Person };
export type RegisterName = keyof typeof schemas;
interface Registered {
  points: Point;
  labs: Lab;
  people: Person;
}

/** What stands in a register now: the latest version of each row, in the order of first registration. */
export async function register<N extends RegisterName>(store: DataSource, name: N): Promise<Registered[N][]> {
  const rows = await store.getRepository(RegisterTable).find({ where: { register: name }, order: { version: 'ASC' } });
  const latest = new Map(rows.map((row) => [row.ref, row.data]));
  return [...latest.values()].map((data) => schemas[name].parse(JSON.parse(data)) as Registered[N]);
}
