import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { LibraryView } from '../api/client';
import { fakeServer, show } from '../api/faked';
import { sampleChoices } from '../board/samples';
import { Grown } from './Grown';
import { PacketForm } from './PacketForm';

const library: LibraryView = {
  crops: [
    { code: 'leek', name: 'Leek', hardiness: 'HARDY', inUse: true },
    { code: 'zinnia', name: 'Zinnia', hardiness: 'TENDER', inUse: true },
    { code: 'basil', name: 'Basil', hardiness: 'TENDER', inUse: true },
  ],
  containers: [
    { code: 'module-60', name: 'Module tray of 60', inUse: true },
    { code: 'pot-9', name: 'Pots of 9 cm', inUse: true },
  ],
  sets: [
    { kind: 'HERBS', crops: ['basil'], containers: ['pot-9'] },
    { kind: 'CUT_FLOWERS', crops: ['zinnia'], containers: ['module-60'] },
  ],
};

const pressed = (name: string) => screen.getByRole('button', { name }).getAttribute('aria-pressed');

describe('what one grows', () => {
  it('begins from all of the library; sets add up, and each thing is picked by itself', async () => {
    const calls = fakeServer({ 'GET /api/grown': library, 'PUT /api/grown': {} });
    show(<Grown />);
    expect(await screen.findByText('3 crops of 3')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Offer these' })).toHaveProperty('disabled', true);
    fireEvent.click(screen.getByRole('button', { name: 'Herbs in pots' }));
    expect(screen.getByText('1 crop of 3')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Cut flowers' }));
    expect(screen.getByText('2 crops of 3')).toBeTruthy();
    expect(pressed('Leek')).toBe('false');
    fireEvent.click(screen.getByRole('button', { name: 'Leek' }));
    fireEvent.click(screen.getByRole('button', { name: 'Zinnia' }));
    fireEvent.click(screen.getByRole('button', { name: 'Offer these' }));
    await waitFor(() =>
      expect(calls.find((call) => call.method === 'PUT')?.body).toEqual({ crops: ['basil', 'leek'], containers: ['pot-9', 'module-60'] }),
    );
  });

  it('goes back to what is offered now when no set is pressed any more', async () => {
    fakeServer({ 'GET /api/grown': library });
    show(<Grown />);
    fireEvent.click(await screen.findByRole('button', { name: 'Herbs in pots' }));
    fireEvent.click(screen.getByRole('button', { name: 'Herbs in pots' }));
    expect(screen.getByText('3 crops of 3')).toBeTruthy();
  });
});

describe('a packet', () => {
  it('says what no library knows, and is told what to bear in mind of it', async () => {
    const calls = fakeServer({
      'GET /api/choices': sampleChoices,
      'POST /api/packets': { code: 'LM1', seeds: 90, germinationReckoned: 0.6, cautions: ['SAVED_FROM_HYBRID', 'COATED'] },
    });
    show(<PacketForm />);
    fireEvent.change(await screen.findByLabelText('Variety'), { target: { value: 'Low Marble' } });
    fireEvent.change(screen.getByLabelText(/^Seeds in it/), { target: { value: '90' } });
    fireEvent.click(screen.getByText('What else the packet says'));
    fireEvent.change(screen.getByLabelText('Days to maturity'), { target: { value: '55' } });
    fireEvent.change(screen.getByLabelText('Counted from'), { target: { value: 'SOWING' } });
    for (const name of ['A hybrid', 'Coated seed', 'Saved by ourselves', 'Says that it is below standard'])
      fireEvent.click(await screen.findByLabelText(name));
    fireEvent.click(screen.getByRole('button', { name: 'Take the packet in' }));
    expect(await screen.findByText(/60 in 100 are reckoned with/)).toBeTruthy();
    expect(screen.getByText(/Seed saved from a hybrid does not come true.*Coated seed is not soaked/)).toBeTruthy();
    expect(calls.find((call) => call.method === 'POST')?.body).toMatchObject({
      variety: 'Low Marble',
      seeds: 90,
      maturityDays: 55,
      maturityFrom: 'SOWING',
      hybrid: true,
      coated: true,
      ownSaved: true,
      belowStandard: true,
    });
  });
});
