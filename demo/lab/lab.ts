import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { IntakeRequest, type IntakeAnswer } from '@fonte/core/lab';
import { hour, wallTime, type Clock } from '@fonte/core/time';
import express from 'express';
import { findings, ordinary } from '../data/lab-findings.ts';
import { isOpen, rulesOf, said, zone } from './rules.ts';

/** How long the simulated lab takes for a report. */
export const reportAfter = 20 * hour;

interface Order {
  reference: string;
  request: IntakeRequest;
  answer: IntakeAnswer;
}

const decimal = (value: number) => String(value).replace('.', ',');

function refusal(request: IntakeRequest, line: IntakeRequest['bottles'][number], now: number): string | null {
  const rules = rulesOf(line.rule);
  if (line.condition !== 'good') return `${said[line.condition]} on arrival`;
  const cooler = request.coolerTemperature;
  if (cooler > rules.warmest || cooler < rules.coldest)
    return `Cooler at ${decimal(cooler)} °C; accepted at ${rules.coldest} to ${rules.warmest} °C`;
  if (rules.hours && now - Date.parse(line.collectedAt) > rules.hours * hour) return `More than ${rules.hours} h since collection`;
  if (line.residual === '') return 'Residual not stated';
  return isOpen(rules, now) ? null : 'Intake closed';
}

/** The report in the lab's own form: Windows-1252, semicolons, decimal commas, its own column names and units. */
export function reportCsv(order: Order): Buffer {
  const accepted = order.request.bottles.filter((line) =>
    order.answer.bottles.some((answer) => answer.bottle === line.bottle && answer.accepted),
  );
  const rows = accepted.flatMap((line) => {
    const { date, time } = wallTime(Date.parse(line.collectedAt), zone);
    const collected = `${date.split('-').reverse().join('/')} ${time}`;
    const isBlank = line.purpose === 'field-blank';
    return (findings[line.point]?.[line.rule] ?? ordinary[line.rule] ?? []).map((found) => {
      // Clean water stays clean in this lab.
      const value = isBlank && found.limit ? `<${found.limit}` : found.value;
      return [line.bottle, collected, found.test, found.limit, value, found.unit, found.method].join(';');
    });
  });
  const head = [
    `Boletim de ensaio ${order.reference}`,
    '',
    'Amostra;Data de colheita;Ensaio;Limite de quantificação;Resultado;Unidade;Método',
  ];
  return Buffer.from(`${[...head, ...rows].join('\r\n')}\r\n`, 'latin1');
}

/** A made-up lab with an intake desk, as an outside service over HTTP. */
export async function startLab(clock: Clock, port = 0): Promise<{ address: string; server: Server }> {
  const orders = new Map<string, Order & { at: number }>();
  const app = express();
  app.use(express.json({ limit: '1mb' }));

  app.post('/intake', (request, response) => {
    const form = IntakeRequest.safeParse(request.body);
    if (!form.success) return void response.status(400).json({ error: 'The form cannot be read.' });
    const known = [...orders.values()].find((order) => order.request.handOver === form.data.handOver);
    if (known) return void response.json(known.answer);
    const at = clock();
    const reference = `PN-${wallTime(at, zone).date.slice(2, 7).replace('-', '')}-${String(orders.size + 101)}`;
    const answer: IntakeAnswer = {
      reference,
      bottles: form.data.bottles.map((line) => {
        const reason = refusal(form.data, line, at);
        return reason === null ? { bottle: line.bottle, accepted: true } : { bottle: line.bottle, accepted: false, reason };
      }),
    };
    orders.set(reference, { reference, request: form.data, answer, at });
    response.json(answer);
  });

  app.get('/reports/:reference', (request, response) => {
    const order = orders.get(request.params.reference);
    const isAccepted = order?.answer.bottles.some((line) => line.accepted);
    if (!order || !isAccepted || clock() < order.at + reportAfter) return void response.status(404).json({ error: 'No report yet.' });
    response.type('text/csv; charset=windows-1252').send(reportCsv(order));
  });

  const server = createServer(app);
  await new Promise<void>((resolve) => {
    server.listen(port, '127.0.0.1', resolve);
  });
  return { address: `http://127.0.0.1:${(server.address() as AddressInfo).port}`, server };
}
