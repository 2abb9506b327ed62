import type { ActAround, FollowUp } from '../act/index.ts';
import { purpose, readOf, rulesFor, type AnalysisId, type BottleTable } from '../bottles/index.ts';
import type { Misfit } from '../book/index.ts';
import type { CultureAround } from '../culture/index.ts';
import type { CustodyAround, Party } from '../custody/index.ts';
import type { FieldTestsAround } from '../fieldtests/index.ts';
import { readCode, type FieldBottle, type FillAround } from '../fill/index.ts';
import { household, type KitAround } from '../kit/index.ts';
import type { AgreedLevel, LevelAround, PumpNow, Tolerances } from '../level/index.ts';
import type { PlanAround, PlannedVisit } from '../plan/index.ts';
import type { PrepareBook } from '../prepare/index.ts';
import { pumpNow, type PurgeAround } from '../purge/index.ts';
import type { ReadAround } from '../read/index.ts';
import type { ParameterId } from '../parameters/index.ts';
import type { Lab, Point } from '../registers/index.ts';
import type { RunAround } from '../tap/index.ts';
import type { BottleState } from './bottle.ts';
import { tablesOf } from './editions.ts';
import { judgedFollowUps } from './results.ts';
import type { RoundBook } from './state.ts';
import { fillGate, visitState, type VisitState } from './visit.ts';

/** What each room of the whole round sees of the others. Nothing is worked out before a room asks for it. */
export class AroundRound implements PlanAround, CustodyAround, KitAround, CultureAround, ReadAround, ActAround {
  constructor(private readonly round: RoundBook) {}

  get table(): BottleTable | null {
    const { editions } = this.round.plan;
    return editions && tablesOf(editions, []).bottles;
  }

  get date(): string {
    return this.round.plan.plan?.date ?? '';
  }

  get zone(): string {
    return this.round.plan.plan?.zone ?? 'UTC';
  }

  get household(): Party | null {
    return household(this.round.kit);
  }

  get visits(): number {
    return this.round.plan.plan?.visits.length ?? 0;
  }

  get isFilled(): boolean {
    return this.find(({ filledAt }) => filledAt !== null) !== undefined;
  }

  labOf(id: string): Lab | null {
    return this.bottle(id)?.lab ?? null;
  }

  usedAt(visit: string): readonly BottleState[] {
    return visitState(this.round, visit)?.bottles.filter((bottle) => bottle.state !== 'empty') ?? [];
  }

  hasBottle(id: string): boolean {
    return this.bottle(id) !== undefined;
  }

  isInCooler(id: string): boolean {
    const bottle = this.bottle(id);
    // What was not found may turn up again.
    return bottle?.stage === 'filled' && (!bottle.lost || bottle.lost.how === 'missing');
  }

  isToGrow(id: string): boolean {
    return this.isInCooler(id) && this.bottle(id)!.card.parameters.includes('coliforms');
  }

  growBy(id: string): number | null {
    return this.bottle(id)?.holding?.deadline ?? null;
  }

  measuredIn(id: string): readonly ParameterId[] | null {
    const card = this.bottle(id)?.card;
    return card ? readOf(card) : null;
  }

  isComparedByHand(set: string): boolean | null {
    const bottle = this.find((one) => one.set === set);
    return bottle ? bottle.card.measures !== undefined : null;
  }

  followUps(): readonly FollowUp[] {
    return judgedFollowUps(this.round);
  }

  private bottle(id: string): BottleState | undefined {
    return this.find((bottle) => bottle.id === id);
  }

  private find(is: (bottle: BottleState) => boolean): BottleState | undefined {
    for (const visit of this.round.plan.plan?.visits ?? []) {
      const found = visitState(this.round, visit.id)!.bottles.find(is);
      if (found) return found;
    }
    return undefined;
  }
}

/** What each room of a visit sees of the others. */
export class AroundVisit implements LevelAround, PurgeAround, RunAround, FieldTestsAround, FillAround {
  constructor(
    private readonly round: RoundBook,
    private readonly planned: PlannedVisit,
  ) {}

  get date(): string {
    return this.round.plan.plan!.date;
  }

  get zone(): string {
    return this.round.plan.plan!.zone;
  }

  get point(): Point {
    return this.planned.point;
  }

  get prepare(): PrepareBook {
    return this.round.prepare;
  }

  get tolerances(): Tolerances | null {
    return tablesOf(this.round.plan.editions!, []).tolerances;
  }

  get level(): AgreedLevel | null {
    return this.visit().level?.agreed ?? null;
  }

  get pump(): PumpNow | null {
    return pumpNow(this.visit().purge);
  }

  get analyses(): readonly AnalysisId[] {
    return this.planned.analyses;
  }

  isToFill(analysis: AnalysisId): boolean {
    return this.hasBottle(analysis, ({ state }) => state === 'empty');
  }

  isFilled(analysis: AnalysisId): boolean {
    return this.hasBottle(analysis, ({ filledAt }) => filledAt !== null);
  }

  testReadAt(test: string): number | null {
    return this.visit().tests.find(({ id }) => id === test)?.readAt ?? null;
  }

  /** Whether a bottle of the point's water for an analysis is of a kind. */
  private hasBottle(analysis: AnalysisId, is: (bottle: BottleState) => boolean): boolean {
    const { table, bottles } = this.visit();
    return (
      table !== null && bottles.some((one) => purpose(one.purpose).isWater && rulesFor(table, [analysis]).includes(one.rule) && is(one))
    );
  }

  bottles(): readonly BottleState[] {
    return this.visit().bottles;
  }

  ofRound(): readonly BottleState[] {
    return (this.round.plan.plan?.visits ?? []).flatMap(({ id }) => visitState(this.round, id)?.bottles ?? []);
  }

  whoElseIs(code: string, bottle: string): string | null {
    const read = readCode(code, { id: bottle }, this.ofRound());
    return read?.is === 'other' ? read.bottle : null;
  }

  gate(bottle: FieldBottle): Misfit | null {
    return fillGate(this.visit(), bottle);
  }

  private visit(): VisitState {
    return visitState(this.round, this.planned.id)!;
  }
}
