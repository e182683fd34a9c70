import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { DraftView, Edit } from '../api/client';
import { fakeServer, show, Status } from '../api/faked';
import { DraftBar } from './DraftBar';
import { sampleBatch, sampleChoices, sampleSeason } from './samples';
import { TrialPanel } from './TrialPanel';

const drafts = [{ id: 3, name: 'Draft 3' }];
const compared: DraftView = {
  chanceBefore: 0.81,
  chance: 0.86,
  atRiskBefore: 4,
  atRisk: 2,
  overflowBefore: 31.4,
  overflow: 0,
  lines: [
    {
      batch: 214,
      variety: 'Blue Lantern',
      boughtIn: false,
      target: '2027-06-10',
      sowDayBefore: '2027-05-03',
      sowDay: '2027-05-05',
      placesBefore: 'Heat mat, North house, Frames',
      places: 'Heat mat, Cool house, Frames',
      chanceBefore: 0.9,
      chance: 0.6,
    },
  ],
};

describe('a draft', () => {
  it('is begun with the next free name', async () => {
    const calls = fakeServer({ 'POST /api/drafts': { id: 4 } });
    const chosen: (number | undefined)[] = [];
    show(<DraftBar season={sampleSeason({ drafts })} draft={undefined} setDraft={(id) => chosen.push(id)} />);
    fireEvent.click(screen.getByRole('button', { name: 'Begin a draft' }));
    await waitFor(() => expect(chosen).toEqual([4]));
    expect(calls[0]!.body).toEqual({ name: 'Draft 4' });
  });

  it('is compared with the plan: chance, risk, room and every batch', async () => {
    fakeServer({ 'GET /api/drafts/3': compared });
    show(<DraftBar season={sampleSeason({ drafts })} draft={3} setDraft={() => undefined} />);
    fireEvent.click(screen.getByRole('button', { name: 'Compare with the plan' }));
    expect(await screen.findByRole('row', { name: 'Chance of an order, mean 81 % 86 %' })).toBeTruthy();
    expect(screen.getByRole('row', { name: 'Lack of room, trays × days 31 0' })).toBeTruthy();
    const line = screen.getByText('214 Blue Lantern').parentElement!;
    expect(line.textContent).toContain('sown 5 May instead of 3 May');
    expect(line.textContent).toContain('Heat mat, Cool house, Frames instead of');
    expect(line.textContent).toContain('in time 6 times in 10, was 9 times in 10');
  });

  it('is taken or thrown away, and then the plan itself is shown', async () => {
    const calls = fakeServer({ 'POST /api/drafts/3/taking': {}, 'DELETE /api/drafts/3': {} });
    const chosen: (number | undefined)[] = [];
    show(<DraftBar season={sampleSeason({ drafts })} draft={3} setDraft={(id) => chosen.push(id)} />);
    fireEvent.click(screen.getByRole('button', { name: 'Make it the plan' }));
    await waitFor(() => expect(chosen).toEqual([undefined]));
    fireEvent.click(screen.getByRole('button', { name: 'Throw it away' }));
    await waitFor(() => expect(chosen).toEqual([undefined, undefined]));
    expect(calls.map((call) => call.method)).toEqual(['POST', 'DELETE']);
  });

  it('stays when it cannot be taken, with the reason', async () => {
    fakeServer({ 'POST /api/drafts/3/taking': new Status(422, { detail: 'Batch 214 has been sown since.', errors: [] }) });
    const chosen: (number | undefined)[] = [];
    show(<DraftBar season={sampleSeason({ drafts })} draft={3} setDraft={(id) => chosen.push(id)} />);
    fireEvent.click(screen.getByRole('button', { name: 'Make it the plan' }));
    expect(await screen.findByText('Batch 214 has been sown since.')).toBeTruthy();
    expect(chosen).toEqual([]);
  });
});

describe('the batch in hand', () => {
  const spread = (day: string) => ({ early: day, middle: day, late: day, certain: true });
  const panel = (batch = sampleBatch(), more: Partial<Parameters<typeof TrialPanel>[0]> = {}) => {
    const asked: Edit[] = [];
    show(
      <TrialPanel
        season={sampleSeason()}
        batch={batch}
        trial={undefined}
        containers={sampleChoices.containers}
        mayChange
        problem={undefined}
        saving={false}
        ask={(edit) => asked.push(edit)}
        take={() => undefined}
        forget={() => undefined}
        {...more}
      />,
    );
    return asked;
  };

  it('may be potted as late as its roots allow, where it is potted at all', () => {
    const asked = panel(sampleBatch({ dates: { pottings: [spread('2027-05-20')] } }));
    expect(screen.getByText('Pot on').nextElementSibling!.textContent).toBe('Thu 20 May');
    fireEvent.click(screen.getByRole('button', { name: 'As late as roots allow' }));
    expect(asked).toEqual([{ batch: 214, pottedLate: true }]);
    cleanup();
    panel();
    expect(screen.queryByRole('group', { name: 'Potted on' })).toBeNull();
  });

  it('says what sets its first day', () => {
    for (const [reason, words] of [
      ['LEAVES', 'too many leaves'],
      ['DAYS_IN_CELL', 'its roots would circle'],
      ['LIGHT', 'stretch for want of light'],
    ] as const) {
      panel(sampleBatch({ plan: { window: { ...sampleBatch().plan.window!, earliestBecause: reason } } }));
      expect(screen.getByText(new RegExp(words))).toBeTruthy();
      cleanup();
    }
  });

  it('says when bought-in plants arrive, not when they are sown', () => {
    panel(sampleBatch({ boughtIn: true }));
    expect(screen.getByText('To arrive').nextElementSibling!.textContent).toBe('Mon 3 May');
    expect(screen.queryByText('Sow')).toBeNull();
  });

  it('shows what would change, beside what is, and where room would lack', () => {
    const batch = sampleBatch();
    const view = {
      batch: sampleBatch({
        chance: 0.4,
        dates: { sowDay: '2027-05-08', ready: { early: '2027-06-08', middle: '2027-06-12', late: '2027-06-16', certain: false } },
      }),
      overflows: sampleSeason().overflows,
      neighbours: [216],
    };
    panel(batch, { trial: { edit: { batch: 214, sowDay: '2027-05-08' }, view } as never });
    expect(screen.getByText('Sow').nextElementSibling!.textContent).toBe('Sat 8 May instead of Mon 3 May');
    expect(screen.getByText('In time').nextElementSibling!.textContent).toContain('4 times in 10 instead of 9 times in 10');
    expect(screen.getByText(/Heat mat would lack 3 tray places/)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Change it so' })).toBeTruthy();
  });

  it('offers nothing to those who only look', () => {
    panel(sampleBatch(), { mayChange: false });
    expect(screen.queryByRole('group')).toBeNull();
  });
});
