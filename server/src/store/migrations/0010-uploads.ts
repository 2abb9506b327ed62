import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Files that were sent and that no entry names yet: they are kept for good once one does, and go after a day where none does. */
export class Uploads1796900000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('CREATE TABLE uploads (sha256 TEXT PRIMARY KEY, bytes BLOB NOT NULL, person TEXT NOT NULL, at BIGINT NOT NULL)');
    await runner.query('CREATE INDEX uploads_by_person ON uploads (person, at)');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE uploads');
  }
}
