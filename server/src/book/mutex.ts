/** Runs tasks one after the other, in the order in which they were given. A task that fails does not stop the next. */
export class Mutex {
  private last: Promise<unknown> = Promise.resolve();

  run<T>(task: () => Promise<T>): Promise<T> {
    const result = this.last.then(task, task);
    this.last = result.catch(() => undefined);
    return result;
  }
}
