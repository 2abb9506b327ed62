import { isDeepStrictEqual } from 'node:util';
import * as own from '@fonte/core/endpoints';
import type { AnyEndpoint } from '@fonte/core/endpoints';
import express, { type Express } from 'express';
import { z } from 'zod';
import { rooms, type AllServices } from '../src/app/rooms.ts';

const pattern = ({ path }: AnyEndpoint) => new RegExp(`^${path.replace(/:[A-Za-z0-9]+/g, '[^/]+')}$`);

/** An application whose every answer is held against the schema of its endpoint: what is told must be what is promised. */
export function held(app: Express, services: AllServices, broken: string[]): Express {
  const endpoints = [
    own.health,
    own.description,
    ...rooms.flatMap((room) => (room.routes?.(services) ?? []).map((route) => route.endpoint)),
  ];
  const outer = express();
  outer.use((request, response, next) => {
    const send = response.send.bind(response);
    response.send = (body: unknown) => {
      const endpoint = endpoints.find((one) => one.method === request.method && pattern(one).test(request.path));
      if (endpoint && response.statusCode < 300 && endpoint.answer instanceof z.ZodType && typeof body === 'string') {
        const told = JSON.parse(body) as unknown;
        const read = endpoint.answer.safeParse(told);
        if (!read.success) broken.push(`${endpoint.path}: ${read.error.message}`);
        else if (!isDeepStrictEqual(read.data, told)) broken.push(`${endpoint.path}: tells more than it promises`);
      }
      return send(body);
    };
    next();
  });
  outer.use(app);
  return outer;
}
