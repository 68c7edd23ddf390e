import { XMLBuilder } from 'fast-xml-parser';

const builder = new XMLBuilder({
  ignoreAttributes: false,
  attributeNamePrefix: '@',
  format: true,
  suppressEmptyNode: true,
});

/** A document of one element; keys that begin with @ are its attributes. */
export const writeXml = (root: object): string =>
  `<?xml version="1.0" encoding="UTF-8"?>\n${builder.build(root)}`;
