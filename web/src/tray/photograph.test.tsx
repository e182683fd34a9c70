import { fireEvent, screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { CellView, TrayView } from '../api/client';
import { fakeServer, show, Status } from '../api/faked';
import { EMPTY_DRAFT, foundIn, propose, tap, undo } from './draft';
import { photographs, type PhotographShelf, type Unread } from '../bench/photographs';
import { PhotographWork } from './PhotographWork';

const cell = (number: number, seeds = 1, seedlings?: number): CellView =>
  ({ number, batch: 220, condition: 'WAITING', seeds, ...(seedlings !== undefined && { seedlings }) }) as CellView;

const tray = { number: 1031, code: 'T1031', cells: [cell(1), cell(2)] } as unknown as TrayView;

const seen = {
  cells: [
    { cell: 1, leafArea: 2, up: true, apart: false, weak: false },
    { cell: 2, leafArea: 0, up: false, apart: false, weak: false },
  ],
  up: 1,
  leafArea: 2,
};

beforeEach(() => {
  vi.stubGlobal('createImageBitmap', async () => ({ width: 3200, height: 1600, close: () => undefined }));
  vi.spyOn(HTMLCanvasElement.prototype, 'getContext').mockReturnValue({ drawImage: () => undefined } as unknown as null);
  vi.spyOn(HTMLCanvasElement.prototype, 'toBlob').mockImplementation((done) => done(new Blob(['picture'], { type: 'image/jpeg' })));
  URL.createObjectURL = () => 'blob:here';
  URL.revokeObjectURL = () => undefined;
});

const take = async (answers: Parameters<typeof fakeServer>[0], told = vi.fn()) => {
  const calls = fakeServer({ 'GET /api/trays/1031/photographs': [], ...answers });
  show(<PhotographWork tray={tray} seen={told} />);
  fireEvent.change(screen.getByLabelText('From a photograph'), { target: { files: [new File(['x'], 'tray.jpg', { type: 'image/jpeg' })] } });
  await screen.findByText('Tray T1031 from above');
  return calls;
};

describe('a photograph of a tray', () => {
  it('is sent with its corners as they were put, and what it shows is handed on', async () => {
    const told = vi.fn();
    const calls = await take({ 'POST /api/trays/1031/photographs/file': seen }, told);
    fireEvent.keyDown(screen.getByRole('button', { name: 'Corner above left' }), { key: 'ArrowRight' });
    fireEvent.click(screen.getByLabelText('Keep a small copy with this tray'));
    fireEvent.click(screen.getByRole('button', { name: 'Propose a count' }));
    await waitFor(() => expect(told).toHaveBeenCalledWith(seen));
    const sent = calls.find((call) => call.method === 'POST')!.path;
    expect(sent).toContain('corners=0.084,0.08,0.92,0.08,0.92,0.92,0.08,0.92');
    expect(sent).toMatch(/keep=[0-9a-f-]{36}/);
    expect(screen.queryByText('Tray T1031 from above')).toBeNull();
  });

  it('taken without a signal waits here with its corners, and is read and let go of when there is one', async () => {
    const told = vi.fn();
    const shelf = new Map<string, Unread>();
    vi.spyOn(photographs as unknown as { shelf: PhotographShelf }, 'shelf', 'get').mockReturnValue({
      all: async () => [...shelf.values()],
      put: async (unread) => shelf.set(unread.id, unread),
      remove: async (id) => void shelf.delete(id),
    });
    let signal = false;
    const calls = await take({ 'POST /api/trays/1031/photographs/file': () => (signal ? seen : new Status(503, {})) }, told);
    fireEvent.keyDown(screen.getByRole('button', { name: 'Corner above left' }), { key: 'ArrowRight' });
    fireEvent.click(screen.getByRole('button', { name: 'Propose a count' }));
    const again = await screen.findByRole('button', { name: /^Read the photograph of/ });
    expect(told).not.toHaveBeenCalled();
    expect(screen.queryByText('Tray T1031 from above')).toBeNull();
    signal = true;
    fireEvent.click(again);
    fireEvent.click(await screen.findByRole('button', { name: 'Propose a count' }));
    await waitFor(() => expect(told).toHaveBeenCalledWith(seen));
    await waitFor(() => expect(shelf.size).toBe(0));
    const sent = calls.filter((call) => call.method === 'POST').map((call) => call.path);
    expect(sent[1]).toBe(sent[0]);
  });

  it('of a cat is refused in words, and the corners stay', async () => {
    await take({
      'POST /api/trays/1031/photographs/file': new Status(422, { detail: 'Between these corners nearly everything is green.', errors: [] }),
    });
    fireEvent.click(screen.getByRole('button', { name: 'Propose a count' }));
    expect(await screen.findByText('Between these corners nearly everything is green.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Corner below left' })).toBeTruthy();
  });

  it('proposes what it shows and leaves what was seen by hand', () => {
    const cells = [cell(1), cell(2, 2), cell(3), cell(4, 1, 1)];
    const tapped = tap(EMPTY_DRAFT, cells[2]!);
    const proposed = propose(tapped, cells, new Set([1, 2]));
    expect(foundIn(proposed, cells[0]!)).toBe(1);
    expect(foundIn(proposed, cells[1]!)).toBe('UP');
    expect(foundIn(proposed, cells[2]!)).toBe(1);
    expect(proposed.found[4]).toBeUndefined();
    expect(undo(proposed).found).toEqual(tapped.found);
    expect(propose(tapped, [cells[2]!], new Set())).toBe(tapped);
  });
});
