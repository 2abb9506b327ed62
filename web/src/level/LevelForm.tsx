import {
  atRest,
  besideLevels,
  lastLevel,
  levelRead,
  levelRecord,
  proposedHold,
  questionFirst,
  questionLevel,
  questionTool,
  questionWater,
  toleranceFor,
  toolNames,
  waterNames,
  waterStates,
  type LevelState,
  type LevelTool,
} from '@fonte/core/level';
import { pumpNow } from '@fonte/core/purge';
import type { WellPoint } from '@fonte/core/registers';
import type { VisitState } from '@fonte/core/round';
import { base, fromBase, show, showTyped, type UnitId } from '@fonte/core/units';
import { Segmented, Select } from 'antd';
import type { z } from 'zod';
import { useAnswer } from '../api/useAnswer.ts';
import { useRound } from '../book/useRound.ts';
import { Findings } from '../findings/Findings.tsx';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field, NoControl } from '../form/Field.tsx';
import { useEntryForm, type EntryFormState } from '../form/useEntryForm.ts';
import { now } from '../time/clock.ts';
import { showMoment } from '../time/show.ts';
import { useUnitSystem } from '../units/system.ts';
import { depthOf, freshLevel, numbersOf, readLevel, type LevelDraft } from './levelDraft.ts';

/** The reading that is being typed at a well, with what the record says of it. */
export function useLevelForm(visit: VisitState, point: WellPoint, level: LevelState) {
  const { id, round, append } = useRound();
  const {
    units: {
      depth: [unit],
    },
  } = useUnitSystem();
  const { data: known, error: recordError } = useAnswer(levelRecord, { in: { point: point.id } });
  const { data: beside = [] } = useAnswer(besideLevels, { in: { point: point.id } });
  const history = known ?? [];
  const record = atRest(history).filter((row) => row.round !== id);
  const { tolerances } = round.tables;
  // A mark that is gone is measured from no more.
  const there = point.well.measuringPoints.filter(({ until }) => until === undefined || until >= round.plan.date);
  const marks = there.length > 0 ? there : point.well.measuringPoints;
  const markOf = (name: string) => marks.find((candidate) => candidate.name === name) ?? marks[0]!;
  const others = round.visits.flatMap((one) => (one.id === visit.id ? [] : (one.level?.readings ?? []).map(({ typed }) => typed)));
  const questions = (draft: LevelDraft) => {
    const { measuringPoint, water } = draft;
    const ofWater = questionWater(water, { readings: level.readings, pump: pumpNow(visit.purge), at: now(), tolerances });
    const depth = depthOf(draft);
    if (!depth || !tolerances) return ofWater;
    const ofDepth = questionLevel({
      depth: base(depth),
      mark: markOf(measuringPoint),
      well: point.well,
      // Only levels at rest are compared with levels at rest.
      record: water === 'static' || water === '' ? record : [],
      tolerances,
      at: now(),
      beside,
    });
    const isFirst = known !== undefined && history.length === 0;
    const first = isFirst && ofDepth.length === 0 ? questionFirst({ typed: depth, mark: markOf(measuringPoint), beside, others }) : [];
    return [...ofWater, ...ofDepth, ...first];
  };
  const own: UnitId & ('ft' | 'm') = unit === 'ft' ? 'ft' : 'm';
  const asks = (draft: LevelDraft) => questions(draft).some(({ severity }) => severity === 'question');
  const form = useEntryForm<LevelDraft, z.output<typeof levelRead.payload>>({
    keep: `level.${visit.id}`,
    initial: freshLevel(marks[0]!.name, own),
    schema: levelRead.payload,
    read: (draft) => readLevel(draft, asks(draft)),
    ask: ({ by }) => (by ? questionTool(by, level.readings) : []),
    write: (payload, { id: entry, kept }) => append(levelRead, payload, { at: visit.id, id: entry, kept }),
    // The tape, the mark and what was said of the water stay for the next reading.
    next: (draft) => {
      const empty = { text: '', unit: draft.depth.unit };
      const { tool, hold, correction, at } = draft.by;
      return { ...draft, depth: empty, by: { tool, hold, correction, at, cut: empty, rest: empty, head: empty }, kept: '' };
    },
  });
  const mark = markOf(form.values.measuringPoint);
  /** Another tape; a steel tape is held where that is proposed, from what the record says. */
  const take = (tool: LevelTool['tool']) => {
    const { by, depth } = form.values;
    const last = lastLevel(record, mark.name);
    const isHeld = by.hold.text.trim() !== '' || !last || tool !== 'steel';
    const hold = isHeld ? by.hold : { text: String(Math.ceil(fromBase(proposedHold(last.depth), own) - 1e-9)), unit: own };
    form.set({ by: { ...by, tool, hold }, depth: { ...depth, text: '' } });
  };
  return { form, take, marks, mark, last: lastLevel(record, mark.name), findings: questions(form.values), recordError };
}

const tools = Object.keys(toolNames) as LevelTool['tool'][];

/** One reading at a time, each questioned against the well and its record at once. */
export function LevelForm({
  level,
  of: { form, take, marks, mark, last, findings, recordError },
}: {
  level: LevelState;
  of: ReturnType<typeof useLevelForm>;
}) {
  const { round } = useRound();
  const {
    units: {
      depth: [unit, decimals],
    },
  } = useUnitSystem();
  const { tolerances } = round.tables;
  const { agreed } = level;
  const next = level.readings.at(-1);
  const draft = form.values;
  const { tool } = draft.by;
  const label = level.readings.length === 0 ? 'Depth to water' : agreed ? 'Another reading' : 'Depth to water, again';
  const agreement =
    next && !agreed && tolerances
      ? `The last two must agree within ${show(toleranceFor(next.typed, next.typed, tolerances), next.typed.unit === 'ft' ? 'ft' : 'mm', next.typed.unit === 'ft' ? 2 : 0)}; the last was ${showTyped(next.typed)}.`
      : null;
  return (
    <EntryForm of={form} submit="Write it down" tone={agreed ? 'default' : 'primary'} className="stack">
      {last && !agreed && (
        <p className="soft last-level">
          Last time, {showMoment(last.at, round.plan.zone)}: <span className="strong">{show(last.depth, unit, decimals)}</span>
        </p>
      )}
      {tool === 'electric' ? (
        <Field
          name="depth"
          big
          autoFocus={!agreed}
          label={label}
          hint={`From ${mark.name}. ${agreement ?? 'Lower until it sounds, raise until it stops, read at the mark.'}`}
        />
      ) : (
        <ByTape form={form} label={label} hint={agreement ?? hints[tool]} />
      )}
      {recordError !== undefined && (
        <p className="finding note small">The record could not be read: a jump against it is not noticed now.</p>
      )}
      <Findings of={findings} />
      {findings.some(({ severity }) => severity === 'question') && (
        <Field name="kept" placeholder="read twice, well next door is pumping …" />
      )}
      <div className="row">
        <Field name="water">
          <Segmented aria-label="The water is" options={waterStates.map((value) => ({ value, label: waterNames[value] }))} />
        </Field>
        {marks.length > 1 && (
          <Field name="measuringPoint">
            <Select size="large" options={marks.map(({ name }) => ({ value: name, label: name }))} />
          </Field>
        )}
        <Field name={['by', 'tool']}>
          <Select
            size="large"
            aria-label="Read with"
            onChange={take}
            popupMatchSelectWidth={false}
            options={tools.map((value) => ({ value, label: toolNames[value] }))}
          />
        </Field>
      </div>
    </EntryForm>
  );
}

const hints: Record<Exclude<LevelTool['tool'], 'electric'>, string> = {
  steel: 'Chalk the last metres, hold at a whole mark, draw it up, read the cut.',
  coarse: 'The mark of the tape above the water’s place, and the rest with a rule.',
  flowing: 'In a standpipe, or by a gauge: how high the water stands above the mark.',
};

/** The numbers of a tape from which the depth follows, and that depth as it is typed. */
function ByTape({ form, label, hint }: { form: EntryFormState<LevelDraft>; label: string; hint: string }) {
  const { tool } = form.values.by;
  const depth = depthOf(form.values);
  return (
    <div className="stack">
      <div className="form-grid">
        {numbersOf[tool].map((name) => (
          <Field key={name} name={['by', name]} />
        ))}
      </div>
      <div className="figure">
        <span className="soft small">{label}</span>
        <span className="value">{depth ? showTyped(depth) : '–'}</span>
        <span className="soft small">{hint}</span>
      </div>
      <Field name="depth" isBare>
        <NoControl />
      </Field>
    </div>
  );
}
