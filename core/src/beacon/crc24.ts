/** The CRC of 24 bits of OpenPGP (RFC 9580, section 6.1): polynomial 0x864cfb, begun at 0xb704ce. */
export function crc24(bytes: Uint8Array): number {
  let crc = 0xb704ce;
  for (const byte of bytes) {
    crc ^= byte << 16;
    for (let i = 0; i < 8; i++) {
      crc <<= 1;
      if (crc & 0x1000000) crc ^= 0x1864cfb;
    }
  }
  return crc & 0xffffff;
}
