import { z } from 'zod';
import { createDocument } from 'zod-openapi';
import type { Endpoint } from './endpoint.ts';
import { ENDPOINTS } from './endpoints.ts';
import { Problem } from './problem.ts';

type OpenApiDocument = ReturnType<typeof createDocument>;

const IdempotencyKey = z.object({
  'idempotency-key': z
    .uuid()
    .meta({ description: 'The same key gives the first answer again and writes nothing twice.' }),
});

/** The OpenAPI 3.1 document of every endpoint, built from the same schemas that validate the calls. */
export function openApiDocument(): OpenApiDocument {
  const paths: Record<string, Record<string, unknown>> = {};
  for (const [name, declared] of Object.entries(ENDPOINTS)) {
    const endpoint: Endpoint = declared;
    const path = endpoint.path.replaceAll(/:(\w+)/g, '{$1}');
    const roles = endpoint.roles === 'public' ? 'Open to anyone.' : `Roles: ${endpoint.roles.join(', ')}.`;
    (paths[path] ??= {})[endpoint.method.toLowerCase()] = {
      operationId: name,
      summary: endpoint.summary,
      description: roles,
      ...(endpoint.roles === 'public' ? { security: [] } : {}),
      requestParams: {
        ...(endpoint.params ? { path: endpoint.params } : {}),
        ...(endpoint.query ? { query: endpoint.query } : {}),
        ...(endpoint.idempotent ? { header: IdempotencyKey } : {}),
      },
      ...(endpoint.consumes
        ? {
            requestBody: { content: { 'application/octet-stream': { schema: z.string().meta({ format: 'binary' }) } } },
          }
        : {}),
      ...(endpoint.body ? { requestBody: { content: { 'application/json': { schema: endpoint.body } } } } : {}),
      responses: {
        [String(endpoint.status ?? 200)]: {
          description: 'Done.',
          content: endpoint.produces
            ? { [endpoint.produces]: {} }
            : { 'application/json': { schema: endpoint.response } },
        },
        default: { description: 'A problem.', content: { 'application/problem+json': { schema: Problem } } },
      },
    };
  }
  return createDocument({
    openapi: '3.1.0',
    info: { title: 'Brackenfell', version: '1' },
    security: [{ session: [] }],
    components: { securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'brackenfell_session' } } },
    paths: paths,
  });
}
