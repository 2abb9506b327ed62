/** Room for what is kept, in bytes, and whether the browser promises to keep it. */
export interface StorageRoom {
  /** Null where the browser does not say. */
  free: number | null;
  isPersistent: boolean;
}

/** How much room this device has. @param ask asks the browser to keep what is here, even where the device runs full */
export async function storageRoom(ask = false): Promise<StorageRoom> {
  const { storage } = navigator as { storage?: StorageManager };
  if (!storage) return { free: null, isPersistent: false };
  const [isPersistent, estimate] = await Promise.all([
    (ask ? storage.persist() : storage.persisted()).catch(() => false),
    storage.estimate().catch((): StorageEstimate => ({})),
  ]);
  const { quota, usage } = estimate;
  return { free: quota === undefined ? null : Math.max(0, quota - (usage ?? 0)), isPersistent };
}

/** How long, in ms, the application may take to be put on the device while a person waits. */
const patience = 60_000;

/** Whether the whole application lies on this device. @param wait until it does, where it is on its way */
export async function isInstalled(wait = false): Promise<boolean> {
  const { serviceWorker } = navigator as { serviceWorker?: ServiceWorkerContainer };
  if (!serviceWorker) return false;
  if (!wait)
    return (await serviceWorker.getRegistration())?.active !== undefined && (await serviceWorker.getRegistration())?.active !== null;
  const timeout = new Promise<null>((resolve) => {
    setTimeout(() => resolve(null), patience);
  });
  return (await Promise.race([serviceWorker.ready, timeout])) !== null;
}
