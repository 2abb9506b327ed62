import { kindNames, parameter, parameterIds, parameterKinds, type ParameterId } from '@fonte/core/parameters';
import { unitLabel } from '@fonte/core/units';
import { Select, type SelectProps } from 'antd';

interface Option {
  value: ParameterId;
  label: string;
  /** What it is found by: its name, its short name and its registry number. */
  words: string;
}

const optionOf = (id: ParameterId, withUnit: boolean): Option => {
  const { name, symbol = '', cas = '', unit } = parameter(id);
  return { value: id, label: withUnit && unitLabel(unit) ? `${name} (${unitLabel(unit)})` : name, words: `${name} ${symbol} ${cas}` };
};

/** Every parameter under the heading of its kind, in the order of the table. */
const grouped = (withUnit: boolean) =>
  parameterKinds.map((kind) => ({
    label: kindNames[kind],
    options: parameterIds.filter((id) => parameter(id).kind === kind).map((id) => optionOf(id, withUnit)),
  }));

/** One of all parameters, found by typing its name, its short name (`PFOS`) or its registry number. */
export function ParameterSelect({ withUnit = false, ...rest }: { withUnit?: boolean } & SelectProps) {
  return <Select size="large" showSearch={{ optionFilterProp: 'words' }} options={grouped(withUnit)} {...rest} />;
}
