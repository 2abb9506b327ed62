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
  if (task.code === 'resample')
    return {
      do: task.how === 'refused' ? `Sample again: the lab refused ${task.bottle}.` : `Look for ${task.bottle}; sample again if it is lost.`,
      because: task.reason,
    };
  if (task.code === 'call-lab')
    return {
      do: `Call ${task.lab}, ${task.reference}: will it test what it refused with a note, and what does it want next time?`,
      because: `Refused: ${task.bottles.join(', ')}`,
    };
  const names = task.parameters.map((id) => parameter(id).name).join(', ');
  const { inDoubt = [] } = task;
  return { do: task.do, because: inDoubt.length === 0 ? names : `${names}. In doubt: also found in the blank ${inDoubt.join(', ')}` };
}

export const actSays: readonly Says[] = [inBook(actionDone, ({ note }) => note)];
