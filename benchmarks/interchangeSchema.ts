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

type Json = Record<string, unknown>;

/**
 * Yup's conditions and cross-checks have no like in JSON Schema: what they ask for beyond it, the reader of
 * Urvek checks.
 */
const of = (schema: unknown): Json => convertSchema(schema as Parameters<typeof convertSchema>[0]) as Json;

/** The interchange file as a JSON Schema, from the schemas that read it. */
export function interchangeJsonSchema(): Json {
  const event = of(eventEnvelope) as Json & { properties: Json };
  return {
    $schema: 'http://json-schema.org/draft-07/schema#',
    title: `A comparison of Urvek, version ${INTERCHANGE_VERSION}`,
    type: 'object',
    required: ['format', 'version', 'comparison', 'setup', 'walks'],
    additionalProperties: false,
    properties: {
      format: { const: INTERCHANGE_FORMAT },
      version: { const: INTERCHANGE_VERSION },
      comparison: of(headSchema),
      setup: of(setupSchema),
      walks: {
        type: 'array',
        items: {
          type: 'object',
          required: ['header', 'log'],
          additionalProperties: false,
          properties: {
            header: of(walkHeaderSchema),
            log: {
              type: 'array',
              items: {
                allOf: [
                  { ...event, properties: { ...event.properties, body: {} } },
                  {
                    oneOf: Object.entries(EVENT_BODIES).map(([kind, body]) => ({
                      properties: { kind: { const: kind }, body: of(body) },
                    })),
                  },
                ],
              },
            },
          },
        },
      },
    },
  };
}
