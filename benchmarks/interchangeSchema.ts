import { convertSchema } from '@sodaru/yup-to-json-schema';
import {
  EVENT_BODIES,
  eventEnvelope,
  headSchema,
  INTERCHANGE_FORMAT,
  INTERCHANGE_VERSION,
  setupSchema,
  walkHeaderSchema,
} from '@urvek/contract';

export type Json = Record<string, unknown>;

/**
 * Yup's conditions and cross-checks have no like in JSON Schema: what they ask for beyond it, the reader of
 * Urvek checks.
 */
export const schemaOf = (schema: unknown): Json =>
  convertSchema(schema as Parameters<typeof convertSchema>[0]) as Json;

/** An event of a log: what all have, and the body of its kind. */
export function eventJsonSchema(): Json {
  const event = schemaOf(eventEnvelope) as Json & { properties: Json };
  return {
    allOf: [
      { ...event, properties: { ...event.properties, body: {} } },
      {
        oneOf: Object.entries(EVENT_BODIES).map(([kind, body]) => ({
          properties: { kind: { const: kind }, body: schemaOf(body) },
        })),
      },
    ],
  };
}

/** The interchange file as a JSON Schema, from the schemas that read it. */
export function interchangeJsonSchema(): Json {
  return {
    $schema: 'http://json-schema.org/draft-07/schema#',
    title: `A comparison of Urvek, version ${INTERCHANGE_VERSION}`,
    type: 'object',
    required: ['format', 'version', 'comparison', 'setup', 'walks'],
    additionalProperties: false,
    properties: {
      format: { const: INTERCHANGE_FORMAT },
      version: { const: INTERCHANGE_VERSION },
      comparison: schemaOf(headSchema),
      setup: schemaOf(setupSchema),
      walks: {
        type: 'array',
        items: {
          type: 'object',
          required: ['header', 'log'],
          additionalProperties: false,
          properties: {
            header: schemaOf(walkHeaderSchema),
            log: {
              type: 'array',
              items: eventJsonSchema(),
            },
          },
        },
      },
    },
  };
}
