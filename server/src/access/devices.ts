import { proofText } from '@fonte/core/access';
import { writeEntry } from '@fonte/core/book';
import { deviceRegistered, type Device, type Person } from '@fonte/core/registers';
import type { Clock } from '@fonte/core/time';
import { serverPen, type Books } from '../book/books.ts';
import { thing } from '../book/registry.ts';
import { Challenges } from './challenges.ts';
import { isSignedBy } from '../book/signature.ts';
import { Problem } from '../http/index.ts';
import type { Store } from '../store/index.ts';

interface Shown {
  id: string;
  name: string;
  key: string;
  challenge: string;
  proof: string;
}

/** So many devices of a person are not reported lost at the most: who asks for more has a reason to look at them first. */
const mostDevices = { householder: 6, others: 30 } as const;

/** The devices that entries are written on, each with a key of its own. */
export class Devices {
  readonly challenges = new Challenges();

  constructor(private readonly at: { store: Store; books: Books; clock: Clock }) {}

  /**
   * A person writes on a device from now on: it is registered where it was not, and says so where the person is new on it.
   * @throws Problem 403 where it does not hold its key now, 409 where another key is known of it, it was reported lost, or the person has
   * too many
   */
  async show(
    { id, name, key, challenge, proof }: Shown,
    { id: person, role }: Pick<Person, 'id' | 'role'>,
  ): Promise<{ device: Device; isNew: boolean }> {
    this.challenges.take(challenge);
    if (!isSignedBy(proofText('device', id, person, challenge), proof, key))
      throw new Problem(403, 'no-proof', 'This device could not show that it holds its key.');
    const known = await thing(this.at.store, 'devices', id);
    if (known && known.key !== key) throw new Problem(409, 'other-key', 'Another key is known of this device.');
    if (known?.revoked) throw new Problem(409, 'device-revoked', 'This device was reported lost.');
    if (known?.people.some((one) => one.person === person)) return { device: known, isNew: false };
    await this.checkCount(person, role);
    const since = new Date(this.at.clock()).toISOString();
    const device: Device = { id, name: known?.name ?? name, key, people: [...(known?.people ?? []), { person, since }], revoked: null };
    await this.write(device);
    return { device, isNew: true };
  }

  /** Whether a device itself says that another of its people goes on. @throws Problem 403 */
  checkChange(device: Device, person: string, challenge: string, proof: string): void {
    this.challenges.take(challenge);
    const isOurs = device.people.some((one) => one.person === person);
    if (!isOurs || !isSignedBy(proofText('person', device.id, person, challenge), proof, device.key))
      throw new Problem(403, 'no-proof', 'On this device that person has to sign in with the passphrase.');
  }

  /** Whether a device that a person has written on shows that it is it. What it shows is no reason to refuse anybody. */
  async isKnown(person: string, { device, challenge, proof }: { device: string; challenge: string; proof: string }): Promise<boolean> {
    try {
      this.challenges.take(challenge);
    } catch {
      return false;
    }
    const known = await thing(this.at.store, 'devices', device);
    const isOurs = known !== null && !known.revoked && known.people.some((one) => one.person === person);
    return isOurs && isSignedBy(proofText('sign-in', device, 'sign-in', challenge), proof, known.key);
  }

  /** @throws Problem 409 */
  private async checkCount(person: string, role: Person['role']): Promise<void> {
    const rows = await this.at.store.read<{ data: string }[]>("SELECT data FROM things WHERE register = 'devices'");
    const own = rows
      .map(({ data }) => JSON.parse(data) as Device)
      .filter(({ revoked, people }) => !revoked && people.some((one) => one.person === person));
    if (own.length < (role === 'householder' ? mostDevices.householder : mostDevices.others)) return;
    throw new Problem(409, 'too-many-devices', 'This person has too many devices. Report those that are no longer used as lost first.');
  }

  /** Reports a device lost. @throws Problem 404, 409 where it was before */
  async revoke(id: string, at: string, reason: string): Promise<Device> {
    const known = await this.known(id);
    if (known.revoked) throw new Problem(409, 'device-revoked', 'This device was reported lost before.');
    const device = { ...known, revoked: { at, reason } };
    await this.write(device);
    return device;
  }

  /** Calls a device otherwise; the same name again is written once. @throws Problem 404 */
  async rename(id: string, name: string): Promise<Device> {
    const known = await this.known(id);
    if (known.name === name) return known;
    const device = { ...known, name };
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
