/** The storage failed: whether what was to be written is there is not known, or it is certain that it is not. */
export class StorageFault extends Error {
  constructor(
    readonly code: 'busy' | 'failed' | 'file-gone' | 'log-gone',
    options?: ErrorOptions,
  ) {
    super(`The storage failed: ${code}.`, options);
  }
}

/** A key was taken by somebody else meanwhile: nothing was written, and it can be tried again on what stands now. */
export class Conflict extends Error {}

/** How the storage is. `since` is in ms. */
export type StoreHealth = { ok: true } | { ok: false; code: StorageFault['code']; since: number };
