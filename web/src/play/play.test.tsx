import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { PlayView, SessionView } from '../api/client';
import { fakeServer, show, Status } from '../api/faked';
import { LetDaysPass } from './LetDaysPass';
import { PlayDoor } from './PlayDoor';
import { PlayPage } from './PlayPage';

const session: SessionView = { signedIn: true, needsFirstAccount: false, today: '2027-04-15', demo: false };
const none: PlayView = { on: false, mine: false };
const open: PlayView = { on: true, mine: true, year: 2013, from: '2027-04-15', stage: 'OPEN', port: 8093, word: 'abc' };
const years = {
  estimated: true,
  years: [
    { year: 2019, spring: 8.2, firstFrost: '2027-10-20', earlySummer: 22, rememberedFor: [] },
    { year: 2013, spring: 6.1, firstFrost: '2027-10-12', earlySummer: 21, rememberedFor: ['COLDEST_SPRING' as const] },
  ],
};

afterEach(() => vi.unstubAllGlobals());

describe('playing a season', () => {
  it('begins in the weather of the year that is chosen', async () => {
    const calls = fakeServer({ 'GET /api/play': none, 'GET /api/space/years': years, 'POST /api/play': { ...open, stage: 'COPYING' } });
    show(<PlayPage session={session} />);
    expect(await screen.findByText(/nobody measured them/)).toBeTruthy();
    expect((screen.getByRole('button', { name: 'Choose a year first' }) as HTMLButtonElement).disabled).toBe(true);
    expect(screen.getByRole('option', { name: /^2013: coldest spring/ })).toBeTruthy();
    fireEvent.change(screen.getByRole('combobox', { name: 'in the weather of' }), { target: { value: '2013' } });
    fireEvent.click(screen.getByRole('button', { name: 'Play the season in the weather of 2013' }));
    await waitFor(() => expect(calls.find((call) => call.method === 'POST')?.body).toEqual({ year: 2013 }));
  });

  it('says what stands in the way of beginning', async () => {
    fakeServer({
      'GET /api/play': none,
      'GET /api/space/years': years,
      'POST /api/play': new Status(422, { errors: [{ field: 'year', message: 'A season is being played already. End that play first.' }] }),
    });
    show(<PlayPage session={session} />);
    fireEvent.change(await screen.findByRole('combobox', { name: 'in the weather of' }), { target: { value: '2019' } });
    fireEvent.click(screen.getByRole('button', { name: /weather of 2019/ }));
    expect(await screen.findByText(/End that play first/)).toBeTruthy();
  });

  it('shows the door to whoever plays, and ends it', async () => {
    const calls = fakeServer({ 'GET /api/play': open, 'DELETE /api/play': {} });
    show(<PlayPage session={session} />);
    expect((await screen.findByRole('link', { name: 'Open the copy' })).getAttribute('href')).toBe('http://localhost:8093/played#abc');
    fireEvent.click(screen.getByRole('button', { name: 'End the play; keep nothing' }));
    await waitFor(() => expect(calls.some((call) => call.method === 'DELETE')).toBe(true));
  });

  it('shows no door to anybody else, nor a way to begin within a copy', async () => {
    fakeServer({ 'GET /api/play': { ...open, mine: false, port: undefined, word: undefined } });
    show(<PlayPage session={session} />);
    expect(await screen.findByText('Somebody else is playing in a copy that you cannot see.')).toBeTruthy();
    expect(screen.queryByRole('link', { name: 'Open the copy' })).toBeNull();
    show(<PlayPage session={{ ...session, playedYear: 2013 }} />);
    expect(await screen.findByText(/This is such a copy already/)).toBeTruthy();
  });

  it('says that a copy failed, and puts it away', async () => {
    fakeServer({ 'GET /api/play': { ...open, stage: 'FAILED', port: undefined, word: undefined } });
    show(<PlayPage session={session} />);
    expect(await screen.findByText(/Nothing of the nursery was changed/)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Put it away' })).toBeTruthy();
  });

  it('opens the copy with its word, or says why not', async () => {
    window.location.hash = '#wrong';
    const calls = fakeServer({
      'POST /api/play/door': new Status(422, { errors: [{ field: 'word', message: 'This copy is not there any more, or is somebody else’s.' }] }),
    });
    show(<PlayDoor />);
    expect(await screen.findByRole('heading', { name: 'Not to be played' })).toBeTruthy();
    expect(calls[0]?.body).toEqual({ word: 'wrong' });
    window.location.hash = '';
  });

  it('lets weeks pass in the copy', async () => {
    const calls = fakeServer({ 'POST /api/play/days': { today: '2027-05-13' } });
    show(<LetDaysPass playedYear={2013} />);
    fireEvent.click(screen.getByRole('button', { name: 'Let days pass' }));
    expect(await screen.findByText(/the weather that it had in 2013/)).toBeTruthy();
    fireEvent.click(screen.getByRole('radio', { name: '28' }));
    fireEvent.click(screen.getByRole('button', { name: 'Let 28 days pass' }));
    await waitFor(() => expect(calls.find((call) => call.path === '/api/play/days')?.body).toEqual({ days: 28, handsWork: true }));
  });
});
