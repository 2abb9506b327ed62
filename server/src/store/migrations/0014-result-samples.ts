import type { MigrationInterface, QueryRunner } from 'typeorm';
import { keptByKey } from '../dialect.ts';

/** What the bottle of a result was for compliance. The rows are derived from the books at the start. */
export class ResultSamples1797300000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await this.remake(runner, ', sample TEXT NOT NULL');
  }

  async down(runner: QueryRunner): Promise<void> {
    await this.remake(runner, '');
  }

  private async remake(runner: QueryRunner, sample: string): Promise<void> {
    await runner.query('DROP TABLE results');
    await runner.query(`CREATE TABLE results (book TEXT NOT NULL, id TEXT NOT NULL, point TEXT NOT NULL, bottle TEXT NOT NULL,
      parameter TEXT NOT NULL, form TEXT NOT NULL, value DOUBLE PRECISION, reporting DOUBLE PRECISION, verdict TEXT NOT NULL${sample},
      PRIMARY KEY (book, id))${keptByKey}`);
    await runner.query('CREATE INDEX results_by_point ON results (point, parameter)');
  }
}
