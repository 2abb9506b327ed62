import { pipes, type PipeRow } from './tables/pipes.ts';

export type PipeId = keyof typeof pipes;
export const pipeIds = Object.keys(pipes) as PipeId[];

export function pipe(id: PipeId): PipeRow {
  return pipes[id];
}

/** True inside diameter of a table pipe in m: outside diameter less two walls. */
export function insideDiameter(id: PipeId): number {
  const { outside, wall } = pipes[id];
  return (outside - 2 * wall) / 1000;
}
