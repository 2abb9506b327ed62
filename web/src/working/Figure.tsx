import { shownSource } from '@fonte/core/editions';
import { fromBase, showNumber, unitLabel, type UnitId } from '@fonte/core/units';
import type { Computed, Working } from '@fonte/core/working';
import { Popover } from 'antd';
import type { ReactNode } from 'react';

/** Opens the way a number came about beside it. */
export function How({ working, label = 'How' }: { working: Working; label?: string }) {
  return (
    <Popover
      trigger="click"
      placement="bottom"
      content={
        <div className="working">
          <code className="strong">{working.formula}</code>
          <table className="dense">
            <tbody>
              {working.inputs.map((input) => (
                <tr key={input.symbol}>
                  <td>{input.symbol.length <= 2 && <code>{input.symbol}</code>}</td>
                  <td>{input.name}</td>
                  <td className="number">
                    {showNumber(input.value, input.decimals ?? 2)} {unitLabel(input.unit)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {working.steps.map((step) => (
            <code key={step}>{step}</code>
          ))}
          <p className="soft small">Source: {shownSource(working.source)}</p>
        </div>
      }
    >
      <button type="button" className="how">
        {label}
      </button>
    </Popover>
  );
}

interface Props {
  label: string;
  /** In base units. */
  of: Computed | null;
  unit: UnitId;
  decimals: number;
  reading?: boolean;
  children?: ReactNode;
}

/** A computed number with its unit and its working. */
export function Figure({ label, of, unit, decimals, reading, children }: Props) {
  return (
    <div className={`figure${reading ? ' reading' : ''}`}>
      <span className="soft small">{label}</span>
      <span className="value">
        {of ? (
          <>
            {showNumber(fromBase(of.value, unit), decimals)}
            <span className="unit">{unitLabel(unit)}</span>
          </>
        ) : (
          '–'
        )}
      </span>
      {of && <How working={of.working} label="How it came about" />}
      {children}
    </div>
  );
}
