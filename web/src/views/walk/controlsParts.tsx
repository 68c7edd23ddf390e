/** What a press or a key does, given the input's time stamp. */
export type Actions = Readonly<Record<string, (inputMs: number) => void>>;
