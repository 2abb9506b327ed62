import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import express from 'express';
import { onTheWall } from './clock.ts';
import { readConsignment, type Consignment } from './form.ts';
import contract from './openapi.json' with { type: 'json' };
import { reportCsv } from './report.ts';
import { turnsAway } from './rules.ts';

/** How long the simulated lab takes for a report, in ms. */
export const reportAfter = 20 * 3_600_000;

interface Order {
  number: string;
  at: number;
  form: Consignment;
  /** Why each container is sent back, by its label; null where it is kept. */
  decided: Map<string, string | null>;
}

interface Manners {
  /** ms from the form to the decision on kinds that are looked at later. */
  decidesAfter?: number;
}

/** What the lab says about an order by now. */
function settlement({ number, at, form, decided }: Order, now: number, { decidesAfter = 0 }: Manners) {
  const isOpen = now < at + decidesAfter;
  return {
    consignment: number,
    state: isOpen ? ('open' as const) : ('settled' as const),
    containers: form.containers.map(({ label }) => {
      if (isOpen) return { label, decision: 'open' as const };
      const why = decided.get(label) ?? null;
      return why === null ? { label, decision: 'taken' as const } : { label, decision: 'sent-back' as const, remark: why };
    }),
  };
}

export interface RunningLab {
  address: string;
  server: Server;
  /** A container breaks on the bench, after it was taken. */
  breaks: (label: string) => void;
}

/** A made-up lab with an intake desk, as an outside service over HTTP. It shares no code with the product. */
export async function startLab(clock: () => number, port = 0, manners: Manners = {}): Promise<RunningLab> {
  const orders = new Map<string, Order>();
  const app = express();
  app.use(express.json({ limit: '4mb' }));

  app.get('/openapi.json', (_, response) => void response.json(contract));

  app.put('/consignments/:submission', (request, response) => {
    const form = readConsignment(request.body);
    if ('fault' in form) return void response.status(400).json({ error: form.fault });
    if (form.submission !== request.params.submission) return void response.status(400).json({ error: 'Sent to another number.' });
    const now = clock();
    // However often a form comes, it is one; what it said first holds.
    const known = orders.get(form.submission);
    const order: Order = known ?? {
      number: `PN-${onTheWall(now).yearMonth}-${orders.size + 101}`,
      at: now,
      form,
      decided: new Map(form.containers.map((one) => [one.label, turnsAway(one, form, now)])),
    };
    orders.set(form.submission, order);
    const said = settlement(order, now, manners);
    response.status(said.state === 'open' ? 202 : 200).json(said);
  });

  app.get('/reports/:number', (request, response) => {
    const order = [...orders.values()].find(({ number }) => number === request.params.number);
    const kept = order?.form.containers.filter(({ label }) => order.decided.get(label) === null) ?? [];
    if (!order || kept.length === 0 || clock() < order.at + reportAfter) return void response.status(404).json({ error: 'No report yet.' });
    response.type('text/csv; charset=windows-1252').send(reportCsv(order.number, kept));
  });

  const server = createServer(app);
  await new Promise<void>((resolve) => {
    server.listen(port, '127.0.0.1', resolve);
  });
  return {
    address: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    server,
    breaks: (label) => {
      for (const { decided } of orders.values()) if (decided.has(label)) decided.set(label, 'Broken on the bench');
    },
  };
}
