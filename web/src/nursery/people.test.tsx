import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Choices, PersonView } from '../api/client';
import { NewPassword } from '../account/NewPassword';
import { SignedIn } from '../account/SignedIn';
import { fakeServer, show, Status } from '../api/faked';
import { People } from './People';

const people: PersonView[] = [
  { id: 1, name: 'Ada', email: 'ada@n.example', role: 'PROPAGATOR', keptOut: false },
  { id: 2, name: 'Bo', email: 'bo@n.example', role: 'BENCH_HAND', keptOut: false },
  { id: 3, name: 'Cy', email: 'cy@n.example', role: 'BENCH_HAND', keptOut: true },
];
const choices = { growers: [{ id: 7, name: 'Lower field' }] } as Choices;
const session = { signedIn: true, person: 1, name: 'Ada', role: 'PROPAGATOR', today: '2027-04-15' };

describe('people', () => {
  it('are changed where they stand; what is wrong is told at its place and stays typed', async () => {
    let refuse = true;
    const calls = fakeServer({
      'GET /api/session': session,
      'PUT /api/people/2': () => (refuse ? new Status(422, { detail: 'x', errors: [{ field: 'growerId', message: 'Choose the grower.' }] }) : {}),
    });
    show(<People people={people} choices={choices} />);
    fireEvent.click(screen.getByRole('button', { name: 'Change Bo' }));
    fireEvent.change(await screen.findByLabelText('Name'), { target: { value: 'Bo B.' } });
    fireEvent.change(screen.getByLabelText('What they do'), { target: { value: 'GROWER' } });
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText('Choose the grower.')).toBeTruthy();
    expect((screen.getByLabelText('Name') as HTMLInputElement).value).toBe('Bo B.');
    refuse = false;
    fireEvent.change(screen.getByLabelText('Of which grower'), { target: { value: '7' } });
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Save' })).toBeNull());
    expect(calls.filter((call) => call.method === 'PUT').at(-1)?.body).toEqual({ name: 'Bo B.', email: 'bo@n.example', role: 'GROWER', growerId: 7 });
  });

  it('get a code for a new password, are kept out and let in again; nobody keeps themselves out', async () => {
    const calls = fakeServer({
      'GET /api/session': session,
      'POST /api/people/2/resets': { code: 'ABCD-EFGH-JKLM-NPQR', until: '2027-04-17T08:00:00' },
      'DELETE /api/people/2/access': {},
      'POST /api/people/3/access': {},
    });
    show(<People people={people} choices={choices} />);
    fireEvent.click(screen.getByRole('button', { name: 'Change Bo' }));
    fireEvent.click(await screen.findByRole('button', { name: 'Make a code for a new password' }));
    expect(await screen.findByText(/\/new-password\/ABCD-EFGH-JKLM-NPQR$/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Keep them out from now on' }));
    await waitFor(() => expect(calls.some((call) => call.method === 'DELETE')).toBe(true));
    fireEvent.click(screen.getByRole('button', { name: 'Close' }));
    fireEvent.click(await screen.findByRole('button', { name: 'Change Cy' }));
    fireEvent.click(await screen.findByRole('button', { name: 'Let them in again' }));
    await waitFor(() => expect(calls.some((call) => call.path === '/api/people/3/access')).toBe(true));
    fireEvent.click(screen.getByRole('button', { name: 'Close' }));
    fireEvent.click(await screen.findByRole('button', { name: 'Change Ada' }));
    await screen.findByRole('button', { name: 'Make a code for a new password' });
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Keep them out from now on' })).toBeNull());
  });

  it('choose a new password by the code', async () => {
    fakeServer({ 'POST /api/session/reset': new Status(422, { detail: 'x', errors: [{ field: 'code', message: 'This code opens nothing.' }] }) });
    show(<NewPassword code="ABCD-EFGH" />);
    fireEvent.change(screen.getByLabelText('New password'), { target: { value: 'three dry words' } });
    fireEvent.click(screen.getByRole('button', { name: 'Take it and sign in' }));
    expect(await screen.findByText('This code opens nothing.')).toBeTruthy();
    expect((screen.getByLabelText('The code that was given to you') as HTMLInputElement).value).toBe('ABCD-EFGH');
  });

  it('see where they are signed in and end it there', async () => {
    const calls = fakeServer({
      'GET /api/session/open': [
        { mark: 'a1', since: '2027-04-15T07:00:00', lastSeen: '2027-04-15T08:00:00', phone: false, here: true },
        { mark: 'b2', since: '2027-04-14T07:00:00', lastSeen: '2027-04-14T18:30:00', phone: true, here: false },
      ],
      'DELETE /api/session/open/b2': {},
    });
    show(<SignedIn />);
    expect(await screen.findByText('A phone')).toBeTruthy();
    const out = screen.getAllByRole('button', { name: 'Sign out there' });
    expect(out).toHaveLength(1);
    fireEvent.click(out[0]!);
    await waitFor(() => expect(calls.some((call) => call.path === '/api/session/open/b2')).toBe(true));
  });
});
