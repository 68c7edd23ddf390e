/** Two spellings of a name are one person, whatever its case and the spaces about it. @returns undefined: nobody */
export function personKey(name: string | undefined): string | undefined {
  const key = name?.trim().toLowerCase();
  return key === '' ? undefined : key;
}
