import { request as httpRequest } from 'node:http';
import { request as httpsRequest } from 'node:https';
import { isIP } from 'node:net';
import type { IntakeAnswer, IntakeRequest } from '@fonte/core/lab';
import { Problem } from '../http/index.ts';
import { answerOf, consignmentOf, Settlement } from './consignment.ts';
import { isPrivate, publicLookup } from './private.ts';

/** A report file as a lab hands it out. */
export interface LabReport {
  name: string;
  bytes: Uint8Array;
}

/** A lab's intake desk, as Fonte talks to it. A real one needs another implementation of this. */
export interface LabDesk {
  /**
   * Hands the form over, and brings what the lab says of it by now. Asking again with the same hand-over is no second one: it brings
   * what was decided since.
   */
  takeIn(request: IntakeRequest): Promise<IntakeAnswer>;
  /** The report for a reference, or null while there is none. */
  report(reference: string): Promise<LabReport | null>;
}

/** The desks that this server can reach, by lab. */
export type LabDesks = ReadonlyMap<string, LabDesk>;

/** Where a desk is. A private address is only spoken to where the configuration says that it is meant. */
export interface DeskAddress {
  address: string;
  private: boolean;
}

/** How long a desk has for its whole answer, in ms, and how much it may say, in bytes. */
export const deskLimits = { patience: 10_000, answer: 1 << 20, report: 16 << 20 };

interface Answer {
  status: number;
  body: Buffer;
}

const fault = (code: string, message: string) => new Problem(502, code, message);

/**
 * A desk that is reached over HTTP: `PUT /consignments/SUBMISSION` takes the form and tells how it stands, however often it comes;
 * `GET /reports/CONSIGNMENT` hands out the file.
 */
export class HttpLabDesk implements LabDesk {
  constructor(
    private readonly at: DeskAddress,
    private readonly limits = deskLimits,
  ) {}

  async takeIn(request: IntakeRequest): Promise<IntakeAnswer> {
    const form = JSON.stringify(consignmentOf(request));
    const { status, body } = await this.ask(`consignments/${request.handOver}`, this.limits.answer, form);
    // 202: it is there, and not everything was decided yet.
    const answer = status === 200 || status === 202 ? Settlement.safeParse(jsonIn(body)) : null;
    if (!answer?.success) throw fault('lab-answer', 'The lab’s desk gave no answer that can be read. The hand-over is kept: ask again.');
    return answerOf(answer.data);
  }

  async report(reference: string): Promise<LabReport | null> {
    const { status, body } = await this.ask(`reports/${encodeURIComponent(reference)}`, this.limits.report);
    if (status === 404) return null;
    if (status !== 200) throw fault('lab-answer', 'The lab’s desk did not hand the report out. Ask again later.');
    return { name: `${reference}.csv`, bytes: new Uint8Array(body) };
  }

  /** One request and its answer. A redirect is an answer like any other: nobody is followed elsewhere. */
  private ask(path: string, most: number, json?: string): Promise<Answer> {
    const url = new URL(this.at.address);
    url.pathname = `${url.pathname.replace(/\/$/, '')}/${path}`;
    const name = url.hostname.replace(/^\[|\]$/g, '');
    if (!this.at.private && isIP(name) && isPrivate(name))
      throw fault('lab-private', 'The lab’s desk has a private address that is not configured as one.');
    const send = url.protocol === 'https:' ? httpsRequest : httpRequest;
    return new Promise((resolve, reject) => {
      const unreachable = () => reject(fault('lab-unreachable', 'The lab’s desk cannot be reached. Nothing is lost: ask again later.'));
      const request = send(
        url,
        {
          method: json === undefined ? 'GET' : 'PUT',
          headers: json === undefined ? {} : { 'content-type': 'application/json', 'content-length': Buffer.byteLength(json) },
          signal: AbortSignal.timeout(this.limits.patience),
          agent: false,
          ...(this.at.private ? {} : { lookup: publicLookup }),
        },
        (response) => {
          const parts: Buffer[] = [];
          let size = 0;
          response.on('data', (part: Buffer) => {
            size += part.length;
            if (size > most) {
              reject(fault('lab-answer', 'The lab’s desk sent more than an answer can be.'));
              request.destroy();
            } else parts.push(part);
          });
          response.once('end', () => resolve({ status: response.statusCode ?? 0, body: Buffer.concat(parts) }));
          response.once('error', unreachable);
        },
      );
      request.once('error', unreachable);
      request.end(json);
    });
  }
}

function jsonIn(body: Buffer): unknown {
  try {
    return JSON.parse(body.toString('utf8'));
  } catch {
    return null;
  }
}
