import { BlockList, isIP, isIPv6 } from 'node:net';

/** Hosts of private networks that the owner lets the server ask: names, or names with a port. */
export type Reach = readonly string[];

/** Reads `IVY_REACH`: hosts with commas between them. */
export function readReach(env: Readonly<Record<string, string | undefined>>): Reach {
  // the demo's site and press are the owner's own, and started with the server
  const demo = [env.IVY_DEMO_SITE, env.IVY_DEMO_PRESS].map((one) =>
    one && URL.canParse(one) ? new URL(one).host : '',
  );
  return [env.IVY_REACH ?? '', ...demo]
    .join(',')
    .split(',')
    .map((host) => host.trim().toLowerCase())
    .filter((host) => host !== '');
}

/** Whether the owner lets the server ask a host, wherever it is. */
export function isAllowed(url: URL, reach: Reach): boolean {
  const port = url.port || (url.protocol === 'https:' ? '443' : '80');
  const name = url.hostname.toLowerCase();
  return reach.some((host) => host === name || host === `${name}:${port}`);
}

/*
 * Ranges that are nobody's on the open net (IANA special-purpose registries), or that stand for addresses of IPv4. Two
 * lists: one alone would take every address of IPv4 for the range of IPv6 that stands for them.
 */
const special4 = new BlockList();
const special6 = new BlockList();
for (const [network, prefix] of [
  ['0.0.0.0', 8],
  ['10.0.0.0', 8],
  ['100.64.0.0', 10],
  ['127.0.0.0', 8],
  ['169.254.0.0', 16],
  ['172.16.0.0', 12],
  ['192.0.0.0', 24],
  ['192.0.2.0', 24],
  ['192.88.99.0', 24],
  ['192.168.0.0', 16],
  ['198.18.0.0', 15],
  ['198.51.100.0', 24],
  ['203.0.113.0', 24],
  ['224.0.0.0', 4],
  ['240.0.0.0', 4],
] as const) {
  special4.addSubnet(network, prefix, 'ipv4');
}
for (const [network, prefix] of [
  ['::', 128],
  ['::1', 128],
  ['::ffff:0:0', 96],
  ['64:ff9b::', 96],
  ['64:ff9b:1::', 48],
  ['100::', 64],
  ['2001::', 23],
  ['2001:db8::', 32],
  ['2002::', 16],
  ['3fff::', 20],
  ['fc00::', 7],
  ['fe80::', 10],
  ['fec0::', 10],
  ['ff00::', 8],
] as const) {
  special6.addSubnet(network, prefix, 'ipv6');
}

/** Whether an IP address is one of the open net. */
export function isPublic(address: string): boolean {
  if (isIP(address) === 0) return false;
  return isIPv6(address) ? !special6.check(address, 'ipv6') : !special4.check(address, 'ipv4');
}

/** The IP address that a URL names itself; null where it names a host. */
export function literalOf({ hostname }: URL): string | null {
  const bare = hostname.replace(/^\[|\]$/g, '');
  return isIP(bare) === 0 ? null : bare;
}
