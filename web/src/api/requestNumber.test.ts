import { describe, expect, it } from 'vitest';
import { RequestNumber } from './requestNumber';

describe('the number of a request', () => {
  it('stays through retries and changes with what is in it', () => {
    const number = new RequestNumber();
    const first = number.of({ plants: 20 });
    expect(number.of({ plants: 20 })).toBe(first);
    expect(number.of({ plants: 21 })).not.toBe(first);
  });

  it('is another once the request was carried out', () => {
    const number = new RequestNumber();
    const first = number.of({ plants: 20 });
    number.done();
    expect(number.of({ plants: 20 })).not.toBe(first);
  });
});
