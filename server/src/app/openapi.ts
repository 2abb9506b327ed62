import { Entry } from '@fonte/core/book';
import { Mapping } from '@fonte/core/read';
import { Lab, Person, Point } from '@fonte/core/registers';
import { allKinds } from '@fonte/core/round';
import { z } from 'zod';

const json = (schema: unknown) => ({ content: { 'application/json': { schema } } });
const ref = (name: string) => ({ $ref: `#/components/schemas/${name}` });
const schemaOf = (schema: z.ZodType) => {
  const { $schema: _, ...rest } = z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' });
  return rest;
};
const path = (name: string) => ({ name, in: 'path', required: true, schema: { type: 'string' } });
const query = (name: string) => ({ name, in: 'query', schema: { type: 'string' } });
const paging = [query('after'), query('limit')];
const problem = {
  description: 'Refused, with the fields concerned (RFC 9457)',
  content: { 'application/problem+json': { schema: ref('Problem') } },
};
const ok = (description: string, schema: unknown = {}) => ({ 200: { description, ...json(schema) }, default: problem });

/** The API as an OpenAPI 3.1 document, made from the same schemas that judge every request. */
export function openApiDocument(): object {
  const kinds = Object.fromEntries(
    allKinds.map((kind) => [
      `payload-${kind.kind}`,
      {
        title: kind.title,
        description: `Version ${kind.version}. Written by: ${kind.by.join(', ')}. A correction may ${{ none: 'not touch it', strike: 'strike it', replace: 'strike or replace it' }[kind.correction]}.`,
        readOnly: kind.madeBy === 'server',
        ...schemaOf(kind.payload),
      },
    ]),
  );
  return {
    openapi: '3.1.0',
    info: {
      title: 'Fonte',
      version: '0.1.0',
      description: 'Everything that happens in the field is appended to a book; everything else is read from it.',
    },
    paths: {
      '/api/health': {
        get: {
          summary: 'Does the server store what it is given?',
          responses: { ...ok('It does'), 503: { description: 'It does not, and why', ...json({ type: 'object' }) } },
        },
      },
      '/api/session': { get: { summary: 'Who writes here, and what time the server has', responses: ok('The session') } },
      '/api/rounds': {
        get: {
          summary: 'Rounds with what is next',
          parameters: [query('state'), ...paging],
          responses: ok('A page of rounds, newest first'),
        },
      },
      '/api/rounds/free-code': {
        get: { summary: 'A code that no other round has', parameters: [query('date')], responses: ok('The code') },
      },
      '/api/today': { get: { summary: 'What is next, runs, waits and is due over all rounds', responses: ok('The first page') } },
      '/api/points': {
        get: {
          summary: 'The register of points',
          parameters: [query('search'), ...paging],
          responses: ok('Points', { type: 'array', items: ref('Point') }),
        },
      },
      '/api/labs': { get: { summary: 'The register of labs', responses: ok('Labs', { type: 'array', items: ref('Lab') }) } },
      '/api/people': { get: { summary: 'The register of people', responses: ok('People', { type: 'array', items: ref('Person') }) } },
      ...Object.fromEntries(
        (
          [
            ['points', 'Point'],
            ['labs', 'Lab'],
            ['people', 'Person'],
          ] as const
        ).map(([name, one]) => [
          `/api/${name}/{id}`,
          { get: { summary: `One ${one.toLowerCase()} as registered now`, parameters: [path('id')], responses: ok(one, ref(one)) } },
        ]),
      ),
      '/api/points/{point}/levels': {
        get: { summary: 'The level record of a well', parameters: [path('point')], responses: ok('Levels, oldest first') },
      },
      '/api/entries': {
        post: {
          summary: 'Append entries of many books in one transaction; each has its own answer',
          requestBody: {
            required: true,
            ...json({
              type: 'object',
              required: ['entries'],
              properties: { sentAt: { type: 'string', format: 'date-time' }, entries: { type: 'array', items: ref('Entry') } },
            }),
          },
          responses: ok('Status, entry and whether it stands aside, one for each'),
        },
      },
      '/api/books/{book}/export': {
        get: { summary: 'A book to hand out and verify alone', parameters: [path('book')], responses: ok('The book with its head') },
      },
      '/api/books/{book}/entries': {
        get: {
          summary: 'The entries of a book',
          parameters: [path('book'), { name: 'after', in: 'query', schema: { type: 'integer' } }],
          responses: ok('Entries in order', { type: 'array', items: ref('Entry') }),
        },
        post: {
          summary: 'Append an entry; sending it again is harmless',
          parameters: [path('book')],
          requestBody: { required: true, ...json(ref('Entry')) },
          responses: {
            200: { description: 'It was there already', ...json(ref('Entry')) },
            201: { description: 'Appended', ...json(ref('Entry')) },
            default: problem,
          },
        },
      },
      '/api/rounds/{round}/hand-overs/{entry}/intake': {
        post: {
          summary: 'Send a hand-over to the lab’s desk',
          parameters: [path('round'), path('entry')],
          responses: ok('The lab answered'),
        },
      },
      '/api/rounds/{round}/reports/fetch': {
        post: { summary: 'Fetch the reports the lab has', parameters: [path('round')], responses: ok('Reports fetched') },
      },
      '/api/rounds/{round}/reports': {
        post: {
          summary: 'Take a report in as a file',
          parameters: [path('round'), query('name'), query('author'), query('device')],
          requestBody: { required: true, content: { 'text/csv': {} } },
          responses: { 201: { description: 'Kept' }, default: problem },
        },
      },
      '/api/rounds/{round}/reports/{sha256}/file': {
        get: {
          summary: 'The kept file as it came',
          parameters: [path('round'), path('sha256')],
          responses: { 200: { description: 'The file', content: { 'application/octet-stream': {} } }, default: problem },
        },
      },
      '/api/rounds/{round}/reports/{sha256}/draft': {
        post: {
          summary: 'Read a report and propose its columns',
          parameters: [path('round'), path('sha256')],
          requestBody: json({ type: 'object', properties: { mapping: ref('Mapping') } }),
          responses: ok('What would be read'),
        },
      },
      '/api/rounds/{round}/reports/{sha256}/read': {
        post: {
          summary: 'Write down what a report says',
          parameters: [path('round'), path('sha256')],
          requestBody: {
            required: true,
            ...json({
              type: 'object',
              required: ['id', 'mapping', 'by'],
              properties: {
                id: { type: 'string', format: 'uuid' },
                mapping: ref('Mapping'),
                by: {
                  type: 'object',
                  required: ['author', 'device'],
                  properties: { author: { type: 'string' }, device: { type: 'string' } },
                },
              },
            }),
          },
          responses: { 201: { description: 'Written', ...json(ref('Entry')) }, default: problem },
        },
      },
    },
    components: {
      schemas: {
        Entry: schemaOf(Entry),
        Point: schemaOf(Point),
        Lab: schemaOf(Lab),
        Person: schemaOf(Person),
        Mapping: schemaOf(Mapping),
        ...kinds,
        Problem: {
          type: 'object',
          required: ['type', 'title', 'status', 'detail', 'errors'],
          properties: {
            type: { type: 'string' },
            title: { type: 'string' },
            status: { type: 'integer' },
            detail: { type: 'string' },
            errors: { type: 'array', items: { type: 'object', properties: { path: { type: 'string' }, message: { type: 'string' } } } },
          },
        },
      },
    },
  };
}
