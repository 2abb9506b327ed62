import type { ClosedDay } from '@fonte/core/registers';
import { wallTime } from '@fonte/core/time';
import { Button, Select } from 'antd';
import { useState } from 'react';
import useSWR from 'swr';
import { Said } from '../../feedback/Said.tsx';
import { useAction } from '../../feedback/useAction.ts';
import { now } from '../../time/clock.ts';
import { siteZone } from '../../time/show.ts';
import { countries, publicHolidays, regions } from './holidays.ts';

const find = (search: string, option?: { label?: unknown }) =>
  typeof option?.label === 'string' && option.label.toLowerCase().includes(search.toLowerCase());

/** Puts the public holidays of a country among the closed days, this year's and the next. */
export function Holidays({ add }: { add: (holidays: ClosedDay[]) => void }) {
  const { busy, run, say } = useAction();
  const [country, setCountry] = useState<string | null>(null);
  const [region, setRegion] = useState<string | null>(null);
  const { data: all = [] } = useSWR('calendars', countries);
  const { data: parts = [] } = useSWR(country ? ['calendars', country] : null, () => regions(country!));
  const year = Number(wallTime(now(), siteZone()).date.slice(0, 4));
  return (
    <div className="stack">
      <div className="row">
        <Select
          aria-label="Country of the holidays"
          placeholder="Country"
          size="large"
          className="holidays"
          showSearch={{ filterOption: find }}
          value={country}
          options={all}
          onChange={(chosen: string | null) => {
            setCountry(chosen);
            setRegion(null);
          }}
        />
        {parts.length > 0 && (
          <Select
            aria-label="Region of the holidays"
            placeholder="Whole country"
            size="large"
            className="holidays"
            allowClear
            showSearch={{ filterOption: find }}
            value={region}
            options={parts}
            onChange={(chosen: string | null | undefined) => setRegion(chosen ?? null)}
          />
        )}
        <Button
          size="large"
          disabled={!country}
          loading={busy}
          onClick={() => void run(async () => add(await publicHolidays(country!, region, [year, year + 1])))}
        >
          Add public holidays of {year} and {year + 1}
        </Button>
      </div>
      <Said say={say} />
    </div>
  );
}
