import { fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { CellView, TrayView } from '../api/client';
import { cellLook } from './cellLook';
import { TrayGrid } from './TrayGrid';

const tray: TrayView = {
  number: 1042,
  code: 'T1042',
  container: 'Test tray',
  rows: 2,
  columns: 3,
  cellVolume: 40,
  batches: [201],
  cells: [1, 2, 3, 4, 5, 6].map((number) =>
    number === 6
      ? { number, onlySeen: false, mixed: false }
      : { number, batch: 201, condition: number === 5 ? 'LOST' : 'WAITING', seeds: 1, seedlings: 0, onlySeen: false, mixed: false },
  ),
};

function show(fingerSweeps = false) {
  const work = { tap: vi.fn(), sweep: vi.fn(), digit: vi.fn() };
  render(
    <TrayGrid
      tray={tray}
      fingerSweeps={fingerSweeps}
      work={work}
      draw={(cell: CellView) => {
        const look = cellLook(cell, 201, 0, false);
        return { ...look, disabled: look.disabled || cell.condition === 'LOST' };
      }}
    />,
  );
  return work;
}

const cell = (number: number) => screen.getByRole('button', { name: new RegExp(`^Cell ${number},`) });

describe('a tray on the screen', () => {
  it('lies in its rows and columns and names every cell', () => {
    show();
    expect(screen.getByRole('group', { name: 'T1042, 2 rows of 3 cells' }).querySelectorAll('[data-cell]')).toHaveLength(6);
    expect(cell(5).getAttribute('aria-label')).toBe('Cell 5, row 2, column 2, lost');
    expect(cell(6).getAttribute('aria-label')).toBe('Cell 6, row 2, column 3, free');
  });

  it('takes a tap on a cell that can be worked on, and none on others', () => {
    const work = show();
    fireEvent.click(cell(2));
    fireEvent.click(cell(5));
    fireEvent.click(cell(6));
    expect(work.tap).toHaveBeenCalledTimes(1);
    expect(work.tap.mock.calls[0]![0].number).toBe(2);
  });

  it('takes a figure from the keyboard and goes on to the next cell', () => {
    const work = show();
    cell(1).focus();
    fireEvent.keyDown(cell(1), { key: '3' });
    expect(work.digit).toHaveBeenCalledWith(tray.cells[0], 3);
    expect(document.activeElement).toBe(cell(2));
  });

  it('is walked over with the arrow keys, along rows and columns', () => {
    show();
    cell(1).focus();
    fireEvent.keyDown(cell(1), { key: 'ArrowRight' });
    fireEvent.keyDown(cell(2), { key: 'ArrowDown' });
    expect(document.activeElement).toBe(cell(5));
    // What is lost keeps nobody.
    fireEvent.keyDown(cell(5), { key: 'ArrowRight' });
    expect(document.activeElement).toBe(cell(6));
    fireEvent.keyDown(cell(6), { key: 'ArrowRight' });
    expect(document.activeElement).toBe(cell(6));
  });

  it('is walked over in rows, columns and as a whole', () => {
    show();
    cell(2).focus();
    const press = (key: string, ctrlKey = false) => fireEvent.keyDown(document.activeElement!, { key, ctrlKey });
    press('End');
    expect(document.activeElement).toBe(cell(3));
    press('PageDown');
    expect(document.activeElement).toBe(cell(6));
    press('Home');
    expect(document.activeElement).toBe(cell(4));
    press('PageUp');
    expect(document.activeElement).toBe(cell(1));
    press('End', true);
    expect(document.activeElement).toBe(cell(6));
    expect(screen.getAllByRole('button').filter((each) => each.tabIndex === 0)).toEqual([cell(6)]);
  });

  it('takes nothing from the keyboard for a cell that cannot be worked on', () => {
    const work = show();
    cell(5).focus();
    fireEvent.keyDown(cell(5), { key: '3' });
    fireEvent.keyDown(cell(5), { key: 'Delete' });
    expect(work.digit).not.toHaveBeenCalled();
  });

  it('is reached by one stop of the tab key', () => {
    show();
    expect(screen.getAllByRole('button').filter((each) => each.tabIndex === 0)).toHaveLength(1);
  });

  it('is swept by a mouse, and a sweep is not a tap', () => {
    const work = show();
    document.elementFromPoint = (x: number) => cell(x);
    fireEvent.pointerDown(cell(1), { pointerType: 'mouse', buttons: 1 });
    fireEvent.pointerMove(cell(1), { clientX: 2, buttons: 1 });
    fireEvent.pointerMove(cell(1), { clientX: 3, buttons: 1 });
    fireEvent.pointerUp(cell(3), { clientX: 3 });
    fireEvent.click(cell(3));
    expect(work.sweep.mock.calls[0]![0].map((each: CellView) => each.number)).toEqual([1, 2, 3]);
    expect(work.tap).not.toHaveBeenCalled();
  });
});
