import { cleanup, render } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { forgetMessages } from './catalogue';
import { METRIC, speech } from './speech';
import { told } from './told';

afterEach(() => {
  cleanup();
  Object.assign(speech, METRIC);
  forgetMessages();
});

describe('a sentence of which some words stand out', () => {
  it('marks them inside one message', () => {
    const { container } = render(<p>{told('Sow by <b>{latest}</b>, best {best}.', { latest: 'Thu 8 Apr', best: 'Sat 3 Apr' })}</p>);
    expect(container.innerHTML).toBe('<p>Sow by <strong>Thu 8 Apr</strong>, best Sat 3 Apr.</p>');
  });

  it('takes what else a mark may be', () => {
    const { container } = render(
      <p>{told('Look at <to>batch {batch}</to>.', { batch: 214 }, { to: (inner) => <a href="/batches/214">{inner}</a> })}</p>,
    );
    expect(container.innerHTML).toBe('<p>Look at <a href="/batches/214">batch 214</a>.</p>');
  });

  it('is stretched inside its marks, too', () => {
    speech.language = 'STRETCHED';
    const { container } = render(<p>{told('Sow by <b>now</b>.')}</p>);
    expect(container.textContent).toBe('⟦Šóów bý ñóów.⟧');
    expect(container.querySelector('strong')!.textContent).toBe('ñóów');
  });
});
