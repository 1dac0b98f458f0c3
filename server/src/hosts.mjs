import { networkInterfaces } from 'node:os';

/** Names of this machine for itself; a page at another than the first would have another kitchen. */
const OWN = ['localhost', '127.0.0.1', '[::1]'];

/**
 * The hosts that are answered to, and no others: a site whose name is made to point here must not be taken for Orvin.
 *
 * @param {number} port
 * @param {readonly string[]} others further names and addresses, as other devices in the house use them
 */
export function hostsOf(port, others = []) {
  const at = (/** @type {string} */ name) => [`${name}:${port}`, ...(port === 80 ? [name] : [])];
  const own = OWN.flatMap(at);
  const house = others.flatMap(at);
  const canonical = own[0] ?? '';
  return {
    /** The one host of this machine's own pages. */
    canonical,
    /** Whether a request came by a name of this machine that is not the canonical one. @param {string} host */
    aside: (host) => own.includes(host) && host !== canonical && !(port === 80 && host === OWN[0]),
    /** @param {string} host */
    own: (host) => own.includes(host),
    /** @param {string} host */
    known: (host) => own.includes(host) || house.includes(host),
  };
}

/** Addresses at which other devices in the house find this machine. */
export const houseAddresses = () =>
  Object.values(networkInterfaces()).flatMap((list) =>
    (list ?? []).flatMap((n) => (n.family === 'IPv4' && !n.internal ? [n.address] : [])),
  );
