import { Entry } from '@fonte/core/book';
import { ProblemDocument, type AnyEndpoint, type Content } from '@fonte/core/endpoints';
import { allKinds } from '@fonte/core/round';
import { z } from 'zod';

const schemaOf = (schema: z.ZodType, io: 'input' | 'output') => {
  const { $schema: _, ...rest } = z.toJSONSchema(schema, { io, unrepresentable: 'any' });
  return rest;
};

const content = (of: Content, io: 'input' | 'output') =>
  of === 'file' ? { 'application/octet-stream': {} } : of && { 'application/json': { schema: schemaOf(of, io) } };

/** What may stand after the `?`, one parameter each. */
function queryOf({ query }: AnyEndpoint): object[] {
  const { properties = {}, required = [] } = schemaOf(query, 'input') as { properties?: Record<string, object>; required?: string[] };
  return Object.entries(properties).map(([name, schema]) => ({ name, in: 'query', required: required.includes(name), schema }));
}

function operation(endpoint: AnyEndpoint): object {
  const names = [...endpoint.path.matchAll(/:([A-Za-z0-9]+)/g)].map(([, name]) => name);
  const body = content(endpoint.body, 'input');
  return {
    summary: endpoint.summary,
    parameters: [...names.map((name) => ({ name, in: 'path', required: true, schema: { type: 'string' } })), ...queryOf(endpoint)],
    ...(body ? { requestBody: { required: true, content: body } } : {}),
    responses: {
      '2XX': { description: 'Done', content: content(endpoint.answer, 'output') ?? {} },
      default: {
        description: 'Refused, with the fields concerned (RFC 9457)',
        content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
      },
    },
  };
}

/** The API as an OpenAPI 3.1 document, made from the same endpoints and kinds that judge every request. */
export function openApiDocument(endpoints: readonly AnyEndpoint[]): { openapi: string } {
  const paths: Record<string, Record<string, object>> = {};
  for (const endpoint of endpoints)
    (paths[endpoint.path.replace(/:([A-Za-z0-9]+)/g, '{$1}')] ??= {})[endpoint.method.toLowerCase()] = operation(endpoint);
  const kinds = allKinds.map((kind) => [
    `payload-${kind.kind}`,
    {
      title: kind.title,
      description: `Version ${kind.version}. Written by: ${kind.by.join(', ')}. A correction may ${{ none: 'not touch it', strike: 'strike it', replace: 'strike or replace it' }[kind.correction]}.`,
      readOnly: kind.madeBy === 'server',
      ...schemaOf(kind.payload, 'input'),
    },
  ]);
  return {
    openapi: '3.1.0',
    info: {
      title: 'Fonte',
      version: '0.1.0',
      description: 'Everything that happens in the field is appended to a book; everything else is read from it.',
    },
    paths,
    components: {
      schemas: { Entry: schemaOf(Entry, 'input'), Problem: schemaOf(ProblemDocument, 'output'), ...Object.fromEntries(kinds) },
    },
  } as { openapi: string };
}
