import { fireEvent, screen } from '@testing-library/react';
import { useLocation } from 'react-router';
import { beforeEach, describe, expect, it } from 'vitest';
import type { SessionView } from '../api/client';
import { Refused } from '../api/client';
import { fakeServer, show } from '../api/faked';
import { Trouble, WithoutConnection } from '../look/States';
import { FirstWalk } from './FirstWalk';
import { helpAt, PAGES, walkOf } from './pages';
import { PageHelpSheet } from './PageHelpSheet';

const session = (role: 'PROPAGATOR' | 'BENCH_HAND' | 'GROWER') => ({ person: 7, role }) as SessionView;

function Here() {
  return <p data-testid="here">{useLocation().pathname}</p>;
}

const walk = (role: 'PROPAGATOR' | 'GROWER') =>
  show(
    <>
      <FirstWalk session={session(role)} />
      <Here />
    </>,
    '/seed',
  );
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

describe('what a page is for', () => {
  it.each([
    ['/orders/103', 'An order'],
    ['/orders/new', 'Taking an order'],
    ['/season/wall', 'Sheets for the wall'],
    ['/trays/1042', 'A tray'],
  ])('%s', (path, name) => {
    expect(helpAt(path, 'PROPAGATOR')?.name).toBe(name);
  });

  it('is told to growers of the one page they have', () => {
    expect(helpAt('/', 'GROWER')?.name).toBe('My plants');
    expect(helpAt('/account', 'PROPAGATOR')).toBeUndefined();
  });

  it('is opened with a key, together with the other keys', () => {
    show(<PageHelpSheet role={session('BENCH_HAND').role} />, '/week');
    fireEvent.keyDown(window, { key: 'h' });
    expect(screen.getByRole('heading', { name: 'The week against the hands' })).toBeTruthy();
    expect(screen.getByText('find anything')).toBeTruthy();
    expect(screen.queryByText('can we promise it?')).toBeNull();
  });
});

describe('a page without a connection', () => {
  it('says what goes on and what must wait, each in its own words', () => {
    expect(new Set(PAGES.map((page) => page.offline)).size).toBe(PAGES.length);
    show(
      <WithoutConnection value={helpAt('/space', 'PROPAGATOR')?.offline}>
        <Trouble error={new Refused(0, 'No connection.', [])} retry={() => undefined} />
      </WithoutConnection>,
    );
    expect(screen.getByRole('alert').textContent).toContain('Nothing was moved.');
  });
});

describe('the first walk', () => {
  beforeEach(() => {
    localStorage.clear();
    fakeServer({});
  });

  it('has five steps for those who work here and one for a grower', () => {
    expect(walkOf('PROPAGATOR')).toHaveLength(5);
    expect(walkOf('BENCH_HAND')).toHaveLength(5);
    expect(walkOf('GROWER')).toHaveLength(1);
  });

  it('leads from page to page and back', () => {
    walk('PROPAGATOR');
    press('Show me round in 5 steps');
    expect(screen.getByTestId('here').textContent).toBe('/');
    press('Next: Orders');
    expect(screen.getByTestId('here').textContent).toBe('/orders');
    expect(screen.getByText('2 of 5: Orders.')).toBeTruthy();
    press('Back');
    expect(screen.getByTestId('here').textContent).toBe('/');
  });

  it('can be left at any time and is not offered again', () => {
    walk('PROPAGATOR');
    press('Show me round in 5 steps');
    press('Leave the walk');
    expect(screen.queryByLabelText('First walk')).toBeNull();
    walk('PROPAGATOR');
    expect(screen.queryByLabelText('First walk')).toBeNull();
  });

  it('can be refused', () => {
    walk('GROWER');
    press('No');
    expect(localStorage.getItem('kiver.walked.7')).toBe('yes');
  });
});
