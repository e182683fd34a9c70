import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { CropView } from '../api/client';
import { fakeServer, show, Status } from '../api/faked';
import { sampleChoices } from '../board/samples';
import { CropPage } from './CropPage';

const crop = (more: Partial<CropView> = {}): CropView => ({
  code: 'tomato',
  name: 'Tomato',
  hardiness: 'tender',
  caution: 'Leaves are poisonous to eat.',
  placeId: 1,
  sown: '2027-04-15',
  meanTemperature: 21.4,
  emergenceSource: 'fitted to emergence-days.csv',
  growthSource: 'estimate',
  curve: [
    { temperature: 8, days: 60, leavesPerDay: 0 },
    { temperature: 10, days: 43, leavesPerDay: 0.02 },
    { temperature: 20, days: 8, leavesPerDay: 0.23 },
    { temperature: 40, leavesPerDay: 0 },
  ],
  taught: [{ place: 'North house', longer: 1.08, from: 0.97, to: 1.2, batches: 2 }],
  tending: { potDepth: 'DEEP', brushed: false, pinchedFrom: 0, flowersOffFrom: 0 },
  observed: [
    { temperature: 10, days: 43 },
    { temperature: 20, days: 8 },
  ],
  figures: [
    { name: 'Fastest up at, °C', hint: '', value: '27.3' },
    { name: 'Notes', hint: 'for the note', value: '' },
  ],
  stages: [
    { stage: 'Half up', spread: { early: '2027-04-21', middle: '2027-04-22', late: '2027-04-24', certain: false } },
    { stage: '8 true leaves' },
  ],
  ...more,
});

describe('a crop', () => {
  it('shows its curves with what they were fitted to, and every figure with its source', async () => {
    fakeServer({ 'GET /api/crops/tomato': crop(), 'GET /api/choices': sampleChoices });
    show(<CropPage today="2027-04-15" />, '/crops/tomato', '/crops/:code');
    const curve = await screen.findByRole('img', { name: 'Days from sowing until half are up' });
    expect(curve.querySelectorAll('circle')).toHaveLength(2);
    expect(screen.getByText(/2 observed temperatures/).textContent).toContain('fitted to emergence-days.csv');
    expect(screen.getByText('Source: estimate.')).toBeTruthy();
    expect(screen.getByText(/Leaves are poisonous to eat/)).toBeTruthy();
    expect(screen.getByText('North house: a leaf takes 1.08 times as long as the figures say, 0.97 to 1.20; told by 2 batches')).toBeTruthy();
    expect(screen.getByText('27.3')).toBeTruthy();
    expect(screen.getByText('for the note')).toBeTruthy();
  });

  it('is tended as the nursery asks', async () => {
    const session = { signedIn: true, person: 1, name: 'Rill', role: 'PROPAGATOR', nursery: 'N', today: '2027-04-15', demo: true };
    let asked = 0;
    const calls = fakeServer({
      'GET /api/session': session,
      'GET /api/crops/tomato': crop(),
      'GET /api/choices': sampleChoices,
      'PUT /api/crops/tomato/tending': () =>
        asked++ === 0 ? new Status(422, { message: 'x', errors: [{ field: 'pinchedFrom', message: 'Enter 0 to 20 true leaves.' }] }) : {},
    });
    show(<CropPage today="2027-04-15" />, '/crops/tomato', '/crops/:code');
    fireEvent.change(await screen.findByLabelText('Pinched at, true leaves'), { target: { value: 'six' } });
    fireEvent.change(screen.getByLabelText('Tops brushed'), { target: { value: 'yes' } });
    fireEvent.click(await screen.findByText('Tend it like this'));
    expect(await screen.findByText('Enter 0 to 20 true leaves.')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Pinched at, true leaves'), { target: { value: '6' } });
    fireEvent.click(screen.getByText('Tend it like this'));
    expect(await screen.findByText('Kept.')).toBeTruthy();
    const sent = calls.filter((call) => call.method === 'PUT').map((call) => call.body);
    expect(sent).toEqual([
      { potDepth: 'DEEP', brushed: true, pinchedFrom: -1, flowersOffFrom: 0 },
      { potDepth: 'DEEP', brushed: true, pinchedFrom: 6, flowersOffFrom: 0 },
    ]);
  });

  it('shows its stages at the place and on the day that are chosen', async () => {
    const calls = fakeServer({ 'GET /api/crops/tomato': crop(), 'GET /api/choices': sampleChoices });
    show(<CropPage today="2027-04-15" />, '/crops/tomato', '/crops/:code');
    expect(await screen.findByText('21 Apr – 24 Apr, most likely 22 Apr')).toBeTruthy();
    expect(screen.getByText('not this season')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('on'), { target: { value: '2027-05-20' } });
    fireEvent.change(await screen.findByLabelText('in'), { target: { value: '1' } });
    await waitFor(() => expect(calls.some((call) => call.path.includes('sown=2027-05-20') && call.path.includes('place=1'))).toBe(true));
  });

  it('says so when there is nothing to judge its curve by, or no such crop', async () => {
    fakeServer({ 'GET /api/crops/tomato': crop({ observed: [], caution: '' }), 'GET /api/choices': sampleChoices });
    show(<CropPage today="2027-04-15" />, '/crops/tomato', '/crops/:code');
    expect(await screen.findByText(/No observations to judge it by/)).toBeTruthy();
    expect(screen.queryByText(/Mind:/)).toBeNull();
    cleanup();
    fakeServer({
      'GET /api/crops/zorb': new Status(422, { detail: 'The crop "zorb" is not in the library.', errors: [] }),
      'GET /api/choices': sampleChoices,
    });
    show(<CropPage today="2027-04-15" />, '/crops/zorb', '/crops/:code');
    expect(await screen.findByText(/is not in the library/)).toBeTruthy();
  });
});
