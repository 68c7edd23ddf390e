/** The input is not what the command takes: exit 2, nothing on standard output. */
export class BadInput extends Error {}
