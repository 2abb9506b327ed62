import { Input } from 'antd';
import { useId } from 'react';

export function Choices({
  options,
  chosen,
  onChoose,
}: {
  options: readonly { id: string; label: string; caution?: string }[];
  chosen: string;
  onChoose: (id: string) => void;
}) {
  return (
    <div className="choices" role="radiogroup" aria-label="Options">
      {options.map((option) => (
        <label key={option.id} className={`choice${chosen === option.id ? ' chosen' : ''}`}>
          <input type="radio" name="option" checked={chosen === option.id} onChange={() => onChoose(option.id)} />
          <span>
            <span className="strong">{option.label}</span>
            {option.caution && (
              <span className="small">
                <br />
                {option.caution}
              </span>
            )}
          </span>
        </label>
      ))}
    </div>
  );
}

export function Reason({
  value,
  onChange,
  about,
  missing,
}: {
  value: string;
  onChange: (value: string) => void;
  about: string;
  missing: boolean;
}) {
  const id = useId();
  return (
    <div className="typed">
      <label htmlFor={id}>{about} Say why</label>
      <Input id={id} size="large" value={value} maxLength={300} onChange={(event) => onChange(event.target.value)} />
      {missing && <p className="field-error">Say why, in a few words.</p>}
    </div>
  );
}
