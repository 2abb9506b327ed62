import { refOf, shownSource } from '@fonte/core/editions';
import { parameter } from '@fonte/core/parameters';
import { apartOf, criteria, probeParameters, refOfOwn, sayAgainst, sayTolerance } from '@fonte/core/purge';
import type { OwnCriterion } from '@fonte/core/registers';
import { Checkbox, Select } from 'antd';
import { Field } from '../../form/Field.tsx';
import { ruleNamed, type SetUpDraft } from './setUpDraft.ts';

/** When readings hold: by which criterion, and what is read. */
export function CriterionFields({ draft, isJudged, own }: { draft: SetUpDraft; isJudged: boolean; own: readonly OwnCriterion[] }) {
  const rule = isJudged ? ruleNamed(draft.criterion, own) : null;
  const judged = rule?.tolerances.map((tolerance) => tolerance.parameter) ?? [];
  const read: readonly string[] = draft.parameters;
  const apart = rule && apartOf(rule);
  return (
    <>
      {isJudged && (
        <Field
          name="criterion"
          hint={
            rule && (
              <>
                {rule.tolerances
                  .filter(({ parameter: id }) => read.includes(id))
                  .map(sayTolerance)
                  .join(', ')}
                , {sayAgainst(rule)}
                {apart ? `, at least ${apart / 60} min apart` : ''}. {shownSource(rule.source)}.
              </>
            )
          }
        >
          <Select
            size="large"
            options={[
              // What the house has written down for itself is what it mostly goes by.
              ...own.map((one) => ({ value: refOfOwn(one), label: `${one.name} (own)` })),
              ...criteria.newest.map((one) => ({ value: refOf(one), label: one.name })),
            ]}
          />
        </Field>
      )}
      <Field name="parameters">
        <Checkbox.Group
          options={probeParameters.map((value) => ({
            value,
            label: `${parameter(value).name}${!isJudged || (judged as string[]).includes(value) ? '' : ' (not judged)'}`,
          }))}
        />
      </Field>
    </>
  );
}
