import type { MigrationInterface, QueryRunner } from 'typeorm';
import { keptByKey } from '../dialect.ts';

/** Pictures by the point where they were taken. The rows are derived from the books at the start. */
export class Pictures1796700000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE pictures (book TEXT NOT NULL, id TEXT NOT NULL, visit TEXT NOT NULL, point TEXT NOT NULL,
      at BIGINT NOT NULL, sha256 TEXT NOT NULL, shows TEXT NOT NULL, PRIMARY KEY (book, id))${keptByKey}`);
    await runner.query('CREATE INDEX pictures_by_point ON pictures (point, at)');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE pictures');
  }
}
