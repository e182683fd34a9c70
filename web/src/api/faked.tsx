import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter, Route, Routes } from 'react-router';
import { vi } from 'vitest';

/** What was asked of the faked server, in order. */
export interface Call {
  method: string;
  path: string;
  body: unknown;
}

type Answer = unknown;

/** An answer with a status of its own. */
export class Status {
  constructor(
    readonly status: number,
    readonly body: unknown,
  ) {}
}

/** What every page may ask for beside its own. */
const USUAL: Record<string, Answer> = {
  'GET /api/session': {
    signedIn: true,
    person: 2,
    name: 'Pell',
    role: 'BENCH_HAND',
    needsFirstAccount: false,
    nursery: 'N',
    today: '2027-04-15',
    demo: true,
  },
  'GET /api/rooms': [],
};

/** For tests: a server that answers by "METHOD /path" and remembers what it was asked. */
export function fakeServer(answers: Record<string, Answer>): Call[] {
  const calls: Call[] = [];
  vi.stubGlobal('fetch', async (input: Request | string, init?: RequestInit) => {
    const request = input instanceof Request ? input : new Request(new URL(input, 'http://localhost'), init);
    const url = new URL(request.url, 'http://localhost');
    const text = request.headers.get('content-type')?.includes('json') ? await request.clone().text() : '';
    const call: Call = { method: request.method, path: url.pathname + url.search, body: text ? JSON.parse(text) : undefined };
    calls.push(call);
    const answer =
      answers[`${request.method} ${call.path}`] ?? answers[`${request.method} ${url.pathname}`] ?? USUAL[`${request.method} ${url.pathname}`];
    const value = typeof answer === 'function' ? (answer as (call: Call) => unknown)(call) : answer;
    const status = value instanceof Status ? value.status : answer === undefined ? 404 : 200;
    const body = value instanceof Status ? value.body : value;
    return new Response(JSON.stringify(body ?? {}), { status, headers: { 'Content-Type': 'application/json' } });
  });
  return calls;
}

/** For tests: shows a page at an address, with a client of its own that does not try again. */
export function show(page: ReactNode, at = '/', path = '*') {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false }, mutations: { retry: false } } });
  return render(
    <QueryClientProvider client={client}>
      <MemoryRouter initialEntries={[at]}>
        <Routes>
          <Route path={path} element={page} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}
