import type { Words } from '../findings/index.ts';
import { parameter } from '../parameters/index.ts';
import type { Task } from './follow-up.ts';
import { inBook, type Says } from '../book/index.ts';
import { actionDone } from './entries.ts';

export const actWords: Words = {
  'no-such-action': 'There is no such follow-up.',
  'action-done': 'This follow-up is done.',
};

/** What is to be done, in the imperative, and why. */
export function sayTask(task: Task): { do: string; because: string } {
  if (task.code === 'resample') return { do: `Sample again: the lab refused ${task.bottle}.`, because: task.reason };
  return { do: task.do, because: task.parameters.map((id) => parameter(id).name).join(', ') };
}

export const actSays: readonly Says[] = [inBook(actionDone, ({ note }) => note)];
