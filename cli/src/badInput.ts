/** The input is not what the command takes: exit 2, nothing on standard output. */
export class BadInput extends Error {
  override readonly name = 'BadInput';
}

/** By its name: commands are put together each for itself, and each has its own class of it. */
export const isBadInput = (error: unknown): error is BadInput =>
  error instanceof Error && error.name === 'BadInput';
