import { IntakeAnswer, type IntakeRequest } from '@fonte/core/lab';
import { Problem } from '../app/problem.ts';

/** A report file as a lab hands it out. */
export interface LabReport {
  name: string;
  bytes: Uint8Array;
}

/** A lab's intake desk, as Fonte talks to it. A real one needs another implementation of this. */
export interface LabDesk {
  /** Hands the form over; asking twice with one hand-over brings the same answer. */
  takeIn(request: IntakeRequest): Promise<IntakeAnswer>;
  /** The report for a reference, or null while there is none. */
  report(reference: string): Promise<LabReport | null>;
}

/** The desks that this server can reach, by lab. */
export type LabDesks = ReadonlyMap<string, LabDesk>;

const patience = 10_000;

/** A desk that is reached over HTTP: `POST /intake` takes the form, `GET /reports/REFERENCE` hands out the CSV. */
export class HttpLabDesk implements LabDesk {
  constructor(private readonly address: string) {}

  async takeIn(request: IntakeRequest): Promise<IntakeAnswer> {
    const response = await this.ask('/intake', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(request),
    });
    const answer = IntakeAnswer.safeParse(await response.json().catch(() => null));
    if (!response.ok || !answer.success)
      throw new Problem(502, 'lab-answer', 'The lab’s desk gave no answer that can be read. The hand-over is kept: ask again.');
    return answer.data;
  }

  async report(reference: string): Promise<LabReport | null> {
    const response = await this.ask(`/reports/${encodeURIComponent(reference)}`, {});
    if (response.status === 404) return null;
    if (!response.ok) throw new Problem(502, 'lab-answer', 'The lab’s desk did not hand the report out. Ask again later.');
    return { name: `${reference}.csv`, bytes: new Uint8Array(await response.arrayBuffer()) };
  }

  private async ask(path: string, options: RequestInit): Promise<Response> {
    try {
      return await fetch(new URL(path, this.address), { ...options, signal: AbortSignal.timeout(patience) });
    } catch {
      throw new Problem(502, 'lab-unreachable', 'The lab’s desk cannot be reached. Nothing is lost: ask again later.');
    }
  }
}
