import { expect, it } from 'vitest';
import { Mutex } from './mutex.ts';

const wait = (milliseconds: number) =>
  new Promise<void>((resolve) => {
    setTimeout(resolve, milliseconds);
  });

it('runs one task at a time, in order, also after one that fails', async () => {
  const mutex = new Mutex();
  const log: string[] = [];
  const task = (name: string, lasts: number, fails = false) =>
    mutex.run(async () => {
      log.push(`${name} begins`);
      await wait(lasts);
      log.push(`${name} ends`);
      if (fails) throw new Error(name);
      return name;
    });
  const results = await Promise.allSettled([task('a', 15), task('b', 1, true), task('c', 5)]);
  expect(results.map((result) => result.status)).toEqual(['fulfilled', 'rejected', 'fulfilled']);
  expect(log).toEqual(['a begins', 'a ends', 'b begins', 'b ends', 'c begins', 'c ends']);
});
