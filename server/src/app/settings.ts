import { dirname, join, resolve } from 'node:path';
import { z } from 'zod';
import type { BackupPlan } from '../backup/index.ts';
import type { DeskAddress } from '../lab/index.ts';

const Desk = z.union([
  z.url({ protocol: /^https?$/ }).transform((address): DeskAddress => ({ address, private: false })),
  z.object({ address: z.url({ protocol: /^https?$/ }), private: z.boolean().default(false) }),
]);

/** Names or addresses with commas between them. */
const list = z
  .string()
  .default('')
  .transform((text) =>
    text
      .split(',')
      .map((name) => name.trim())
      .filter((name) => name !== ''),
  );

const Settings = z.object({
  FONTE_DB: z.string().min(1).default('data/fonte.sqlite'),
  FONTE_HOST: z.string().default('127.0.0.1'),
  FONTE_PORT: z.coerce.number().int().min(0).max(65535).default(4180),
  /** Names under which the outside reaches the server, with commas between them. */
  FONTE_NAMES: list,
  /** Addresses of the proxies that are believed, such as `loopback` for one on this machine. */
  FONTE_PROXY: list,
  FONTE_WEB: z.string().default('web/dist'),
  /** The folder of the daily copies; beside the database where nothing is said, and `none` for no copies. */
  FONTE_BACKUPS: z.string().default(''),
  /** When they are made, by the machine's zone. */
  FONTE_BACKUP_AT: z
    .string()
    .regex(/^([01]\d|2[0-3]):[0-5]\d$/, { error: 'FONTE_BACKUP_AT is a time of day such as 02:30.' })
    .default('02:30')
    .transform((text) => Number(text.slice(0, 2)) * 60 + Number(text.slice(3))),
  /** How many stay. */
  FONTE_BACKUP_KEEP: z.coerce.number().int().min(1).max(1000).default(14),
  FONTE_LOG: z.enum(['silent', 'error', 'warn', 'info', 'debug']).default('info'),
  /** JSON: the address of each lab's desk by the lab's id. */
  FONTE_LAB_DESKS: z
    .string()
    .default('{}')
    .transform((text, issues): Record<string, DeskAddress> => {
      try {
        return z.record(z.string(), Desk).parse(JSON.parse(text));
      } catch {
        issues.addIssue({
          code: 'custom',
          message:
            'FONTE_LAB_DESKS must be JSON such as {"LAB-ID": "https://lab.example/desk"} or {"LAB-ID": {"address": "http://10.0.0.5", "private": true}}.',
        });
        return z.NEVER;
      }
    }),
});

export interface ServerSettings {
  database: string;
  host: string;
  port: number;
  names: string[];
  proxies: string[];
  web: string;
  logLevel: string;
  /** Null where no copies are made. */
  backup: BackupPlan | null;
  desks: Record<string, DeskAddress>;
}

/** The server's settings from the environment. @throws an Error that names the setting that is wrong. */
export function readSettings(environment: Record<string, string | undefined>): ServerSettings {
  const parsed = Settings.safeParse(environment);
  if (!parsed.success) throw new Error(`Settings: ${z.prettifyError(parsed.error)}`);
  const { FONTE_DB, FONTE_HOST, FONTE_PORT, FONTE_NAMES, FONTE_PROXY, FONTE_WEB, FONTE_LOG, FONTE_LAB_DESKS } = parsed.data;
  const { FONTE_BACKUPS, FONTE_BACKUP_AT: at, FONTE_BACKUP_KEEP: keep } = parsed.data;
  const folder = resolve(FONTE_BACKUPS || join(dirname(FONTE_DB), 'backups'));
  return {
    database: resolve(FONTE_DB),
    host: FONTE_HOST,
    port: FONTE_PORT,
    names: FONTE_NAMES,
    proxies: FONTE_PROXY,
    web: resolve(FONTE_WEB),
    logLevel: FONTE_LOG,
    backup: FONTE_BACKUPS === 'none' ? null : { folder, at, keep },
    desks: FONTE_LAB_DESKS,
  };
}
