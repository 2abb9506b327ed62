import type { MigrationInterface, QueryRunner } from 'typeorm';
import { keptByKey } from '../dialect.ts';

/** How the columns of a lab's reports were read. */
export class Columns1795800000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE columns (book TEXT NOT NULL, id TEXT NOT NULL, lab TEXT NOT NULL, at BIGINT NOT NULL,
      header TEXT NOT NULL, mapping TEXT NOT NULL, PRIMARY KEY (book, id))${keptByKey}`);
    await runner.query('CREATE INDEX columns_by_lab ON columns (lab, at)');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE columns');
  }
}
