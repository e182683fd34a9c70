import { cleanup, render, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { LineChart } from './LineChart';

const chart = (more: Partial<Parameters<typeof LineChart>[0]> = {}) =>
  render(
    <LineChart
      title="Chart"
      xTitle="day"
      yTitle="°C"
      series={[
        {
          name: 'one',
          points: [
            { x: 0, y: 0 },
            { x: 10, y: 20 },
          ],
        },
      ]}
      {...more}
    />,
  );

const paths = () => [...screen.getByRole('img', { name: 'Chart' }).querySelectorAll('path')].map((path) => path.getAttribute('d') ?? '');

describe('a line chart', () => {
  it('has titled axes and keeps its line inside', () => {
    chart();
    expect(screen.getByText('day')).toBeTruthy();
    expect(screen.getByText('°C')).toBeTruthy();
    const [x, y] = paths()[0]!.split('L')[1]!.split(',').map(Number);
    expect(x).toBeLessThanOrEqual(640);
    expect(y).toBeGreaterThanOrEqual(0);
  });

  it('ends a line where it leaves the chart, instead of running along its edge', () => {
    chart({
      yMost: 10,
      series: [
        {
          name: 'one',
          points: [
            { x: 0, y: 60 },
            { x: 5, y: 8 },
            { x: 10, y: 2 },
          ],
        },
      ],
    });
    expect(paths()[0]!.match(/[ML]/g)).toEqual(['M', 'L']);
  });

  it('names its lines only when there are several, and not those that belong to another', () => {
    chart();
    expect(screen.queryByText('one')).toBeNull();
    cleanup();
    const points = [
      { x: 0, y: 1 },
      { x: 4, y: 3 },
    ];
    chart({
      series: [
        { name: 'one', points },
        { name: 'two', points, dashed: true },
        { name: 'hidden', points, unnamed: true },
      ],
    });
    expect(screen.getByText('two')).toBeTruthy();
    expect(screen.queryByText('hidden')).toBeNull();
  });

  it('writes days and marks in words, and draws nothing of nothing', () => {
    chart({
      xTicks: [0, 10],
      xWords: (x) => `day ${x}`,
      marks: [{ x: 5, words: 'wanted' }],
      bands: [
        { x: 0, low: 1, high: 2 },
        { x: 10, low: 1, high: 2 },
      ],
    });
    expect(screen.getByText('day 10')).toBeTruthy();
    expect(screen.getByText('wanted')).toBeTruthy();
    expect(paths()).toHaveLength(2);
    cleanup();
    chart({ series: [] });
    expect(screen.queryByRole('img')).toBeNull();
  });
});
