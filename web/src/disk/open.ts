import type { Disk } from './disk.ts';

let opening: Promise<Disk> | null = null;

/** What lies on this device. Fetched apart: the first page is drawn without it. @throws where the browser keeps nothing */
export function disk(): Promise<Disk> {
  opening ??= import('./disk.ts').then(async ({ Disk: Kind }) => {
    const opened = new Kind();
    await opened.open();
    return opened;
  });
  // A window that cannot keep anything now may do so the next time it is asked.
  opening.catch(() => {
    opening = null;
  });
  return opening;
}
