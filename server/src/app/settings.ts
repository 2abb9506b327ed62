import { resolve } from 'node:path';
import { z } from 'zod';

const Settings = z.object({
  FONTE_DB: z.string().default('data/fonte.sqlite'),
  FONTE_HOST: z.string().default('127.0.0.1'),
  FONTE_PORT: z.coerce.number().int().min(0).max(65535).default(4180),
  FONTE_WEB: z.string().default('web/dist'),
  FONTE_LOG: z.enum(['silent', 'error', 'warn', 'info', 'debug']).default('info'),
  /** Name of the person in whose name entries are made, until there are accounts. */
  FONTE_PERSON: z.string().min(1).max(120).default('Technician'),
  /** JSON: the address of each lab's desk by the lab's id. */
  FONTE_LAB_DESKS: z
    .string()
    .default('{}')
    .transform((text, issues) => {
      try {
        return z.record(z.string(), z.url()).parse(JSON.parse(text));
      } catch {
        issues.addIssue({ code: 'custom', message: 'FONTE_LAB_DESKS must be JSON such as {"lab-id": "http://127.0.0.1:4190"}.' });
        return z.NEVER;
      }
    }),
});

export interface ServerSettings {
  database: string;
  host: string;
  port: number;
  web: string;
  logLevel: string;
  person: string;
  desks: Record<string, string>;
}

/** The server's settings from the environment. @throws an Error that names the setting that is wrong. */
export function readSettings(environment: Record<string, string | undefined>): ServerSettings {
  const parsed = Settings.safeParse(environment);
  if (!parsed.success) throw new Error(`Settings: ${z.prettifyError(parsed.error)}`);
  const { FONTE_DB, FONTE_HOST, FONTE_PORT, FONTE_WEB, FONTE_LOG, FONTE_PERSON, FONTE_LAB_DESKS } = parsed.data;
  return {
    database: FONTE_DB === ':memory:' ? FONTE_DB : resolve(FONTE_DB),
    host: FONTE_HOST,
    port: FONTE_PORT,
    web: resolve(FONTE_WEB),
    logLevel: FONTE_LOG,
    person: FONTE_PERSON,
    desks: FONTE_LAB_DESKS,
  };
}
