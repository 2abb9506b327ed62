import { listSystems, resultsOfSystem, type ResultOfSystem } from '@fonte/core/compliance';
import { atWall } from '@fonte/core/time';
import type { ServerRoom } from '../book/room.ts';
import { route, type Route, type Services } from '../http/index.ts';

interface Row {
  round: string;
  point: string;
  pointName: string;
  bottle: string;
  rule: string;
  sample: string;
  parameter: string;
  form: string;
  value: number | null;
  reportingLimit: number | null;
  at: number;
}

const complianceRoutes = ({ store }: Pick<Services, 'store'>): Route[] => [
  route(listSystems, async () => {
    const rows = await store.read<{ system: string }[]>('SELECT DISTINCT system FROM rounds ORDER BY system', []);
    return rows.map(({ system }) => system);
  }),
  route(resultsOfSystem, async ({ query: { system, from } }) => {
    const rows = await store.read<Row[]>(
      `SELECT r.book AS round, r.point, t.name AS "pointName", r.bottle, b.rule, r.sample, r.parameter, r.form, r.value,
          r.reporting AS "reportingLimit", b.filled AS at
        FROM rounds o JOIN results r ON r.book = o.book JOIN bottles b ON b.book = r.book AND b.id = r.bottle
        JOIN things t ON t.book = r.point AND t.register = 'points'
        WHERE o.system = ? AND b.filled >= ? ORDER BY b.filled, r.bottle, r.parameter`,
      [system, atWall(from, '00:00', 'UTC')],
    );
    return rows.map((row) => ({ ...row, at: Number(row.at) }) as ResultOfSystem);
  }),
];

export const complianceRoom: ServerRoom<Services> = { name: 'compliance', derived: [], routes: complianceRoutes };
