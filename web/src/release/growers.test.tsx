import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { SignIn } from '../account/SignIn';
import type { GrowerLoss, GrowerRequest, LineView, OrderView, SessionView } from '../api/client';
import { fakeServer, show, Status } from '../api/faked';
import { AskForLine } from './AskForLine';
import { FreePlants } from './FreePlants';
import { GrowerLink } from './GrowerLink';
import { GrowersPage } from './GrowersPage';
import { HowTheyDid } from './HowTheyDid';

const line = { line: 1, released: 30, asked: { variety: 'Blue Lantern', plants: 60 } } as LineView;

const request = (more: Partial<GrowerRequest> = {}): GrowerRequest => ({
  number: 7,
  growerId: 3,
  grower: 'Alder Field',
  kind: 'FEWER',
  orderNumber: 114,
  line: 1,
  variety: 'Blue Lantern',
  ordered: 60,
  plants: 40,
  wantedOn: '2027-05-10',
  words: 'The bed is smaller.',
  askedOn: '2027-04-15',
  state: 'OPEN',
  answer: '',
  ...more,
});

const loss: GrowerLoss = {
  number: 4,
  note: 511,
  releasedOn: '2027-04-12',
  orderNumber: 114,
  line: 1,
  growerId: 3,
  grower: 'Alder Field',
  variety: 'Blue Lantern',
  plants: 5,
  reason: 'SLUGS',
  words: 'In one night.',
  pictured: true,
  reportedOn: '2027-04-14',
  replaced: 2,
};

describe('a grower', () => {
  it('asks for another day, and sees what was answered before', async () => {
    const calls = fakeServer({ 'POST /api/orders/114/lines/1/requests': {} });
    show(<AskForLine order={114} line={line} asked={[request({ state: 'DECLINED', answer: 'All are sown.' })]} />);
    expect(screen.getByText(/40 of them instead of 60. Sorry, no. “All are sown.”/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Another day' }));
    fireEvent.change(screen.getByLabelText('On which day'), { target: { value: '2027-05-20' } });
    fireEvent.click(screen.getByRole('button', { name: 'Ask' }));
    await waitFor(() => expect(calls.find((call) => call.method === 'POST')?.body).toMatchObject({ kind: 'LATER', target: '2027-05-20' }));
  });

  it('waits for the answer to what was asked', () => {
    show(<AskForLine order={114} line={line} asked={[request()]} />);
    expect(screen.getByText(/You asked: 40 of them instead of 60. Your propagator has yet to answer./)).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('tells of losses, and what they typed stays when it is refused', async () => {
    const refused = new Status(422, { detail: 'no', errors: [{ field: 'plants', message: 'Only 30 left.' }] });
    const calls = fakeServer({ 'POST /api/releases/511/losses': refused });
    const order = { number: 114, lines: [line], releases: [{ number: 511, day: '2027-04-12', plants: 30 }] } as OrderView;
    show(<HowTheyDid order={order} losses={[loss]} />);
    expect(screen.getByText(/5 Blue Lantern lost, slugs; 2 given again/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Plants lost'), { target: { value: '31' } });
    fireEvent.click(screen.getByRole('button', { name: 'Tell it' }));
    expect(await screen.findByText('Only 30 left.')).toBeTruthy();
    expect((screen.getByLabelText('Plants lost') as HTMLInputElement).value).toBe('31');
    expect(calls.find((call) => call.method === 'POST')?.body).toMatchObject({ line: 1, plants: 31, reason: 'SLUGS' });
  });

  it('asks for what is free', async () => {
    const calls = fakeServer({ 'POST /api/free/230/requests': {} });
    const free = { batch: 230, variety: 'Stonecap', crop: 'Lettuce', container: 'Module tray of 104', plants: 40 };
    show(<FreePlants free={[free]} asked={[]} />);
    fireEvent.change(screen.getByLabelText('How many'), { target: { value: '12' } });
    fireEvent.click(screen.getByRole('button', { name: /Ask for them/ }));
    await waitFor(() => expect(calls.find((call) => call.method === 'POST')?.body).toMatchObject({ plants: 12 }));
  });

  it('opens their page by a code, and is told when it opens nothing', async () => {
    const refused = new Status(422, { detail: 'no', errors: [{ field: 'code', message: 'This code opens nothing, or no longer.' }] });
    const calls = fakeServer({ 'POST /api/session/link': refused });
    show(<SignIn session={{ nursery: 'N', demo: false } as SessionView} code="ABCD-EFGH-JKLM-NPQR" />);
    fireEvent.click(screen.getByRole('button', { name: 'Open my plants' }));
    expect(await screen.findByText('This code opens nothing, or no longer.')).toBeTruthy();
    expect(calls.find((call) => call.method === 'POST')?.body).toEqual({ code: 'ABCD-EFGH-JKLM-NPQR' });
  });
});

describe('the growers’ page of the propagator', () => {
  const answers = {
    'GET /api/requests': [request(), request({ number: 6, state: 'GRANTED', kind: 'CANCEL' })],
    'GET /api/losses': [loss],
    'GET /api/messages': [
      {
        number: 9,
        growerId: 3,
        address: 'a@b.invalid',
        subject: 'Yes',
        body: 'Gladly.',
        writtenOn: '2027-04-15',
        state: 'FAILED',
        problem: '550 no such mailbox',
      },
    ],
    'GET /api/prices': [{ crop: 'lettuce', cropName: 'Lettuce', container: 'module-104', containerName: 'Module tray of 104', price: 0.3 }],
  };

  it('answers what is asked with a word', async () => {
    const calls = fakeServer({ ...answers, 'POST /api/requests/7/answers': {} });
    show(<GrowersPage today="2027-04-15" />);
    const asks = await screen.findByRole('region', { name: 'They ask' });
    expect(within(asks).getByText('“The bed is smaller.”')).toBeTruthy();
    fireEvent.change(within(asks).getByLabelText('A word with the answer'), { target: { value: 'Gladly.' } });
    fireEvent.click(within(asks).getByRole('button', { name: 'Yes' }));
    await waitFor(() => expect(calls.find((call) => call.method === 'POST')?.body).toMatchObject({ granted: true, words: 'Gladly.' }));
  });

  it('gives lost plants again, sends again what did not leave, and sets a price', async () => {
    const calls = fakeServer({ ...answers, 'POST /api/losses/4/replacements': {}, 'POST /api/messages/9/sendings': {}, 'PUT /api/prices': {} });
    show(<GrowersPage today="2027-04-15" />);
    fireEvent.click(await screen.findByRole('button', { name: 'Give 3 again from what is kept' }));
    fireEvent.click(await screen.findByRole('button', { name: 'Send again' }));
    const price = await screen.findByLabelText('Lettuce, module tray of 104');
    fireEvent.change(price, { target: { value: '0.45' } });
    fireEvent.blur(price);
    await waitFor(() => expect(calls.find((call) => call.method === 'PUT')?.body).toEqual({ crop: 'lettuce', container: 'module-104', price: 0.45 }));
    expect(calls.find((call) => call.path === '/api/losses/4/replacements')?.body).toMatchObject({ plants: 3 });
    expect(calls.some((call) => call.path === '/api/messages/9/sendings')).toBe(true);
  });

  it('makes a link and withdraws it', async () => {
    const calls = fakeServer({
      'GET /api/growers/3/link': { code: 'ABCD-EFGH-JKLM-NPQR', until: '2027-06-14' },
      'POST /api/growers/3/link': {},
      'DELETE /api/growers/3/link': {},
    });
    show(<GrowerLink grower={3} name="Alder Field" />);
    expect(await screen.findByText(/until Mon 14 Jun/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Withdraw it' }));
    await waitFor(() => expect(calls.some((call) => call.method === 'DELETE')).toBe(true));
  });
});
