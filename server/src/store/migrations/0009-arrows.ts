import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Arrows on pictures. The rows are derived from the books anew at the start. */
export class Arrows1796800000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE pictures ADD COLUMN arrow TEXT');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE pictures DROP COLUMN arrow');
  }
}
