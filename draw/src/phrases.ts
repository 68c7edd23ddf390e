/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const begunAndNotFinishedWhatIs = (countOf: string): string =>
  `${countOf} begun and not finished: what is left may be the better ones.`;
export const lineX1Y1X2Y2 = (n: string, n2: string, n3: string, n4: string, role: string): string =>
  `<line x1="${n}" y1="${n2}" x2="${n3}" y2="${n4}" ${role}/>`;
export const lookedAtOnly = (part: string | undefined): string => `Looked at ${part} only.`;
export const noWalkFailedSoWhatIs = (product: string): string =>
  `${product}: no walk failed, so what is known is a bound ("more than"), not a range.`;
export const notEstimable = 'not estimable';
export const ofText = ', of ';
export const oneUnitOfTheResultsSpeak = (part: string, plural: string): string =>
  `One unit of ${part}: the results speak for ${plural}.`;
export const oneWalkDecidesNothingItsInterval = (product: string): string =>
  `${product}: one walk decides nothing; its interval is all there is.`;
export const pathD = (escapeXml: string, role: string): string => `<path d="${escapeXml}" ${role}/>`;
export const patternIdWidthHeightPatternunitsUserspaceonuse = (
  id: string,
  size: number,
  d: string,
  stroke: string,
  width: number,
): string =>
  `<pattern id="${id}" width="${size}" height="${size}" patternUnits="userSpaceOnUse"><path d="${d}` +
  `" stroke="${stroke}" stroke-width="${width}" fill="none"/></pattern>`;
export const rectXYWidthHeight = (n: string, n2: string, n3: string, n4: string, role: string): string =>
  `<rect x="${n}" y="${n2}" width="${n3}" height="${n4}" ${role}/>`;
export const svgXmlnsHttpWwwW3Org = (n: string, n2: string, escapeXml: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${n} ${n2}" role="img"><title>${escapeXml}</title>`;
export const textXYTextAnchorText = (
  n: string,
  n2: string,
  anchor: string,
  role: string,
  escapeXml: string,
): string => `<text x="${n}" y="${n2}" text-anchor="${anchor}" ${role}>${escapeXml}</text>`;
export const thatUnit = 'that unit';
export const thoseUnits = 'those units';
export const transform = (transformOf: string | undefined): string => ` transform="${transformOf}"`;
