import { fireEvent, render, screen } from '@testing-library/react';
import { MemoryRouter, useLocation } from 'react-router';
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
});
