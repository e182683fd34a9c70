import { act, fireEvent, render, screen } from '@testing-library/react';
import { useEffect, useState } from 'react';
import { MemoryRouter, Router, useLocation } from 'react-router';
import { describe, expect, it } from 'vitest';
import { FindIn } from './FindIn';
import { useAddressed } from './useAddressed';

const USUAL = { sort: 'target', group: 'none', find: '' };

function Chooser() {
  const [chosen, choose] = useAddressed(USUAL);
  const { search } = useLocation();
  return (
    <>
      <p data-testid="address">{search}</p>
      <button
        onClick={() => {
          choose({ sort: 'tight' });
          choose({ group: 'week' });
        }}
      >
        both
      </button>
      <button onClick={() => choose({ sort: 'target' })}>usual</button>
      <FindIn name="Find" hint="" value={chosen.find} choose={(find) => choose({ find })} />
    </>
  );
}

/** An address that follows only when it is told to, as it does where the browser has other things to do first. */
const slow = { waiting: [] as string[], follow: () => {} };

function SlowAddress() {
  const [search, setSearch] = useState('');
  useEffect(() => {
    slow.follow = () => setSearch(slow.waiting.shift() ?? '');
  }, []);
  const go = (to: string | { search?: string }) => {
    slow.waiting.push((typeof to === 'string' ? to : to.search) ?? '');
  };
  const navigator = { createHref: () => '', go: () => {}, push: go, replace: go };
  return (
    <Router location={{ pathname: '/orders', search }} navigator={navigator}>
      <Chooser />
    </Router>
  );
}

describe('what stands in the address', () => {
  it('loses none of two choices made at once, and leaves out what is usual', () => {
    render(
      <MemoryRouter initialEntries={['/orders?find=kale']}>
        <Chooser />
      </MemoryRouter>,
    );
    const address = () => screen.getByTestId('address').textContent;
    expect((screen.getByLabelText('Find') as HTMLInputElement).value).toBe('kale');
    fireEvent.click(screen.getByText('both'));
    expect(address()).toBe('?find=kale&sort=tight&group=week');
    fireEvent.click(screen.getByText('usual'));
    expect(address()).toBe('?find=kale&group=week');
    fireEvent.change(screen.getByLabelText('Find'), { target: { value: '' } });
    expect(address()).toBe('?group=week');
  });

  it('keeps a choice made while the address still follows an earlier one', () => {
    render(<SlowAddress />);
    const address = () => screen.getByTestId('address').textContent;
    fireEvent.click(screen.getByText('both'));
    act(() => slow.follow());
    expect(address()).toBe('?sort=tight');
    fireEvent.change(screen.getByLabelText('Find'), { target: { value: 'kale' } });
    act(() => slow.follow());
    expect(address()).toBe('?sort=tight&group=week');
    act(() => slow.follow());
    expect(address()).toBe('?sort=tight&group=week&find=kale');
  });
});
