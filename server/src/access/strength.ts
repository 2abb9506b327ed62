import { ZxcvbnFactory } from '@zxcvbn-ts/core';
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common';
import { Problem } from '../http/index.ts';

/** Of 0 to 4: more than ten to the eighth guesses. */
const least = 3;

let measuring: ZxcvbnFactory | null = null;

/**
 * Refuses a passphrase that is quickly guessed: common ones, rows of keys, one thing again and again, the person's own name.
 * @throws Problem 422
 */
export function checkStrength(passphrase: string, name: string): void {
  measuring ??= new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs });
  if (measuring.check(passphrase.slice(0, 100), [name, ...name.split(/\s+/), 'fonte']).score >= least) return;
  const message = 'Too easy to guess. Take a few words in a row that nobody would expect together.';
  throw new Problem(422, 'weak-passphrase', message, [{ path: 'passphrase', message }]);
}
