/** Letters and figures that are not taken for each other, read aloud or written. */
const ALPHABET = '23456789ABCDEFGHJKMNPQRSTVWXYZ';
const LENGTH = 6;

/**
 * Six signs that name a walk for a second device: from the random bits of its id, so that both ends know it
 * without asking. It is a name and no secret: who may read it is decided by who may reach the base at all.
 */
export function joinCode(walkId: string): string {
  let left = BigInt(`0x${walkId.replaceAll('-', '').slice(0, 12)}`);
  let code = '';
  for (let i = 0; i < LENGTH; i++) {
    code += ALPHABET[Number(left % BigInt(ALPHABET.length))];
    left /= BigInt(ALPHABET.length);
  }
  return code;
}

/** As somebody typed it: small letters, blanks and dashes do not matter. */
export const tidyCode = (typed: string): string => typed.toUpperCase().replace(/[^0-9A-Z]/g, '');
