import type { Scope } from '@fonte/core/access';
import type { Askers } from '@fonte/core/endpoints';
import type { Device, Person } from '@fonte/core/registers';
import type { Request, RequestHandler, Response } from 'express';
import { Problem } from './problem.ts';

/** Who asks: a person who is signed in, on which device, and what of the house is open to them. */
export interface Who {
  /** The session's own name in the store. */
  session: string;
  person: Person;
  device: Device | null;
  /** When this person last proved who they are (ms). */
  provenAt: number;
  /** All that a householder's session opens; null for the people of the house. */
  scope: Scope | null;
}

/** Tells who asks, from what came with the request; null where nobody is signed in. */
export type Doorkeeper = (request: Request) => Promise<Who | null>;

export function whoAsks(response: Response): Who | null {
  return (response.locals as { who?: Who | null }).who ?? null;
}

/** Lets through whom an endpoint names, before anything of the body is read. */
export function admit(by: Askers, doorkeeper: Doorkeeper): RequestHandler {
  return async (request, response, next) => {
    const who = await doorkeeper(request);
    (response.locals as { who?: Who | null }).who = who;
    if (by === 'anybody') return next();
    if (!who) throw new Problem(401, 'not-signed-in', 'Sign in first.');
    if (!by.includes(who.person.role)) throw new Problem(403, 'forbidden', `This is not for the role “${who.person.role}”.`);
    const { book, round } = request.params as { book?: string; round?: string };
    if (who.scope && (book ?? round ?? who.scope.round) !== who.scope.round)
      throw new Problem(403, 'forbidden', 'This link opens one kit and nothing else.');
    next();
  };
}

/** In whose name, and on which device, the server writes down what was asked for. */
export function writerOf({ person, device }: Who): { author: string; device: string } {
  if (!device) throw new Problem(409, 'no-device', 'This device is not registered. Open the page again.');
  return { author: person.id, device: device.id };
}
