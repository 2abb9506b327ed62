import { onTheWall } from './clock.ts';
import { findings, ordinary } from './findings.ts';
import type { Container } from './form.ts';

/** What stands in a report of one container. */
export type Reported = Pick<Container, 'label' | 'kind' | 'taken' | 'role'> & { location: Pick<Container['location'], 'code'> };

/** The report in the lab's own form: Windows-1252, semicolons, decimal commas, its own column names and units. */
export function reportCsv(reference: string, kept: readonly Reported[]): Buffer {
  const rows = kept.flatMap((container) => {
    const { day, time } = onTheWall(Date.parse(container.taken));
    const isBlank = /blank$/.test(container.role);
    return (findings[container.location.code]?.[container.kind] ?? ordinary[container.kind] ?? []).map((found) => {
      // Clean water stays clean in this lab.
      const value = isBlank && found.limit ? `<${found.limit}` : found.value;
      return [container.label, `${day} ${time}`, found.test, found.limit, value, found.unit, found.method].join(';');
    });
  });
  const head = [`Boletim de ensaio ${reference}`, '', 'Amostra;Data de colheita;Ensaio;Limite de quantificação;Resultado;Unidade;Método'];
  return Buffer.from(`${[...head, ...rows].join('\r\n')}\r\n`, 'latin1');
}
