import type { ReactNode } from 'react';
import { Link, NavLink } from 'react-router';
import type { RegisterName } from '@fonte/core/registers';
import { useMe } from '../session/session.ts';
import { registers } from '@fonte/core/registers';

const names: Record<RegisterName, { title: string; one: string }> = {
  points: { title: 'Points', one: 'a point' },
  labs: { title: 'Labs', one: 'a lab' },
  instruments: { title: 'Instruments', one: 'an instrument' },
  lots: { title: 'Standards and reagents', one: 'a lot' },
  boxes: { title: 'Boxes', one: 'a box' },
  programmes: { title: 'Programmes', one: 'a programme' },
  criteria: { title: 'Stability criteria', one: 'a criterion' },
  limits: { title: 'Limit sets', one: 'a limit set' },
  loggers: { title: 'Logger records', one: 'a logger record' },
  reports: { title: 'Reports brought', one: 'a report' },
  people: { title: 'People', one: 'a person' },
  devices: { title: 'Devices', one: 'a device' },
};

/** Whether the person here may change a register. */
export function useMayRegister(register: RegisterName): boolean {
  return registers[register].by.includes(useMe().role);
}

/** The head of each register: which one it is, the others, and how to add to it. */
export function RegisterHead({ register, children }: { register: RegisterName; children?: ReactNode }) {
  const may = useMayRegister(register);
  const { title, one } = names[register];
  return (
    <header className="stack">
      <div className="row between">
        <h1>{title}</h1>
        {may ? (
          <Link className="strong" to={`/${register}/new`}>
            Register {one}
          </Link>
        ) : (
          register !== 'devices' && <span className="soft small">A coordinator may change this.</span>
        )}
      </div>
      <nav className="steps-nav" aria-label="Registers">
        {(Object.keys(names) as RegisterName[]).map((name) => (
          <NavLink key={name} to={`/${name}`}>
            {names[name].title}
          </NavLink>
        ))}
      </nav>
      {children}
    </header>
  );
}
