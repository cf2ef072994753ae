import type { networkInterfaces } from 'node:os';

/** Addresses of this machine by which others on its network reach it, as they stand in an address line. */
export const ownAddresses = (interfaces: ReturnType<typeof networkInterfaces>): string[] =>
  Object.values(interfaces)
    .flatMap((own) => own ?? [])
    // Addresses that are good on one link only need the name of the link.
    .filter(({ internal, address }) => !internal && !address.toLowerCase().startsWith('fe80'))
    .map(({ family, address }) => (family === 'IPv6' ? `[${address}]` : address));
