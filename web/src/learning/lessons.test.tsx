import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { LessonsView } from '../api/client';
import { fakeServer, show } from '../api/faked';
import { Exchange } from './Exchange';
import { LessonsPage } from './LessonsPage';
import { lessonWords } from './lessonWords';

const mat: LessonsView['proposals'][number] = {
  matter: 'EMERGENCE',
  crop: 'pepper',
  cropName: 'Pepper',
  beside: 'PLACE',
  number: 4,
  name: 'Heat mat',
  value: 1.2,
  low: 1.1,
  high: 1.31,
  batches: 9,
  inUse: 1,
  atWork: false,
  told: [
    { batch: 201, value: 1.15 },
    { batch: 202, value: 1.3 },
  ],
};
const lives: LessonsView['proposals'][number] = {
  ...mat,
  matter: 'SURVIVAL',
  beside: 'CROP',
  number: 0,
  name: '',
  value: 0.88,
  low: 0.84,
  high: 0.92,
  inUse: 0.95,
  told: [],
};
const decision: LessonsView['decisions'][number] = {
  id: 3,
  matter: 'LEAVES',
  cropName: 'Kale',
  beside: 'CROP',
  name: '',
  taken: false,
  value: 1.1,
  was: 1,
  batches: 4,
  decidedOn: '2027-04-02',
  by: 'Maro',
};

describe('what was learnt', () => {
  it('is said in plain words and taken by a press', async () => {
    const calls = fakeServer({
      'GET /api/lessons': {
        proposals: [mat, lives],
        decisions: [decision],
        work: [{ work: 'SOWING', seen: { seconds: 9, low: 7, high: 12, entries: 14 }, inUse: 6 }],
      },
      'POST /api/lessons/decisions': {},
      'PUT /api/lessons/work/SOWING': {},
    });
    show(<LessonsPage mayDecide />);
    expect(await screen.findByText('Pepper takes 1.20 times as long to come up in Heat mat as the library says.')).toBeTruthy();
    expect(screen.getByText('Pepper: of 100 plants that come up, 88 reach their release.')).toBeTruthy();
    expect(screen.getByRole('img', { name: '2 batches, together 1.10 to 1.31 times, most likely 1.20' })).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Go by 1.20 times' }));
    await waitFor(() =>
      expect(calls.find((call) => call.method === 'POST')?.body).toMatchObject({
        matter: 'EMERGENCE',
        crop: 'pepper',
        beside: 'PLACE',
        number: 4,
        taken: true,
      }),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Reckon with 9 seconds' }));
    await waitFor(() => expect(calls.some((call) => call.path === '/api/lessons/work/SOWING')).toBe(true));
    expect(screen.getByText(/Turned down: A leaf of Kale takes 1.10 times as long as the library says./)).toBeTruthy();
  });

  it('leaves deciding to whoever may', async () => {
    fakeServer({
      'GET /api/lessons': {
        proposals: [{ ...mat, atWork: true }],
        decisions: [decision],
        work: [{ work: 'SOWING', seen: { seconds: 9, low: 7, high: 12, entries: 14 }, inUse: 6 }],
      },
    });
    show(<LessonsPage mayDecide={false} />);
    expect(await screen.findByText('At work already')).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('has words for every level', () => {
    for (const matter of ['EMERGENCE', 'LEAVES'] as const)
      for (const beside of ['CROP', 'PLACE', 'VARIETY', 'LOT'] as const)
        expect(lessonWords({ ...mat, matter, beside, name: 'Named' })).toContain('1.20');
  });

  it('is exchanged with others after a look', async () => {
    const calls = fakeServer({
      'POST /api/data-package/preview': {
        crops: [
          { code: 'kale', name: 'Kale', beside: 'SAME', figures: [], lessons: [] },
          {
            code: 'leek',
            name: 'Leek',
            beside: 'OTHERWISE',
            figures: [{ column: 'Days', ours: '5', theirs: '6' }],
            lessons: [{ stage: 'EMERGENCE', times: 1.2, batches: 9 }],
          },
        ],
      },
      'POST /api/data-package': { crops: 1 },
    });
    show(<Exchange />);
    fireEvent.change(screen.getByLabelText('A package of another nursery'), { target: { files: [new File(['PK'], 'theirs.zip')] } });
    expect(await screen.findByText('2 crops in it; 1 as yours.')).toBeTruthy();
    expect(screen.getByText('Days: 6, yours 5')).toBeTruthy();
    expect(screen.getByText('Their 9 batches say: 1.20 times as long to come up as their figures say.')).toBeTruthy();
    fireEvent.click(screen.getByRole('checkbox', { name: 'Take over Leek' }));
    fireEvent.click(screen.getByRole('button', { name: 'Take over 1 crop' }));
    expect(await screen.findByText('1 crop taken over.')).toBeTruthy();
    expect(calls.some((call) => call.path.startsWith('/api/data-package?withLessons=true&crop=leek'))).toBe(true);
  });
});
