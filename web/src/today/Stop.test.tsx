import { cleanup, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { describe, expect, it } from 'vitest';
import type { BatchSummary, StopView } from '../api/client';
import { show as showPage } from '../api/faked';
import { ForecastStrip } from './ForecastStrip';
import { SeedToGo } from './SeedToGo';
import { Stop } from './Stop';

const batch: BatchSummary = {
  number: 242,
  variety: 'Thickset',
  crop: 'Spinach',
  stage: 'EMERGING',
  verdict: 'LATE',
  place: 'Warm room',
  trays: [1169, 1170, 1171],
  balance: { sown: 180, waiting: 90, empty: 0, alive: 90, lost: 0, released: 0 },
  dates: { sowDay: '2027-04-06', pottings: [], target: '2027-05-04', overWinter: false },
  chance: 0.4,
  plants: 150,
  shares: { promised: 150, reserved: 0, free: 0, missing: 60 },
  promises: [{ order: 142, line: 1, grower: 'Upper Tarrow Farm', plants: 150, outstanding: 150, target: '2027-05-04', chance: 0.4 }],
  plantsAlive: 90,
  plantsMixed: 0,
  traysToSow: 0,
  boughtIn: false,
};

const stop: StopView = {
  placeId: 2,
  place: 'Warm room',
  slots: 4,
  slotsTaken: 6,
  lastMinimum: 18.94,
  lastMaximum: 21.2,
  setMinimum: 19,
  setMaximum: 21,
  quietBatches: 1,
  light: { light: 12 },
  water: { below: [], above: [], spray: [], look: [], leave: 3, again: [] },
  warnings: [],
  work: [
    {
      batch,
      tasks: [
        { kind: 'COUNT', urgency: 'AT_RISK', why: { kind: 'Late', expected: 120, counted: 90 }, minutes: 3, done: false },
        { kind: 'MOVE_TO_GROW_ON', urgency: 'TODAY', why: { kind: 'IsUp', up: 90, sown: 180 }, minutes: 2, done: false },
        { kind: 'RELEASE', urgency: 'LATE', why: { kind: 'IsWanted', target: '2027-04-14' }, minutes: 4, done: false },
      ],
    },
  ],
};

const show = (shown: StopView) =>
  showPage(
    <ul>
      <Stop stop={shown} today="2027-04-15" hands={[]} />
    </ul>,
  );

describe('a stop on the round', () => {
  it('opens the thing itself for each piece of work', () => {
    show(stop);
    const targets = screen.getAllByRole('link').map((link) => link.getAttribute('href'));
    expect(targets).toEqual(['/trays/1169', '/batches/242', '/orders/142']);
  });

  it('says in words what is late and what is at risk', () => {
    show(stop);
    expect(screen.getByText('at risk')).toBeTruthy();
    expect(screen.getByText('late')).toBeTruthy();
    expect(screen.getByText('Late: about 120 cells should be up, 90 were counted.')).toBeTruthy();
  });

  it('tells temperatures with units, and when there is no room left', () => {
    show(stop);
    expect(screen.getByText(/yesterday 18\.9 to 21\.2 °C, set 19 to 21 °C/)).toBeTruthy();
    expect(screen.getByText(/6 of 4 tray places taken, 2 too many/)).toBeTruthy();
  });

  it('is quiet when there is nothing to do', () => {
    show({ ...stop, work: [], quietBatches: 0, slotsTaken: 0 });
    expect(screen.getByText('Empty.')).toBeTruthy();
    expect(screen.queryByText(/Keep cords/)).toBeNull();
    cleanup();
    show({ ...stop, work: [], quietBatches: 2 });
    expect(screen.getByText('Nothing to do; 2 batches to look over.')).toBeTruthy();
  });
});

describe('the forecast', () => {
  it('names frost in words on the days that have it', () => {
    render(
      <ForecastStrip
        days={[
          { day: '2027-04-15', minimum: -0.5, maximum: 9 },
          { day: '2027-04-16', minimum: 3, maximum: 12 },
        ]}
      />,
    );
    expect(screen.getAllByText('frost')).toHaveLength(1);
    expect(screen.getByText('3 to 12')).toBeTruthy();
  });

  it('leaves no empty frame when there is none', () => {
    const { container } = render(<ForecastStrip days={[]} />);
    expect(container.innerHTML).toBe('');
  });
});

describe('seed that is to go out', () => {
  it('is named with its order, its grower and its days', () => {
    render(
      <MemoryRouter>
        <SeedToGo
          seed={[{ order: 236, variety: 'Curled Ruffle', grower: 'Field one', seeds: 1198, sowFrom: '2027-06-05', sowUntil: '2027-06-23' }]}
        />
      </MemoryRouter>,
    );
    expect(screen.getByRole('link', { name: '1,198 seeds of Curled Ruffle to Field one' }).getAttribute('href')).toBe('/orders/236');
    expect(screen.getByText('to be sown 5 Jun to Wed 23 Jun')).toBeTruthy();
  });

  it('is not spoken of where there is none', () => {
    render(
      <MemoryRouter>
        <SeedToGo seed={[]} />
      </MemoryRouter>,
    );
    expect(screen.queryByText('Seed to go out')).toBeNull();
  });

  it('says what stretches in the light there and what would help', () => {
    show({ ...stop, light: { light: 5.14, dark: { celsius: 21.3, wanted: 7.6, coolEnough: 15.8, batches: [242] } } });
    expect(screen.getByText(/Stems stretch here: 5.1 mol of light a day at 21 °C, and 7.6 are wanted in that warmth/)).toBeTruthy();
    expect(screen.getByText(/about 16 °C, would do/)).toBeTruthy();
  });
});
