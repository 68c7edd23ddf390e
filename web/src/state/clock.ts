/** Minutes after midnight of an instant, on this device's clock. */
export const localMinutes = (ms: number): number => {
  const at = new Date(ms);
  return at.getHours() * 60 + at.getMinutes() + at.getSeconds() / 60;
};
