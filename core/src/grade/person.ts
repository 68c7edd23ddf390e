/** Two spellings of a name are one person: without spaces around it, and whatever its case. Undefined: nobody is named. */
export function personKey(name: string | undefined): string | undefined {
  const key = name?.trim().toLowerCase();
  return key === '' ? undefined : key;
}
