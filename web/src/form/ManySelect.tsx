import { Select, type SelectProps } from 'antd';
import { isAdded } from './many.ts';

type Props = Omit<SelectProps<string[] | number[]>, 'mode' | 'showSearch' | 'value' | 'onChange'> & {
  value?: readonly (string | number)[];
  // A list of numbers or of ids, as the field has it.
  onChange?: (value: never) => void;
  /** Fetches more to choose from, where not all of it is there. */
  onSearch?: (text: string) => void;
};

/**
 * A choice of several. While something is typed only what is not chosen yet is offered: Enter adds what was typed and never takes out what
 * stands there already. What is chosen goes by its own cross, or from the open list.
 */
export function ManySelect({ value = [], onChange = () => undefined, onSearch, size = 'large', ...rest }: Props) {
  return (
    <Select
      {...rest}
      size={size}
      mode="multiple"
      value={[...value] as string[]}
      onChange={onChange as (chosen: string[] | number[]) => void}
      showSearch={{
        autoClearSearchValue: true,
        ...(onSearch ? { onSearch } : {}),
        filterOption: (typed, option) => isAdded(typed, option, value),
      }}
    />
  );
}
