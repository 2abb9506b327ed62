import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Arrows on pictures, and what a sample was asked for. The rows are derived from the books anew at the start. */
export class Links1796800000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE pictures ADD COLUMN arrow TEXT');
    await runner.query('ALTER TABLE samples ADD COLUMN because TEXT');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE pictures DROP COLUMN arrow');
    await runner.query('ALTER TABLE samples DROP COLUMN because');
  }
}
