import { isIP } from 'node:net';

/** Addresses at which a machine reaches itself alone. */
const isOwn = (host: string): boolean =>
  host === 'localhost' ||
  host.endsWith('.localhost') ||
  host === '[::1]' ||
  (isIP(host) === 4 && host.startsWith('127.'));

/**
 * The address by which other devices reach this shop: what ZANJADOR_ADDRESS says, else the one that was asked.
 *
 * @param asked the origin of the request
 * @returns null where only this machine itself reaches it, or where the setting is no address
 */
export function shopAddress(
  asked: string,
  setting = process.env['ZANJADOR_ADDRESS']
): string | null {
  const address = URL.parse(setting ?? asked);
  if (!address || !/^https?:$/.test(address.protocol) || isOwn(address.hostname)) return null;
  return address.origin;
}

export const ONLY_HERE =
  'this shop is reached at this machine’s own address alone: a code with it opens nothing on a phone. Say in ZANJADOR_ADDRESS by which address others reach it, and start again';
