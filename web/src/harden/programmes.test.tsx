import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { ProgrammeView } from '../api/client';
import { fakeServer, show } from '../api/faked';
import { Programmes } from './Programmes';

const day = (hours: number, night: ProgrammeView['days'][number]['night'] = 'IN') => ({ hours, inSun: false, inWind: false, night });

const programmes: ProgrammeView[] = [
  { code: 'NONE', name: '', own: false, days: [] },
  { code: 'DAY_OR_TWO', name: '', own: false, days: [day(6), { ...day(24, 'COVERED'), inSun: true, inWind: true }] },
  { code: 'OWN-1', name: 'Under the pear tree', own: true, days: [day(4)] },
];

describe('programmes of hardening', () => {
  it('are drawn day by day and read aloud', async () => {
    fakeServer({ 'GET /api/hardening/programmes': programmes });
    show(<Programmes mayChange={false} />);
    expect(await screen.findByText('Under the pear tree')).toBeTruthy();
    expect(screen.getByText('6 hours in the shade, in the lee, night in')).toBeTruthy();
    expect(screen.getByText('all day in the sun, in the wind, night out under fleece')).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('are begun from a school, lengthened and kept', async () => {
    const calls = fakeServer({ 'GET /api/hardening/programmes': programmes, 'POST /api/hardening/programmes': programmes[2] });
    show(<Programmes mayChange />);
    fireEvent.click(await screen.findByRole('button', { name: /Begin one of our own/ }));
    const sheet = await screen.findByRole('dialog');
    fireEvent.change(within(sheet).getByLabelText('Name'), { target: { value: 'Slow' } });
    const hours = within(sheet).getByLabelText('Hours');
    fireEvent.change(hours, { target: { value: '2' } });
    fireEvent.click(within(sheet).getByRole('button', { name: 'One more day' }));
    expect(within(sheet).getAllByText(/^Day /)).toHaveLength(3);
    fireEvent.click(within(sheet).getByRole('button', { name: 'Write it down' }));
    await waitFor(() =>
      expect(calls.find((call) => call.method === 'POST')?.body).toMatchObject({
        name: 'Slow',
        days: [{ hours: 2 }, { hours: 24, night: 'COVERED' }, { hours: 24, night: 'COVERED' }],
      }),
    );
  });
});
