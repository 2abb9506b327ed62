import { Radio } from 'antd';

interface Props {
  id?: string;
  value?: string;
  onChange?: (value: string) => void;
  options: readonly { id: string; label: string; caution?: string }[];
}

/** One of several ways, each with its caution, as a control of a form. */
export function Choices({ id, value = '', onChange = () => undefined, options }: Props) {
  return (
    <Radio.Group
      {...(id ? { id } : {})}
      className="choices"
      aria-label="Options"
      value={value}
      onChange={(event) => onChange(String(event.target.value))}
    >
      {options.map((option) => (
        <Radio key={option.id} value={option.id} className={`choice${value === option.id ? ' chosen' : ''}`}>
          <span className="strong">{option.label}</span>
          {option.caution && (
            <span className="small">
              <br />
              {option.caution}
            </span>
          )}
        </Radio>
      ))}
    </Radio.Group>
  );
}
