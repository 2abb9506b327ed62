import { proofText } from '@fonte/core/access';
import { writeEntry } from '@fonte/core/book';
import { deviceRegistered, type Device } from '@fonte/core/registers';
import type { Clock } from '@fonte/core/time';
import { serverPen, type Books } from '../book/books.ts';
import { thing } from '../book/registry.ts';
import { isSignedBy } from '../book/signature.ts';
import { Problem } from '../http/index.ts';
import type { Store } from '../store/index.ts';

interface Shown {
  id: string;
  name: string;
  key: string;
  at: string;
  proof: string;
}

/** The devices that entries are written on, each with a key of its own. */
export class Devices {
  constructor(private readonly at: { store: Store; books: Books; clock: Clock }) {}

  /**
   * A person writes on a device from now on: it is registered where it was not, and says so where the person is new on it.
   * @throws Problem 403 where it does not hold its key, 409 where another key is known of it, or it was reported lost
   */
  async show({ id, name, key, at, proof }: Shown, person: string): Promise<{ device: Device; isNew: boolean }> {
    if (!isSignedBy(proofText('device', id, person, at), proof, key))
      throw new Problem(403, 'no-proof', 'This device could not show that it holds its key.');
    const known = await thing(this.at.store, 'devices', id);
    if (known && known.key !== key) throw new Problem(409, 'other-key', 'Another key is known of this device.');
    if (known?.revoked) throw new Problem(409, 'device-revoked', 'This device was reported lost.');
    if (known?.people.some((one) => one.person === person)) return { device: known, isNew: false };
    const since = new Date(this.at.clock()).toISOString();
    const device: Device = { id, name: known?.name ?? name, key, people: [...(known?.people ?? []), { person, since }], revoked: null };
    await this.write(device);
    return { device, isNew: true };
  }

  /** Whether a device itself says that another of its people goes on. @throws Problem 403 */
  checkChange(device: Device, person: string, at: string, proof: string): void {
    const isOurs = device.people.some((one) => one.person === person);
    if (!isOurs || !isSignedBy(proofText('person', device.id, person, at), proof, device.key))
      throw new Problem(403, 'no-proof', 'On this device that person has to sign in with the passphrase.');
  }

  /** Reports a device lost. @throws Problem 404, 409 where it was before */
  async revoke(id: string, at: string, reason: string): Promise<Device> {
    const known = await this.known(id);
    if (known.revoked) throw new Problem(409, 'device-revoked', 'This device was reported lost before.');
    const device = { ...known, revoked: { at, reason } };
    await this.write(device);
    return device;
  }

  async known(id: string): Promise<Device> {
    const known = await thing(this.at.store, 'devices', id);
    if (!known) throw new Problem(404, 'no-thing', 'There is no such device.');
    return known;
  }

  private async write(device: Device): Promise<void> {
    await this.at.books.appendOwn(writeEntry(serverPen(device.id, this.at.clock()), deviceRegistered, device));
  }
}
