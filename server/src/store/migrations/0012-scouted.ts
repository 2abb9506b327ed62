import type { MigrationInterface, QueryRunner } from 'typeorm';
import { keptByKey } from '../dialect.ts';

const pictures = (visit: string) =>
  `CREATE TABLE pictures (book TEXT NOT NULL, id TEXT NOT NULL, visit TEXT${visit}, point TEXT NOT NULL, at BIGINT NOT NULL,
    sha256 TEXT NOT NULL, shows TEXT NOT NULL, arrow TEXT, PRIMARY KEY (book, id))${keptByKey}`;

async function anew(runner: QueryRunner, visit: string): Promise<void> {
  await runner.query('DROP TABLE pictures');
  await runner.query(pictures(visit));
  await runner.query('CREATE INDEX pictures_by_point ON pictures (point, at)');
}

/** What is seen at a point without a round, and pictures that no visit names. The rows are derived from the books at the start. */
export class Scouted1797100000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE TABLE scouted (book TEXT NOT NULL, id TEXT NOT NULL, at BIGINT NOT NULL, data TEXT NOT NULL, PRIMARY KEY (book, id))${keptByKey}`,
    );
    await anew(runner, '');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE scouted');
    await anew(runner, ' NOT NULL');
  }
}
