import type { MigrationInterface, QueryRunner } from 'typeorm';
import { keptByKey } from '../dialect.ts';

/** Levels whose mark has no known elevation. The rows are derived from the books anew at the start. */
export class Elevations1796000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await this.makeAnew(runner, 'elevation DOUBLE PRECISION');
  }

  async down(runner: QueryRunner): Promise<void> {
    await this.makeAnew(runner, 'elevation DOUBLE PRECISION NOT NULL');
  }

  private async makeAnew(runner: QueryRunner, elevation: string): Promise<void> {
    await runner.query('DROP TABLE levels');
    await runner.query(`CREATE TABLE levels (book TEXT NOT NULL, id TEXT NOT NULL, point TEXT NOT NULL, mark TEXT NOT NULL,
      at BIGINT NOT NULL, depth DOUBLE PRECISION NOT NULL, ${elevation}, water TEXT NOT NULL, PRIMARY KEY (book, id))${keptByKey}`);
    await runner.query('CREATE INDEX levels_by_point ON levels (point, at)');
  }
}
