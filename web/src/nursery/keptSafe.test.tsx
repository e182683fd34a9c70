import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { fakeServer, show, Status } from '../api/faked';
import { CopyWarning } from '../today/CopyWarning';
import { KeptSafe } from './KeptSafe';

const session = { signedIn: true, person: 1, name: 'Maro', role: 'PROPAGATOR', needsFirstAccount: false, today: '2027-04-15', demo: false };
const well = {
  folder: '/srv/copies',
  copies: [{ name: 'kiver-night-2027-04-15.zip', reason: 'NIGHT', madeAt: '2027-04-15T02:10:00', bytes: 3 * 2 ** 20 }],
  hoursOld: 6,
  old: false,
  freeBytes: 12 * 2 ** 30,
  lowOnDisk: false,
};

describe('the copies', () => {
  it('are said with their age, and one is made at once; what stops it is said', async () => {
    let full = true;
    const calls = fakeServer({
      'GET /api/session': session,
      'GET /api/safekeeping': well,
      'POST /api/safekeeping/copies': () =>
        full ? new Status(422, { detail: 'No copy could be made: the disk is full. Nothing else was changed.', errors: [] }) : well,
    });
    show(<KeptSafe />);
    expect(await screen.findByText(/of 15 Apr 2027, 2:10|of 15 Apr 2027, 02:10/)).toBeTruthy();
    expect(screen.getByText(/12.0 GB are free/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Make a copy now' }));
    expect(await screen.findByText(/the disk is full/)).toBeTruthy();
    full = false;
    fireEvent.click(screen.getByRole('button', { name: 'Make a copy now' }));
    await screen.findByRole('button', { name: 'Make a copy now' });
    expect(calls.filter((call) => call.method === 'POST')).toHaveLength(2);
  });

  it('are not spoken of on the round while all is well', async () => {
    const calls = fakeServer({ 'GET /api/session': session, 'GET /api/safekeeping': well });
    const { container } = show(<CopyWarning />);
    await expect.poll(() => calls.some((call) => call.path === '/api/safekeeping')).toBe(true);
    expect(container.textContent).toBe('');
  });

  it('are asked for on the round when the last is old or the disk is nearly full', async () => {
    fakeServer({ 'GET /api/session': session, 'GET /api/safekeeping': { ...well, old: true, hoursOld: 121, lowOnDisk: true, freeBytes: 2 ** 28 } });
    show(<CopyWarning />);
    expect(await screen.findByText('The last copy of the nursery is 5 days old.')).toBeTruthy();
    expect(screen.getByText(/only 0.3 GB left/)).toBeTruthy();
  });
});
