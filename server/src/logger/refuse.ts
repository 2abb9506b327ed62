import { loggerRefusalWords, type LoggerRefusal } from '@fonte/core/logger';
import { Problem } from '../http/index.ts';

export const refuse = (path: string, code: string, message: string): Problem => new Problem(422, code, message, [{ path, message }]);
export const tooMuch = (path: string): Problem =>
  refuse(path, 'logger-too-much', 'Reading it took more time or memory than any record of a logger does.');
export const refused = (path: string, { code, line }: LoggerRefusal): Problem =>
  refuse(path, `logger-${code}`, `${loggerRefusalWords[code]!}${line > 1 ? ` Line ${line}.` : ''}`);
