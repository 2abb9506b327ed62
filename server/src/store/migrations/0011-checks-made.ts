import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Checks with what their entries say, so that another round can take them over. The rows are derived from the books at the start. */
export class ChecksMade1797000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query("ALTER TABLE checks ADD COLUMN payload TEXT NOT NULL DEFAULT '{}'");
    await runner.query('CREATE INDEX checks_by_time ON checks (at)');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP INDEX checks_by_time');
    await runner.query('ALTER TABLE checks DROP COLUMN payload');
  }
}
