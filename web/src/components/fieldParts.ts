export interface Labelled {
  readonly label: string;
  readonly error?: string;
  /** What it means, for who does not know the word. */
  readonly help?: string;
  readonly suffix?: string;
  readonly hideLabel?: boolean;
  /** The label stands before the field instead of above it. */
  readonly inline?: boolean;
  readonly className?: string;
}
