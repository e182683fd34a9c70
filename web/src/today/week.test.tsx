import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { BatchSummary, TaskOfDay } from '../api/client';
import { fakeServer, show } from '../api/faked';
import { minutesWords } from '../words/phrases';
import { type Task, TaskRow } from './TaskRow';
import { waitingWords, WeekPage } from './WeekPage';

const days = [
  { day: '2027-04-15', minutes: 300, hands: 480, tasks: 4 },
  { day: '2027-04-16', minutes: 605, hands: 480, tasks: 9 },
];
const task: TaskOfDay = { kind: 'SOW', batch: 214, variety: 'Grey Anvil', place: 'Heat mat', words: 'Sow Grey Anvil.', minutes: 75 };
const batch = {
  number: 214,
  variety: 'Grey Anvil',
  crop: 'Curly kale',
  stage: 'SOWN',
  trays: [1042],
  promises: [],
  traysToSow: 0,
} as unknown as BatchSummary;
const due: Task = { kind: 'COUNT', urgency: 'TODAY', why: { kind: 'IsUp', up: 1, sown: 2 }, minutes: 3, done: false };

describe('minutes in words', () => {
  it.each([
    [0.2, '1 min'],
    [7.4, '7 min'],
    [22, '20 min'],
    [58, '1 h'],
    [137, '2 h 15 min'],
  ])('%d', (minutes, words) => {
    expect(minutesWords(minutes)).toBe(words);
  });
});

describe('what waiting costs', () => {
  it('is told with the chance before and after', () => {
    expect(waitingWords(task)).toBe('cannot wait');
    expect(waitingWords({ ...task, mayWaitUntil: '2027-04-20' })).toBe('may wait until 20 Apr');
    expect(waitingWords({ ...task, mayWaitUntil: '2027-04-20', chance: 0.9, chanceADayLater: 0.6 })).toBe(
      'may wait until 20 Apr; a day later in time 6 times in 10, now 9 times in 10',
    );
    expect(waitingWords({ ...task, mayWaitUntil: '2027-04-20', chance: 0.9, chanceADayLater: 0.9 })).toContain('no chance worth telling');
  });
});

describe('the week', () => {
  it('says on which days there is more work than hands, and clears a day by one press', async () => {
    const calls = fakeServer({
      'GET /api/week': days,
      'GET /api/week/days/2027-04-16': [{ ...task, mayWaitUntil: '2027-04-20' }],
      'POST /api/week/clearings': { moved: 1, stayed: 0 },
      'PUT /api/week/hands': {},
    });
    show(<WeekPage today="2027-04-15" mayChange />);
    expect(await screen.findByText('More work than hands on Fri')).toBeTruthy();
    expect(screen.getByText('10 h 5 min of 8 h')).toBeTruthy();
    expect(await screen.findByText('may wait until 20 Apr')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Minutes of all hands together'), { target: { value: '120' } });
    fireEvent.click(screen.getByRole('button', { name: 'Every Fri' }));
    await waitFor(() =>
      expect(calls.find((call) => call.path === '/api/week/hands')?.body).toEqual({ day: '2027-04-16', minutes: 120, everyWeek: true }),
    );
    fireEvent.click(screen.getByRole('button', { name: 'No time: move what may wait' }));
    expect(await screen.findByText('1 task moved, 0 stayed.')).toBeTruthy();
  });

  it('offers nothing to be moved where nothing may wait', async () => {
    fakeServer({ 'GET /api/week': days, 'GET /api/week/days/2027-04-16': [task] });
    show(<WeekPage today="2027-04-15" mayChange />);
    expect(await screen.findByText('cannot wait')).toBeTruthy();
    expect((screen.getByRole('button', { name: 'No time: move what may wait' }) as HTMLButtonElement).disabled).toBe(true);
  });
});

describe('a task of the round', () => {
  const hands = [
    { id: 1, name: 'Maro' },
    { id: 2, name: 'Pell' },
  ];
  const row = (shown: Task) =>
    show(
      <ul>
        <TaskRow batch={batch} task={shown} today="2027-04-15" hands={hands} />
      </ul>,
    );

  it('is ticked off by one press and handed to somebody', async () => {
    const calls = fakeServer({ 'POST /api/round/ticks': {}, 'POST /api/round/handings': {} });
    row(due);
    fireEvent.click(screen.getByRole('button', { name: 'Done: Count, Grey Anvil' }));
    await waitFor(() => expect(calls[0]?.body).toEqual({ batch: 214, kind: 'COUNT', done: true }));
    fireEvent.change(screen.getByLabelText('Who does it: Count, Grey Anvil'), { target: { value: '2' } });
    await waitFor(() => expect(calls.at(-1)?.body).toEqual({ batch: 214, kind: 'COUNT', person: 2 }));
  });

  it('says so when it is ticked off or put off, and comes back', async () => {
    const calls = fakeServer({ 'POST /api/round/put-offs': {} });
    row({ ...due, done: true, handedTo: 'Pell' });
    expect(screen.getByRole('button', { name: /Done/ }).getAttribute('aria-pressed')).toBe('true');
    row({ ...due, putOffUntil: '2027-04-17' });
    const put = screen.getByText('put off until 17 Apr').closest('li')!;
    fireEvent.click(within(put).getByRole('button', { name: 'Today after all' }));
    await waitFor(() => expect(calls[0]?.body).toEqual({ batch: 214, kind: 'COUNT' }));
  });
});
