import { fireEvent, screen, waitFor } from '@testing-library/react';
import { useLocation } from 'react-router';
import { describe, expect, it } from 'vitest';
import { fakeServer, show } from '../api/faked';
import { FindSheet } from './FindSheet';
import { meant, type Thing, whereTo } from './found';

const thing = (kind: Thing['kind'], key: string, more: Partial<Thing> = {}): Thing => ({ kind, key, name: key, exact: false, ...more });

function Here() {
  const place = useLocation();
  return <p data-testid="here">{place.pathname + place.search}</p>;
}

const open = async () => {
  show(
    <>
      <FindSheet />
      <Here />
    </>,
  );
  fireEvent.keyDown(window, { key: '/' });
  return await screen.findByRole('combobox');
};
const here = () => screen.getByTestId('here').textContent;

describe('what was found', () => {
  it.each<[Thing, string]>([
    [thing('TRAY', '1042'), '/trays/1042'],
    [thing('NOTE', '501'), '/trace/notes/501'],
    [thing('MIX', 'Fine mix, heap 1'), '/trace/mix?of=Fine%20mix%2C%20heap%201'],
    [thing('VARIETY', '7', { name: 'Grey & Anvil' }), '/batches?find=Grey%20%26%20Anvil'],
    [thing('DAY', '2027-05-12'), '/season/wall?from=2027-05-12'],
  ])('%o is opened where it stands', (found, page) => {
    expect(whereTo(found)).toBe(page);
  });

  it('is what was chosen, else what is exactly meant, else the first', () => {
    const things = [thing('CROP', 'kale'), thing('LOT', '9', { exact: true })];
    expect(meant(things, 0)?.key).toBe('kale');
    expect(meant(things, undefined)?.key).toBe('9');
    expect(meant([things[0]!], undefined)?.key).toBe('kale');
    expect(meant([], undefined)).toBeUndefined();
  });
});

describe('the one field', () => {
  const things = [thing('VARIETY', '7', { name: 'Grey Anvil', beside: 'Curly kale' }), thing('LOT', '3', { name: 'K-11', beside: 'Grey Anvil' })];

  it('is opened by a key, tells kinds apart and goes where an arrow leads', async () => {
    fakeServer({ 'GET /api/found': { things, more: true } });
    const field = await open();
    fireEvent.change(field, { target: { value: 'grey' } });
    expect(await screen.findByText('Seed lot')).toBeTruthy();
    expect(screen.getByText('More fits; say more of it.')).toBeTruthy();
    await waitFor(() => expect(screen.getByRole('status').textContent).toBe('2 found'));
    fireEvent.keyDown(field, { key: 'ArrowDown' });
    fireEvent.keyDown(field, { key: 'ArrowDown' });
    expect(screen.getAllByRole('option')[1]?.getAttribute('aria-selected')).toBe('true');
    fireEvent.keyDown(field, { key: 'Enter' });
    expect(here()).toBe('/trace/lots/3');
  });

  it('lets the Enter of a scanner wait for what it scanned', async () => {
    fakeServer({ 'GET /api/found': { things: [thing('LOT', '3', { exact: true })], more: false } });
    const field = await open();
    fireEvent.change(field, { target: { value: 'M26-107' } });
    fireEvent.keyDown(field, { key: 'Enter' });
    expect(here()).toBe('/');
    await waitFor(() => expect(here()).toBe('/trace/lots/3'));
  });

  it('opens the tray of a label without asking anybody, also where there is no signal', async () => {
    const calls = fakeServer({});
    const field = await open();
    fireEvent.change(field, { target: { value: 't1042-x' } });
    fireEvent.keyDown(field, { key: 'Enter' });
    expect(here()).toBe('/trays/1042');
    expect(calls.filter((call) => call.path.includes('/api/found'))).toEqual([]);
  });

  it('opens nothing for a code that does not fit its check character', async () => {
    fakeServer({ 'GET /api/found': { things: [], more: false } });
    const field = await open();
    fireEvent.change(field, { target: { value: 'T1042-Y' } });
    fireEvent.keyDown(field, { key: 'Enter' });
    expect(here()).toBe('/');
    expect(await screen.findByText(/T1042-Y does not fit its check character/)).toBeTruthy();
  });

  it('says what to do where the browser gives no camera', async () => {
    fakeServer({});
    await open();
    fireEvent.click(screen.getByRole('button', { name: 'Scan with the camera' }));
    expect(await screen.findByText(/only to pages with a secure address/)).toBeTruthy();
  });

  it('says so when nothing is called that', async () => {
    fakeServer({ 'GET /api/found': { things: [], more: false } });
    fireEvent.change(await open(), { target: { value: 'moon' } });
    expect(await screen.findByText('Nothing here is called that.')).toBeTruthy();
  });
});
