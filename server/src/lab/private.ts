import { lookup as resolveName, type LookupAddress } from 'node:dns';
import { BlockList, isIP, type LookupFunction } from 'node:net';

const kept = new BlockList();
for (const [net, bits] of [
  ['0.0.0.0', 8],
  ['10.0.0.0', 8],
  ['100.64.0.0', 10],
  ['127.0.0.0', 8],
  ['169.254.0.0', 16],
  ['172.16.0.0', 12],
  ['192.0.0.0', 24],
  ['192.168.0.0', 16],
  ['198.18.0.0', 15],
  ['224.0.0.0', 3],
] as const)
  kept.addSubnet(net, bits, 'ipv4');
for (const [net, bits] of [
  ['::', 128],
  ['::1', 128],
  ['64:ff9b::', 96],
  ['fc00::', 7],
  ['fe80::', 10],
  ['ff00::', 8],
] as const)
  kept.addSubnet(net, bits, 'ipv6');

/** Whether an address is of this machine, its own network or none that the outside has (RFC 6890). */
export function isPrivate(address: string): boolean {
  return kept.check(address, isIP(address) === 6 ? 'ipv6' : 'ipv4');
}

/**
 * Resolves a name for a connection and gives no private address out: judged on the very addresses that are connected to, so
 * that a name cannot point elsewhere the second time.
 */
export const publicLookup: LookupFunction = (name, options, done) => {
  resolveName(name, { ...options, all: true }, (error, addresses: LookupAddress[]) => {
    const open = error ? [] : addresses.filter(({ address }) => !isPrivate(address));
    if (error || open.length === 0) return done(error ?? new Error('This name has no address outside.'), '', 4);
    if (options.all) return done(null, open);
    done(null, open[0]!.address, open[0]!.family);
  });
};
