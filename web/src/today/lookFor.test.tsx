import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { LooksView } from '../api/client';
import { fakeServer, show } from '../api/faked';
import { outbox } from '../bench/useOutbox';
import { PlaceWarnings } from '../weather/PlaceWarnings';
import { LookFor } from './LookFor';

const looks: LooksView = {
  looks: [
    { placeId: 4, ailment: 'SLUGS', batches: [201, 202] },
    { placeId: 4, ailment: 'APHIDS', batches: [201], seenToday: 0.05 },
    { placeId: 5, ailment: 'MICE', batches: [203] },
  ],
  dampingOff: [{ placeId: 5, place: 'Cool house', seenOn: '2027-04-10', share: 0.2, mixes: [14, 15] }],
};

describe('what is looked for at a stop', () => {
  it('is noted by one tap, with its caution', async () => {
    const calls = fakeServer({ 'POST /api/looks/notes': {} });
    outbox.open(2);
    show(<LookFor placeId={4} looks={looks} />);
    expect(screen.getByText('aphids: a few')).toBeTruthy();
    // Who is signed in is known a moment later.
    await waitFor(() => expect(calls.some((call) => call.path === '/api/session')).toBe(true));
    await new Promise((settled) => setTimeout(settled, 20));
    expect(screen.queryByText('mice')).toBeNull();
    fireEvent.click(screen.getByText('slugs'));
    expect(screen.getByText(/only what is approved locally/)).toBeTruthy();
    fireEvent.click(screen.getByText('a fifth'));
    await waitFor(() =>
      expect(calls.find((call) => call.path === '/api/looks/notes')?.body).toMatchObject({ placeId: 4, ailment: 'SLUGS', share: 0.2 }),
    );
  });

  it('minds damping-off that was seen there, and the mixes it was seen in', () => {
    fakeServer({});
    show(<LookFor placeId={5} looks={looks} />);
    expect(screen.getByText(/Damping-off was seen here on Sat 10 Apr.*mix 14, 15/)).toBeTruthy();
  });
});

describe('what thermometers warn of', () => {
  it('says what to do, for which batches', () => {
    show(
      <PlaceWarnings
        warnings={[
          { kind: 'HEAT_OFF', celsius: 15.9, limit: 23, since: '2027-04-15T04:15:00', batches: [] },
          { kind: 'TOO_COLD', celsius: -1.1, limit: 2, since: '2027-04-14T23:45:00', until: '2027-04-15T23:00:00', batches: [324] },
        ]}
      />,
    );
    expect(screen.getByText(/15.9 °C, and heated to 23.0 °C at least: cold since 15 Apr, 4:15/)).toBeTruthy();
    expect(screen.getByText(/bears 2.0 °C.* below that again from about 15 Apr, 23:00/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'batch 324' }).getAttribute('href')).toBe('/batches/324');
  });
});
